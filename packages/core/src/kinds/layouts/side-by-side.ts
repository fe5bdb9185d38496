import type { Pull } from '../../assembly';
import { box, solidOf } from '../../solids';
import { type Layout, type PartDraft } from '../kind';
import { upTo } from '../names';
import { BAR_CLAMPS, joint, PADS_MM, part, partId, usualRing, X, Y } from './pieces';

/** Equal boards lying side by side, grain along x, from the first clamped edge on. */
export function sideBySide(
  species: string,
  count: number,
  widthMm: number,
  lengthMm: number,
  thicknessMm: number,
): PartDraft[] {
  return upTo(count).map((n) => ({
    ...part(
      'board',
      n,
      species,
      solidOf(box([0, (n - 1) * widthMm, 0], [lengthMm, n * widthMm, thicknessMm])),
      X,
      [lengthMm, widthMm, thicknessMm],
    ),
    ring: usualRing(n - 1),
  }));
}

/** The one pull of a row: bars from one outer edge, or its block, to the other, all lines in one stack. */
export const acrossRow = (joints: readonly string[], openingMm: number): Pull => ({
  id: 'across',
  joints,
  need: 'line',
  stacked: true,
  axis: Y,
  openingMm,
  kinds: BAR_CLAMPS,
});

/** Equal boards with straight edges under plain bars: parts, lines and pull. */
export function squareRow(
  species: string,
  count: number,
  { widthMm, lengthMm, thicknessMm }: Readonly<Record<'widthMm' | 'lengthMm' | 'thicknessMm', number>>,
) {
  const joints = upTo(count - 1).map((n) => joint('edge', partId('board', n), partId('board', n + 1)));
  return {
    parts: sideBySide(species, count, widthMm / count, lengthMm, thicknessMm),
    joints,
    pulls: [
      acrossRow(
        joints.map(({ id }) => id),
        widthMm + PADS_MM,
      ),
    ],
    flat: { kind: 'wind' },
  } satisfies Partial<Layout>;
}

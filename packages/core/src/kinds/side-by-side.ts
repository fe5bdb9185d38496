import { box, solidOf } from '../solids';
import { part, type PartDraft, upTo, usualRing, X } from './kind';

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

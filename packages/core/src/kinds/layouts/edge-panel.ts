import type { Board } from '../../formats';
import { box, solidOf } from '../../solids';
import { boardLabel } from '../names';
import type { LayOut, PartDraft } from '../kind';
import type { EDGE_PANEL } from '../edge-panel';
import { joint, PADS_MM, partId, X } from './pieces';
import { acrossRow, sideBySide } from './side-by-side';

export const layEdgePanel: LayOut<typeof EDGE_PANEL> = (
  { species, boards: count, widthMm, lengthMm, thicknessMm },
  _season,
  own,
) => {
  const parts =
    own.length > 0
      ? laidOut(own)
      : sideBySide(species, count, widthMm / count, lengthMm, thicknessMm).map((draft, i) => ({
          ...draft,
          label: boardLabel(i),
        }));
  const joints = parts.slice(1).map(({ id }, i) => joint('edge', parts[i]?.id ?? partId('board', i + 1), id));
  const across = parts.reduce((sum, { blankMm }) => sum + blankMm[1], 0);
  return {
    parts,
    joints,
    pulls: [
      acrossRow(
        joints.map(({ id }) => id),
        across + PADS_MM,
      ),
    ],
    flat: { kind: 'wind' },
  };
};

/** A person's own boards, flush at their first end, lower faces in one plane. */
function laidOut(boards: readonly Board[]): PartDraft[] {
  let fromMm = 0;
  return boards.map((board, i): PartDraft => {
    const { id, species, widthMm, lengthMm, thicknessMm, cut, heart, ringRadiusMm, mcPct } = board;
    const solid = solidOf(box([0, fromMm, 0], [lengthMm, fromMm + widthMm, thicknessMm]));
    fromMm += widthMm;
    return {
      id,
      label: boardLabel(i),
      role: 'board',
      number: i + 1,
      species,
      solid,
      grain: X,
      sheetNormal: null,
      blankMm: [lengthMm, widthMm, thicknessMm],
      mcPct,
      ring: { cut, heart, radiusMm: ringRadiusMm },
    };
  });
}

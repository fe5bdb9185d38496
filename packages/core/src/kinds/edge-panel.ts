import type { Board } from '../formats';
import { MOST_BOARDS } from '../formats';
import { LIMITS } from '../basics/limits';
import { box, solidOf } from '../solids';
import { defineKind, type PartDraft } from './kind';
import { joint, PADS_MM, partId, X } from './pieces';
import { askCount, askLength, askSpecies } from './question';
import { acrossRow, sideBySide } from './side-by-side';

/** Boards edge to edge: equal ones as the answers say, or the person's own, each with its size, wood and rings. */
export const EDGE_PANEL = defineKind({
  id: 'edge-panel',
  questions: {
    species: askSpecies('hard-maple'),
    boards: askCount(5, 2, MOST_BOARDS),
    widthMm: askLength(600, 2 * LIMITS.boardWidthMm.min, MOST_BOARDS * LIMITS.boardWidthMm.max),
    lengthMm: askLength(1000, LIMITS.boardLengthMm.min, LIMITS.boardLengthMm.max),
    thicknessMm: askLength(20, LIMITS.boardThicknessMm.min, LIMITS.boardThicknessMm.max),
  },
  preparation: ['fresh-faces', 'mark-faces', 'arris-and-pencil', 'release-film', 'closes-dry'],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'card',
  squeezeOut: 'planed',
  row: () => ({}),
  ownBoards: true,
  goals: { flatMm: 1, squareMm: 1.5 },
  layOut: ({ species, boards: count, widthMm, lengthMm, thicknessMm }, _season, own) => {
    const parts =
      own.length > 0
        ? laidOut(own)
        : sideBySide(species, count, widthMm / count, lengthMm, thicknessMm).map((draft, i) => ({
            ...draft,
            label: boardLabel(i),
          }));
    const joints = parts
      .slice(1)
      .map(({ id }, i) => joint('edge', parts[i]?.id ?? partId('board', i + 1), id));
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
  },
});

/** Letters for boards: A … Z, AA, AB … */
export function boardLabel(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : boardLabel(Math.floor(index / 26) - 1) + letter;
}

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

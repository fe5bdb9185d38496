import { MOST_BOARDS } from '../formats';
import { LIMITS } from '../basics/limits';
import { defineKind } from './kind';
import { askCount, askLength, askSpecies } from './question';

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
});

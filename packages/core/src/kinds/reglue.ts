import { askFixing } from './block-fixing';
import { defineKind } from './kind';
import { askChoice, askCount, askLength, askSpecies, later, onlyWhen } from './question';

/** Blocks for a round top unless it is laid out as a round panel, edge to jaw, mm. */
export const BLOCK_MM = 70;

/** A plank seat or top that has come apart along its old lines, or cracked. */
export const REGLUE = defineKind({
  id: 'reglue',
  questions: {
    shape: askChoice(['rectangular', 'round-top', 'crack'], 'rectangular'),
    species: askSpecies('red-oak'),
    pieces: onlyWhen(askCount(2, 2, 6), ({ shape }) => shape !== 'crack'),
    widthMm: askLength(360, 60, 1200),
    lengthMm: askLength(1300, 100, 4000),
    thicknessMm: askLength(32, 8, 80),
    /** How far a crack runs in from its end; 0: all through. */
    crackMm: onlyWhen(later(askLength(0, 0, 4000)), ({ shape }) => shape === 'crack'),
    fixing: onlyWhen(askFixing, ({ shape }) => shape === 'round-top'),
  },
  preparation: ['scrape-old-glue', 'rejoint', 'closes-dry', 'mark-faces', 'mask-at-dry-fit', 'release-film'],
  cautions: ['old-finish'],
  adhesive: null,
  faces: 2,
  method: 'brush',
  row: ({ shape }) => (shape === 'round-top' ? { edge: { kind: 'blocks', thicknessMm: BLOCK_MM } } : {}),
});

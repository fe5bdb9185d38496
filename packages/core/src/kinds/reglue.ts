import { InputError } from '../basics/checks';
import { finding } from '../findings';
import { askFixing } from './block-fixing';
import { defineKind } from './kind';
import { askChoice, askCount, askLength, askSpecies, later, onlyWhen } from './question';
import { ovalLayout } from './round-panel';
import { squareRow } from './side-by-side';

/** Blocks for a round top unless it is laid out as a round panel, edge to jaw, mm. */
const BLOCK_MM = 70;
/** What is shorter than this is no crack that clamps are set on, mm. */
const LEAST_CRACK_MM = 50;

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
  layOut: ({ shape, species, widthMm, lengthMm, thicknessMm, ...answers }) => {
    const lifts = finding('pull-lifts-middle', 'informs');
    if (shape === 'round-top') {
      const round = ovalLayout({
        species,
        boards: answers.pieces,
        widthMm,
        lengthMm,
        thicknessMm,
        blockMm: BLOCK_MM,
        fixing: answers.fixing,
      });
      return { ...round, findings: [...round.findings, lifts] };
    }
    const { crackMm } = answers;
    if (shape === 'crack' && crackMm > lengthMm) {
      throw new InputError(
        'inconsistent',
        'answers.crackMm',
        `A crack of ${crackMm} mm is longer than the top, which is ${lengthMm} mm long.`,
        `at most ${lengthMm} mm, or 0 for one that runs all through`,
      );
    }
    const ends = shape === 'crack' && crackMm >= LEAST_CRACK_MM && crackMm < lengthMm;
    // A crack has two sides, however many boards the top was made of.
    const pieces = shape === 'crack' ? 2 : answers.pieces;
    // What lies past the end of a crack is whole: it holds, and nothing is pressed there.
    const pressedMm = ends ? crackMm : lengthMm;
    return {
      ...squareRow(species, pieces, { widthMm, lengthMm: pressedMm, thicknessMm }),
      findings: [
        ...(shape === 'crack' ? [finding('crack-to-its-end', 'informs')] : []),
        ...(ends ? [finding('crack-ends-inside', 'informs', { crackMm, lengthMm })] : []),
        lifts,
      ],
    };
  },
});

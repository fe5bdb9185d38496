import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import type { LayOut } from '../kind';
import { type REGLUE, BLOCK_MM } from '../reglue';
import { ovalLayout } from './round-panel';
import { squareRow } from './side-by-side';

/** What is shorter than this is no crack that clamps are set on, mm. */
const LEAST_CRACK_MM = 50;

export const layReglue: LayOut<typeof REGLUE> = ({
  shape,
  species,
  widthMm,
  lengthMm,
  thicknessMm,
  ...answers
}) => {
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
};

import { InputError } from '../../basics/checks';
import { box, solidOf } from '../../solids';
import type { LayOut } from '../kind';
import { BAR_CLAMPS, joint, PADS_MM, part, X, Y } from '../layouts/pieces';
import type { LIPPED_SHELF } from './lipped-shelf';

export const layLippedShelf: LayOut<typeof LIPPED_SHELF> = ({
  species,
  lengthMm,
  depthMm,
  thicknessMm,
  lipMm,
}) => {
  if (lipMm < thicknessMm) {
    throw new InputError(
      'inconsistent',
      'answers.lipMm',
      `A lip of ${lipMm} mm does not cover a shelf ${thicknessMm} mm thick.`,
      `${thicknessMm} mm or more`,
    );
  }
  const shelf = box([0, 0, 0], [lengthMm, depthMm, thicknessMm]);
  const lip = box([0, depthMm, thicknessMm - lipMm], [lengthMm, depthMm + thicknessMm, thicknessMm]);
  const lipped = joint('edge', 'shelf', 'band');
  return {
    parts: [
      part('shelf', 0, species, solidOf(shelf), X, [lengthMm, depthMm, thicknessMm]),
      part('band', 0, species, solidOf(lip), X, [lengthMm, thicknessMm, lipMm]),
    ],
    joints: [lipped],
    pulls: [
      {
        id: 'across',
        joints: [lipped.id],
        need: 'line',
        stacked: true,
        axis: Y,
        openingMm: depthMm + thicknessMm + PADS_MM,
        kinds: BAR_CLAMPS,
      },
    ],
    flat: { kind: 'wind' },
    oneGo: true,
  };
};

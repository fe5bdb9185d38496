import { InputError } from '../../basics/checks';
import { box, solidOf } from '../../solids';
import { defineKind } from '../kind';
import { BAR_CLAMPS, joint, PADS_MM, part, X, Y } from '../pieces';
import { askLength, askSpecies } from '../question';

/** A shelf that sags is lipped on its edge: a strip taller than the shelf is thick, flush with its top. */
export const LIPPED_SHELF = defineKind({
  id: 'lipped-shelf',
  questions: {
    species: askSpecies('cherry'),
    lengthMm: askLength(800, 100, 2400),
    depthMm: askLength(240, 40, 600),
    thicknessMm: askLength(18, 6, 60),
    lipMm: askLength(36, 10, 120),
  },
  preparation: ['fresh-faces', 'closes-dry', 'mark-faces'],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'bead',
  layOut: ({ species, lengthMm, depthMm, thicknessMm, lipMm }) => {
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
  },
});

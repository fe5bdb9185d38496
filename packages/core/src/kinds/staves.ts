import { defineKind } from './kind';
import { askCount, askLength, askSpecies } from './question';

/** A hollow post or drum of 3 to 12 staves with bevelled edges, rolled up on tape hinges. */
export const MITRED_POST = defineKind({
  id: 'mitred-post',
  questions: {
    species: askSpecies('cherry'),
    staves: askCount(5, 3, 12),
    acrossFlatsMm: askLength(120, 30, 900),
    thicknessMm: askLength(18, 4, 80),
    lengthMm: askLength(900, 60, 4000),
    posts: askCount(1, 1, 40),
  },
  preparation: ['fresh-faces', 'leave-long', 'tape-hinges', 'bore-clear', 'arris-and-pencil', 'closes-dry'],
  cautions: ['saw-work'],
  adhesive: null,
  faces: 1,
  method: 'bead',
});

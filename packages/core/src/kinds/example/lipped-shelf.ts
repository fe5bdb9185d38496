import { defineKind } from '../kind';
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
});

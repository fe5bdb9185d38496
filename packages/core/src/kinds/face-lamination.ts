import { defineKind } from './kind';
import { askCount, askLength, askSpecies } from './question';

/** Boards stacked face to face into a thick blank. */
export const FACE_LAMINATION = defineKind({
  id: 'face-lamination',
  questions: {
    species: askSpecies('white-ash'),
    layers: askCount(3, 2, 8),
    layerMm: askLength(27, 4, 60),
    widthMm: askLength(110, 20, 500),
    lengthMm: askLength(620, 60, 3000),
    blanks: askCount(4, 1, 40),
    ganged: askCount(1, 1, 6),
  },
  preparation: ['fresh-faces', 'mark-faces', 'leave-long', 'release-film', 'closes-dry'],
  cautions: ['heavy'],
  adhesive: null,
  faces: 1,
  method: 'roller',
  squeezeOut: 'planed',
});

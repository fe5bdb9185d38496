import { box, solidOf } from '../solids';
import { defineKind, joint, PADS_MM, part, partId, STACK_CLAMPS, upTo, X, Z } from './kind';
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
  },
  preparation: ['fresh-faces', 'mark-faces', 'leave-long', 'release-film', 'closes-dry'],
  cautions: ['heavy'],
  adhesive: null,
  faces: 1,
  method: 'roller',
  squeezeOut: 'planed',
  layOut: ({ species, layers, layerMm, widthMm, lengthMm, blanks }) => ({
    parts: upTo(layers).map((n) =>
      part(
        'layer',
        n,
        species,
        solidOf(box([0, 0, (n - 1) * layerMm], [lengthMm, widthMm, n * layerMm])),
        X,
        [lengthMm, widthMm, layerMm],
      ),
    ),
    joints: upTo(layers - 1).map((n) => joint('face', partId('layer', n), partId('layer', n + 1))),
    oneGo: true,
    inTurn: true,
    pulls: [
      {
        id: 'down',
        joints: upTo(layers - 1).map((n) => `layer-${n}_layer-${n + 1}`),
        need: 'line',
        stacked: true,
        axis: Z,
        openingMm: layers * layerMm + PADS_MM,
        kinds: STACK_CLAMPS,
      },
    ],
    flat: { kind: 'wind' },
    sets: blanks,
  }),
});

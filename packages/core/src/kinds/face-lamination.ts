import { InputError } from '../basics/checks';
import { finding } from '../findings';
import { box, solidOf } from '../solids';
import { defineKind } from './kind';
import { downThrough, joint, PADS_MM, part, partId, upTo, X, STRAIGHT_STACK_CLAMPS } from './pieces';
import { askCount, askLength, askSpecies } from './question';

/** No stack stands higher in its clamps, mm: past it jaws tip [judgement]. */
const HIGHEST_MM = 480;

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
  layOut: ({ species, layers, layerMm, widthMm, lengthMm, blanks, ganged }) => {
    // Blanks that are pressed together lie on each other with film between, under the same clamps: one force goes through all.
    const together = Math.min(ganged, blanks);
    const all = layers * together;
    if (all * layerMm > HIGHEST_MM) {
      throw new InputError(
        'inconsistent',
        'answers.ganged',
        `${together} blanks of ${layers} layers stand ${Math.round(all * layerMm)} mm high in the clamps.`,
        `at most ${Math.max(1, Math.floor(HIGHEST_MM / (layers * layerMm)))} pressed together`,
      );
    }
    const joints = upTo(all - 1).map((n) =>
      joint('face', partId('layer', n), partId('layer', n + 1), n % layers === 0 ? { gluedShare: 0 } : {}),
    );
    return {
      parts: upTo(all).map((n) =>
        part(
          'layer',
          n,
          species,
          solidOf(box([0, 0, (n - 1) * layerMm], [lengthMm, widthMm, n * layerMm])),
          X,
          [lengthMm, widthMm, layerMm],
        ),
      ),
      joints,
      oneGo: true,
      inTurn: true,
      pulls: downThrough(joints, all * layerMm + PADS_MM, { kinds: STRAIGHT_STACK_CLAMPS }),
      flat: { kind: 'wind' },
      sets: Math.ceil(blanks / together),
      findings:
        together > 1
          ? [
              finding('ganged-blanks', 'informs', {
                together,
                pressings: Math.ceil(blanks / together),
                last: blanks % together === 0 ? together : blanks % together,
              }),
            ]
          : [],
    };
  },
});

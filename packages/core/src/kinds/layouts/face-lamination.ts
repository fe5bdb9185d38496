import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import { box, solidOf } from '../../solids';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { FACE_LAMINATION } from '../face-lamination';
import { downThrough, joint, PADS_MM, part, partId, X, STRAIGHT_STACK_CLAMPS } from './pieces';

/** No stack stands higher in its clamps, mm: past it jaws tip [judgement]. */
const HIGHEST_MM = 480;

export const layFaceLamination: LayOut<typeof FACE_LAMINATION> = ({
  species,
  layers,
  layerMm,
  widthMm,
  lengthMm,
  blanks,
  ganged,
}) => {
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
};

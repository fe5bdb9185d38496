import { STRIPS_EVERY_MM } from '../../clamps';
import { finding } from '../../findings';
import { box, solidOf } from '../../solids';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { VENEER_SEAM } from '../veneer-seam';
import { joint, part, partId, X, Y } from './pieces';

export const layVeneerSeam: LayOut<typeof VENEER_SEAM> = ({
  species,
  leaves,
  leafMm,
  lengthMm,
  veneerMm,
}) => {
  const joints = upTo(leaves - 1).map((n) => joint('edge', partId('veneer', n), partId('veneer', n + 1)));
  const stitches = 1 + Math.ceil(lengthMm / STRIPS_EVERY_MM);
  return {
    parts: upTo(leaves).map((n) => ({
      ...part(
        'veneer',
        n,
        species,
        solidOf(box([0, (n - 1) * leafMm, 0], [lengthMm, n * leafMm, veneerMm])),
        X,
        [lengthMm, leafMm, veneerMm],
      ),
      label: `leaf ${n}`,
    })),
    joints,
    oneGo: true,
    inTurn: true,
    pulls: joints.map(({ id }) => ({
      id: `stitched-${id}`,
      joints: [id],
      need: 'tape',
      stacked: false,
      axis: Y,
      openingMm: 2 * leafMm,
      kinds: ['tape'],
      beforehand: true,
    })),
    findings: [
      finding('seam-tape', 'informs', {
        stitches,
        // A dam along each face, and what is stretched across.
        lengthMm: joints.length * (2 * lengthMm + stitches * Math.min(120, leafMm)),
      }),
    ],
  };
};

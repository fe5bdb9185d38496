import { STRIPS_EVERY_MM } from '../clamps';
import { finding } from '../findings';
import { box, solidOf } from '../solids';
import { defineKind } from './kind';
import { joint, part, partId, upTo, X, Y } from './pieces';
import { askCount, askLength, askSpecies } from './question';

/** Leaves of veneer taped edge to edge: tape pulls, tape dams, and never a clamp, under which they would buckle. */
export const VENEER_SEAM = defineKind({
  id: 'veneer-seam',
  questions: {
    species: askSpecies('cherry'),
    leaves: askCount(2, 2, 12),
    leafMm: askLength(240, 30, 600),
    lengthMm: askLength(1250, 50, 4000),
    veneerMm: askLength(0.7, 0.3, 2.9),
  },
  preparation: ['shoot-as-a-pair', 'mark-faces', 'stitch-seam', 'release-film'],
  cautions: [],
  adhesive: 'pva-interior',
  faces: 1,
  method: 'bead',
  layOut: ({ species, leaves, leafMm, lengthMm, veneerMm }) => {
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
  },
});

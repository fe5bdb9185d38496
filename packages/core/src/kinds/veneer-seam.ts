import { defineKind } from './kind';
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
});

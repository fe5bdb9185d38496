import { defineKind } from './kind';
import { askCount, askLength, askNumber, askSpecies, later } from './question';

/** Thin plies bent round a form and glued, so that they keep the curve. */
export const BENT_LAMINATION = defineKind({
  id: 'bent-lamination',
  questions: {
    species: askSpecies('white-ash'),
    radiusMm: askLength(600, 40, 5000),
    arcDeg: askNumber(150, 10, 180, '°'),
    thicknessMm: askLength(30, 2, 150),
    widthMm: askLength(60, 10, 400),
    plyMm: askLength(4, 0.5, 30),
    spare: askCount(2, 0, 6),
    boardMm: later(askLength(52, 1, 200)),
    kerfMm: later(askLength(3, 0, 10)),
    planedMm: later(askLength(0.5, 0, 5)),
    /** As measured on an earlier bend from the same form, wood and plies; 0: reckoned from the plies. */
    springPct: later(askNumber(0, 0, 25, '%')),
  },
  preparation: ['fresh-faces', 'spare-plies', 'form-covered', 'leave-long', 'mark-faces', 'rehearse-two'],
  cautions: ['springs'],
  // Plies want time, and a glue that does not creep under their spring.
  adhesive: 'epoxy-slow',
  faces: 1,
  method: 'trowel',
  asksOfGlue: { lastingLoad: true },
  squeezeOut: 'planed',
});

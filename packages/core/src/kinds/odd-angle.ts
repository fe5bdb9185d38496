import { defineKind } from './kind';
import { askLength, askSpecies } from './question';

/** Two members that meet at an odd angle, pulled together through blocks cut to suit the joint. */
export const ODD_ANGLE = defineKind({
  id: 'odd-angle',
  questions: {
    species: askSpecies('white-ash'),
    angleDeg: { kind: 'number', bounds: { min: 30, max: 170, unit: '°' }, value: 130 },
    firstMm: askLength(420, 80, 3000),
    secondMm: askLength(360, 80, 3000),
    widthMm: askLength(70, 15, 250),
    thicknessMm: askLength(32, 6, 120),
  },
  preparation: ['fresh-faces', 'cut-blocks', 'size-end-grain', 'closes-dry', 'mark-faces'],
  cautions: ['saw-work'],
  adhesive: null,
  faces: 2,
  method: 'brush',
});

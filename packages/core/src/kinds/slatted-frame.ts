import { defineKind } from './kind';
import { askChoice, askCount, askLength, askSpecies, later } from './question';

/** Legs with two or three grooved rails; slats and spacers are loaded in turn and shut in by the second leg. */
export const SLATTED_FRAME = defineKind({
  id: 'slatted-frame',
  questions: {
    species: askSpecies('white-oak'),
    rails: askCount(2, 2, 3),
    slats: askCount(7, 1, 24),
    betweenLegsMm: askLength(700, 120, 3000),
    heightMm: askLength(620, 150, 2000),
    railMm: askLength(44, 20, 120),
    slatWidthMm: askLength(40, 8, 150),
    slatThicknessMm: askLength(12, 6, 30),
    legMm: later(askLength(0, 0, 800)),
    hornMm: later(askLength(0, 0, 300)),
    otherMortises: later(askChoice(['none', 'to-the-front', 'to-the-back', 'outwards'], 'none')),
  },
  preparation: [
    'fresh-faces',
    'sum-the-stack',
    'light-bead',
    'closes-dry',
    'mark-faces',
    'holes-before-closing',
  ],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'joint-brush',
});

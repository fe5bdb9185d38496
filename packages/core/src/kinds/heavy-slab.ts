import { defineKind } from './kind';
import { askCount, askLength, askSpecies } from './question';

/** Wide, heavy, uneven planks held flat by crowned cauls while they are pulled together. */
export const HEAVY_SLAB = defineKind({
  id: 'heavy-slab',
  questions: {
    species: askSpecies('white-oak'),
    planks: askCount(3, 2, 6),
    widthMm: askLength(720, 200, 1500),
    lengthMm: askLength(1800, 400, 5000),
    thicknessMm: askLength(48, 30, 120),
    caulPairs: askCount(4, 0, 12),
  },
  preparation: [
    'meter-moisture',
    'fresh-faces',
    'mark-faces',
    'level-grid',
    'crown-cauls',
    'release-film',
    'rehearse-two',
  ],
  cautions: ['heavy'],
  adhesive: null,
  faces: 2,
  method: 'roller',
  squeezeOut: 'planed',
  row: ({ caulPairs }) => ({ caulPairs }),
});

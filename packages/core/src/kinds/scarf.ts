import { defineKind } from './kind';
import { askCount, askLength, askNumber, askSpecies } from './question';

/** Lengths of plank or pole joined end to end on long slopes. */
export const SCARF = defineKind({
  id: 'scarf',
  questions: {
    species: askSpecies('sitka-spruce'),
    pieces: askCount(2, 2, 6),
    lengthMm: askLength(3600, 300, 12000),
    widthMm: askLength(60, 10, 300),
    thicknessMm: askLength(40, 4, 120),
    ratio: askNumber(8, 4, 16, ': 1'),
  },
  preparation: ['fresh-faces', 'prime-thin', 'clamp-feather-ends', 'release-film', 'mark-faces'],
  cautions: ['epoxy'],
  adhesive: 'epoxy-slow',
  faces: 2,
  method: 'stiff-brush',
});

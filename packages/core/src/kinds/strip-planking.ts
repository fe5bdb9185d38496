import { defineKind } from './kind';
import { askCount, askLength, askNumber, askSpecies } from './question';

/** Narrow planks glued edge on edge over moulds, each made long by a scarf in the same operation. */
export const STRIP_PLANKING = defineKind({
  id: 'strip-planking',
  questions: {
    species: askSpecies('western-redcedar'),
    planks: askCount(12, 1, 60),
    lengthMm: askLength(4200, 600, 9000),
    plankMm: askLength(25, 8, 60),
    thicknessMm: askLength(8, 4, 25),
    ratio: askNumber(8, 4, 16, ': 1'),
  },
  preparation: ['fresh-faces', 'prime-thin', 'clamp-feather-ends', 'release-film', 'mark-faces'],
  cautions: ['epoxy'],
  adhesive: 'epoxy-slow',
  faces: 1,
  method: 'stiff-brush',
  squeezeOut: 'planed',
});

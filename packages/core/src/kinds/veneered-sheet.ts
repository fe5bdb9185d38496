import { defineKind } from './kind';
import { askChoice, askLength, askSpecies, later } from './question';

/** Veneer on a core, pressed in a bag; both faces in one cycle, or the sheet bends within minutes. */
export const VENEERED_SHEET = defineKind({
  id: 'veneered-sheet',
  questions: {
    veneerSpecies: askSpecies('cherry'),
    coreSpecies: askSpecies('mdf'),
    lengthMm: askLength(1200, 100, 3000),
    widthMm: askLength(700, 100, 1500),
    coreMm: askLength(12, 3, 40),
    veneerMm: askLength(0.7, 0.4, 3),
    /** Below 0 the veneer stops short of the core. */
    overhangMm: askLength(8, -30, 30),
    faces: askChoice(['both', 'one'], 'both'),
    leafKind: later(askChoice(['raw', 'paper-backed'], 'raw')),
  },
  preparation: ['fresh-faces', 'balance-faces', 'tape-edges', 'even-film', 'rehearse-two', 'release-film'],
  cautions: ['bags'],
  adhesive: null,
  faces: 1,
  method: 'roller',
  asksOfGlue: { veneer: 'sheet' },
});

/** Strips of solid wood on the edges of a sheet, held by tape, by clamps through a caul, or by pins. */
export const EDGE_BANDING = defineKind({
  id: 'edge-banding',
  questions: {
    coreSpecies: askSpecies('birch-plywood'),
    bandSpecies: askSpecies('white-ash'),
    lengthMm: askLength(800, 60, 3000),
    widthMm: askLength(280, 40, 1500),
    thicknessMm: askLength(18, 6, 50),
    bandMm: askLength(6, 0.5, 30),
    edges: askChoice(['front', 'long', 'all'], 'all'),
    /** How far a band stands out past either face, to be trimmed flush. */
    proudMm: later(askLength(0.5, 0, 5)),
    pressedBy: later(askChoice(['tape', 'clamps', 'pins'], 'tape')),
  },
  preparation: ['fresh-faces', 'mask-faces', 'leave-long', 'mark-faces'],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'brush',
});

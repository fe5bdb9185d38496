import { defineKind } from './kind';
import { askChoice, askCount, askLength, askSpecies, later, onlyWhen } from './question';

/** How the ends are let in: one tongue all along, or loose tenons or dowels, as many as there are pegs. */
const LET_IN = ['tongue', 'loose-tenons', 'dowels'] as const;
/** What holds the ends on: pegs through offset holes that draw them home, pegs through straight ones, or clamps and glue alone. */
const HELD = ['drawbored', 'pegged', 'clamped'] as const;

/** Two narrow boards across the ends of a panel, glued in the middle only so that the panel can move. */
export const BREADBOARD = defineKind({
  id: 'breadboard',
  questions: {
    species: askSpecies('hard-maple'),
    panelWidthMm: askLength(600, 150, 1500),
    panelLengthMm: askLength(1000, 200, 4000),
    thicknessMm: askLength(20, 12, 80),
    endWidthMm: askLength(75, 30, 250),
    tongueMm: askLength(25, 8, 150),
    pegs: askCount(5, 3, 11),
    pegMm: onlyWhen(askLength(8, 4, 16), ({ held }) => held !== 'clamped'),
    letIn: later(askChoice(LET_IN, 'tongue')),
    held: later(askChoice(HELD, 'drawbored')),
  },
  preparation: ['fresh-faces', 'slots-elongated', 'pins-outer-only', 'mask-at-dry-fit', 'light-bead'],
  cautions: ['saw-work'],
  adhesive: null,
  faces: 1,
  method: 'joint-brush',
});

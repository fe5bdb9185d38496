import type { None } from './none';

/** What a kind says about the answers it was given. */
export interface KindValues {
  'block-reach': { blockMm: number; lineMm: number; fixing: string; friction: number; holdsN: number };
  'cauls-far-apart': { apartMm: number; pairs: number };
  'pull-lifts-middle': None;
  'scribed-blocks': { pairs: number; apartMm: number; fixing: string; friction: number; holdsN: number };
  'blocks-at': { atMm: number; faceDeg: number; slides: number; friction: number };
  'no-room-for-feet': { wantMm: number; haveMm: number };
  'no-room-for-blocks': { angleDeg: number; atMm: number };
  'saw-past-45': { angleDeg: number; sawDeg: number; tiltDeg: number };
  'stack-sum': { stackMm: number; toleranceMm: number; shoulderMm: number; spacerMm: number };
  'ganged-blanks': { together: number; pressings: number; last: number };
  'glue-the-middle': { gluedMm: number; widthMm: number };
  'drill-for-pegs': { pegs: number; pegMm: number; fromShoulderMm: number; offsetMm: number };
  /** How far the slot reaches beyond its peg towards the near edge, of its whole length. */
  'peg-slot': { peg: number; atMm: number; slotMm: number; outwardMm: number };
  'iron-within': { days: number };
  'iron-in-fields': { areaM2: number; fieldM2: number };
  'seam-tape': { stitches: number; lengthMm: number };
  'planks-held-every': { everyMm: number; scarfMm: number };
  'band-wants-spacer': { spacerMm: number };
  'feet-stay-apart': { apartMm: number };
  'crack-to-its-end': None;
  'halves-with-film': None;
  'sawn-after': None;
  'unequal-mitre': {
    corner: string;
    wideMm: number;
    narrowMm: number;
    sawWideDeg: number;
    sawNarrowDeg: number;
  };
  'inside-first': { corner: string; offMm: number };
  'glass-and-back': {
    openWideMm: number;
    openHighMm: number;
    glassWideMm: number;
    glassHighMm: number;
    rebateMm: number;
    clearanceMm: number;
  };
  'one-sided': None;
  'bend-plies': {
    plies: number;
    plyMm: number;
    spare: number;
    strainPct: number;
    springbackPct: number;
    formRadiusMm: number;
    measured: string;
  };
  'strips-to-saw': {
    strips: number;
    stripMm: number;
    boardMm: number;
    perBoard: number;
    boards: number;
  };
  'faces-older': { part: string };
  'faces-old-glue': { part: string };
  'u-blocks': {
    blocks: number;
    thickMm: number;
    highMm: number;
    tenons: number;
    slotWideMm: number;
    slotDeepMm: number;
  };
  'strips-in-dry-case': { strips: number; clearMm: number };
  'square-up-after': { shortMm: number; lengthMm: number; widthMm: number };
  'ends-slide-dry': { gluedMm: number };
  'pins-through-tape': { pins: number; everyMm: number };
  'paper-backed': None;
  'trim-flush': { proudMm: number };
  'grooves-up': None;
  'other-mortises': { side: string };
  'crack-ends-inside': { crackMm: number; lengthMm: number };
  'rough-too-small': { part: string; what: string; haveMm: number; wantMm: number };
  'faces-finished': { part: string };
  /** It was said to be of a wood that is no longer there. */
  'wood-unknown': { part: string };
}

import type { None } from './none';

/** What a row is out of flat by, part by part. */
export type FlatPart =
  'bow-from-pull' | 'faces-not-flush' | 'moisture-cup' | 'cauls-bend' | 'boards-bowed' | 'boards-twisted';

/** What a row is out of square by, part by part. */
export type SquarePart = 'ends-stopped' | 'ends-free' | 'lengths-differ' | 'diagonals-differ';

/** Heat through what lies on a dried film. */
interface Ironing {
  line: string;
  mm: number;
  seconds: number;
  mostMm: number;
}

/** What limits a verdict, and what a plan warns of. */
export interface CauseValues extends Record<FlatPart | SquarePart, { mm: number }> {
  'bench-not-flat': { name: string; outMm: number };
  'does-not-close': { closureMm: number };
  'too-cold': { tempC: number; minTempC: number };
  'wood-too-cold': { tempC: number; minTempC: number };
  'glue-too-cold': { tempC: number; minTempC: number };
  'gap-too-wide': { gapMm: number; glueMm: number };
  'open-too-short': { needMin: number; windowMin: number };
  'closed-too-short': { needMin: number; windowMin: number };
  'softens-there': { softensC: number; warmC: number };
  'no-iron-on': None;
  'clamps-on-too-long': { clampMin: number; withinMin: number };
  'to-be-avoided': None;
  'near-cold-limit': { tempC: number; minTempC: number };
  'window-missed': { line: string; usedMin: number; windowMin: number; window: string };
  'tightest-window': { line: string; usedMin: number; windowMin: number; window: string };
  'wood-too-wet': { mcPct: number; maxPct: number };
  'wood-very-dry': { mcPct: number; minPct: number };
  'oily-wood': None;
  'resinous-wood': None;
  'service-too-hard': { rated: string; wanted: string };
  'no-clamps': None;
  'no-bag': { line: string; lengthMm: number; widthMm: number };
  'bead-on-wide-face': { line: string; widthMm: number };
  'no-corner-clamps': { count: number };
  'no-second-squeeze': { soonestMin: number };
  'clamp-too-short': { clamp: number; opensMm: number; neededMm: number };
  'not-enough-on-rack': { placed: number; have: number };
  'clamp-off-end': { clamp: number; atMm: number };
  'blocks-not-held': { count: number; openingMm: number; forceN: number };
  'block-clamp-fouls': { apartMm: number; neededMm: number };
  'block-slides': { clamp: number; slideN: number; holdsN: number; fallPerMm: number };
  'jaw-crushes': { clamp: number; padMPa: number; crushMPa: number };
  'gap-back-to-plane': { forceN: number; line: string; gapMm: number };
  'gap-costs-pull': { line: string; gapMm: number; forceN: number; totalN: number };
  'pull-off-middle-third': { offsetMm: number; kernMm: number };
  'more-than-needed': { line: string; meanMPa: number; highMPa: number };
  'line-under-pressed': { line: string; atMm: number };
  'line-starves': { line: string; meanMPa: number; mostMPa: number };
  'line-light': { line: string; atMm: number };
  'line-pressed': { line: string; atMm: number };
  'ends-trimmed-later': { rawMm: number; trimMm: number };
  'panel-pops': { loadShare: number };
  'panel-near-popping': { loadShare: number };
  'held-from-popping': { loadShare: number; heldBy: string };
  'joint-gap': { forceN: number; line: string; gapMm: number; glueMm: number };
  'hollow-under-iron': { line: string; gapMm: number; glueMm: number };
  'joint-gap-costs': { line: string; gapMm: number; forceN: number };
  'nothing-to-pull-with': { line: string; need: string; openingMm: number };
  'pull-crushes': { line: string };
  'iron-presses': Ironing;
  'too-thick-to-iron': Ironing;
  'pegs-draw': { line: string; offsetMm: number };
  'one-clamp-deep': { line: string; lengthMm: number };
  'pull-meets': { line: string };
  'nothing-to-square': None;
  'diagonals-unread': { diagonalMm: number };
  'diagonals-read': { mm: number };
  'free-end-splays': { mm: number; legMm: number; errorDeg: number };
  'last-mitre-opens': { corners: number; errorDeg: number };
  'glued-across': { line: string; gluedMm: number; limitMm: number; movesMm: number };
  'one-sided-bends': { lowMm: number; highMm: number };
  springback: { mm: number };
  'moisture-differs': { line: string; mcPct: number; otherPct: number };
  'nothing-to-flatten': None;
  'flatness-unread': None;
  'no-joints': None;
  'order-captive': { session: number; line: string; others: number };
  'order-closed-already': { session: number; line: string; others: number };
  'order-window-too-short': { session: number; line: string; others: number };
  'order-too-few-hands': { session: number; line: string; others: number };
  'order-pins-contradict': { session: number; line: string; others: number };
  'order-too-few-clamps': { session: number; line: string; others: number };
  'nothing-glued': None;
}

/** What lines, cauls and jaws of a row have to say. */
export interface RowValues {
  'line-opens': { line: string; openMm: number; atMm: number };
  'jaws-foul': { clamp: number; other: number; apartMm: number; neededMm: number };
  'handles-foul': { clamp: number; other: number; apartMm: number; neededMm: number };
  'jaw-too-shallow': { clamp: number; kind: string };
  'light-squeeze-needs-filler': { gapMm: number; neededMm: number };
  'no-room-for-caul': { placed: number; pairs: number };
  'cauls-to-make': { pairs: number; have: number };
  'caul-too-short': { lengthMm: number; neededMm: number };
  'caul-overstressed': { stressMPa: number; bearsMPa: number };
  'caul-clamps-missing': { count: number; openingMm: number; forceN: number };
}

/** What clamps in their places have to say about an assembly. */
export interface PullValues {
  'pull-short': { line: string; neededN: number; reachN: number; minMPa: number };
  'pull-light': { line: string; neededN: number; reachN: number; minMPa: number };
  'pad-crushes': { clamp: number; padMPa: number; crushMPa: number };
  'jaws-do-not-reach': { kind: string; depthMm: number; neededMm: number };
  'clamps-far-apart': { line: string; have: number; everyMm: number; count: number };
  'placed-gone': { count: number };
  'placed-too-short': { count: number; opensMm: number; neededMm: number };
  'placed-beyond-rack': { count: number; have: number };
  'line-without-clamp': { count: number; line: string };
  'seat-off-middle': { clamp: number; offMm: number; line: string; mostMm: number };
  'narrow-jaws': { sharePct: number };
  'pressed-by-elements': { unknowns: number };
  'band-loses-pull': { bands: number; friction: number };
  'opposed-clamps': { mostRatio: number };
  'opposed-uneven': { acrossN: number; downN: number; mostRatio: number };
  'screw-bands-turned': None;
  'skew-racks': { skewMm: number; spanMm: number; forceN: number };
  'skew-corrects': { long: string; pullMm: number; skewMm: number; forceN: number };
}

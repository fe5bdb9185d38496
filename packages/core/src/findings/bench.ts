import type { None } from './none';

/** What is read while it still moves. */
export type CheckCode =
  | 'squeeze-out'
  | 'straightedge'
  | 'flush'
  | 'feeler'
  | 'diagonals'
  | 'winding'
  | 'try-square'
  | 'bore'
  | 'depth'
  | 'angle'
  | 'hollow'
  | 'light-through'
  | 'fair'
  | 'splay'
  | 'gauge'
  | 'covers';

/** What is done before the first bead. */
export type PreparingCode =
  | 'lay-out'
  | 'bars-open'
  | 'film'
  | 'blocks'
  | 'level-grid'
  | 'scraped'
  | 'as-it-stands'
  | 'hinges'
  | 'gun'
  | 'bars-as-reference'
  | 'masked'
  | 'level-table'
  | 'form-covered'
  | 'in-line'
  | 'iron-set'
  | 'stitched'
  | 'dam';

interface Tolerances {
  flatMm: number;
  squareMm: number;
}

/** What is done before the first bead, and looked at while it still moves. */
export interface RitualValues
  extends Record<`do-${PreparingCode}`, None>, Record<`do-check-${CheckCode}`, Tolerances> {}

/** What is done after full pull: a second squeeze, and squeeze-out taken off. */
export interface MomentValues extends Record<
  `do-clean-${'scrape-wet' | 'damp-wipe' | 'peel-masking' | 'skin-and-peel'}`,
  { fromMin: number; toMin: number; lengthMm: number }
> {
  'do-corners-down': { count: number; kind: string; forceN: number };
  'do-again': { waitMin: number; clamps: number };
}

/** A joint brought together, and how many others with it. */
interface Closing {
  line: string;
  board: string;
  others: number;
}

/** A clamp in hand, by its number. */
interface ClampAtWork {
  clamp: number;
  kind: string;
  line: string;
  forceN: number;
  openingMm: number;
  /** Of its handle past snug; 0 where nobody has measured what one adds. */
  turns: number;
  /** What is seen to before the first full pull, while parts still slide: `flush`, `alike` diagonals, `both`; empty for other clamps. */
  once: string;
}

interface ClampOnRow extends ClampAtWork {
  atMm: number;
  side: string;
}

/** What is done while the clock runs. */
export interface InstructionValues {
  'do-spread': {
    line: string;
    board: string;
    /** Kind of the joint. */
    joint: string;
    faces: number;
    method: string;
    massG: number;
    /** Glue is kept to so much in the middle; 0 where all of the joint gets some. */
    middleMm: number;
  };
  'do-close': Closing;
  'do-close-joint': Closing;
  'do-caul': { pair: number; pairs: number };
  'do-set-clamp': ClampOnRow;
  'do-tighten': ClampOnRow;
  'do-set-clamp-on': ClampAtWork;
  'do-tighten-on': ClampAtWork;
  'do-tape': { count: number; line: string };
  'do-wrap': { place: number; count: number; line: string };
  'do-bag': None;
  'do-drive-pegs': { count: number; line: string };
  'do-coat': { coat: number; coats: number; massG: number; dryLowMin: number; dryHighMin: number };
  'do-iron': { line: string; lengthMm: number };
}

/** What must be so before the first bead. */
export interface ReadyValues {
  'ready-dry': None;
  'ready-gaps': { unread: number; count: number };
  'ready-unreachable': None;
  'ready-marked': None;
  'ready-hour': { workMin: number };
  'ready-bench': { name: string; lengthMm: number; widthMm: number };
  'ready-bench-short': {
    name: string;
    lengthMm: number;
    widthMm: number;
    workLengthMm: number;
    workWidthMm: number;
  };
  'ready-bench-hollow': { name: string; outMm: number; wantedMm: number };
  'ready-bottle': { adhesive: string; months: number; shelfMonths: number };
  'ready-mix': { volumeMl: number; potLifeMin: number };
  'ready-cold': { tempC: number; minC: number };
  'ready-window': { tempC: number; rhPct: number; windowMin: number };
}

/** What to have within reach. */
export interface GatherValues {
  'gather-bench': { lengthMm: number; widthMm: number };
  'gather-boards': { count: number };
  'gather-broken': { count: number };
  'gather-parts': { count: number };
  'gather-loose': { count: number; kind: string };
  'gather-stop': None;
  'gather-glue': { adhesive: string; massG: number; volumeMl: number; onShelfMl: number };
  'gather-spreader': { method: string };
  'gather-cauls': { pairs: number };
  'gather-packing': { count: number; kind: string; thicknessMm: number };
  'gather-first-coat': { massG: number };
  'gather-clamps': {
    count: number;
    kind: string;
    openingMm: number;
    /** Of those above, or of all where none is below; and of those below. */
    numbers: string;
    below: string;
    /** From 1; 0 where all is glued in one go. */
    session: number;
  };
  'gather-block-clamps': { count: number; kind: string; openingMm: number };
  'gather-corner-clamps': { count: number; kind: string; openingMm: number };
  'gather-spares': { count: number };
  'gather-iron': None;
  'gather-pegs': { count: number; thickMm: number };
  'gather-checks': None;
  'gather-cleaning': None;
}

/** Ways out of what went wrong. */
export type MishapAnswer =
  | 'next-spare-clamp'
  | 'work-it-loose'
  | 'drop-the-blocks'
  | 'two-in-line'
  | 'spare-brush'
  | 'by-finger'
  | 'alone-for-now'
  | 'mallet-and-block'
  | 'turn-it-round'
  | 'next-bottle'
  | 'thinner-from-others'
  | 'go-on-now';

/** What can be done when it is late or something went wrong. */
export interface TroubleValues extends Record<`answer-${MishapAnswer}`, { takesMin: number }> {
  'way-go-on': None;
  'way-this-first': { joint: string };
  'way-helper': None;
  'way-leave': { joints: string; count: number };
  'way-afresh': { joint: string };
}

/** What a reading comes to, and what to do about it while it still moves. */
export interface CorrectionValues {
  'reads-true': None;
  'draw-diagonal': { where: string; long: string; pullMm: number; outMm: number };
  'twisted-base': { outMm: number };
  'wrong-length': { sides: string; byMm: number };
  'lower-corner': { corner: string; byMm: number };
  'bars-too-low': { byMm: number };
  'bars-too-high': { byMm: number };
  'part-is-bowed': { bowMm: number };
  'scarf-kinked': { byMm: number; high: number };
  'tap-flush': { joint: string; byMm: number };
  'gap-open': { joint: string; byMm: number };
  'draw-over': { joints: string };
  'square-off': { byMm: number; open: string };
  'clear-bore': None;
  'tap-stack': { byMm: number };
  'stack-too-high': { byMm: number };
  'open-angle': { byDeg: number };
  'close-angle': { byDeg: number };
  'seam-open': None;
  'flat-spot': None;
  'feet-in': { byMm: number };
  'feet-out': { byMm: number };
  'iron-again': None;
  'seal-leaks': None;
  'shift-band': None;
}

import type { None } from './none';

/** What is read while it still moves. */
export type CheckCode =
  | 'squeeze-out'
  | 'straightedge'
  | 'flush'
  | 'diagonals'
  | 'winding'
  | 'try-square'
  | 'bore'
  | 'depth'
  | 'angle'
  | 'hollow'
  | 'light-through'
  | 'fair'
  | 'splay';

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
}

interface ClampOnRow extends ClampAtWork {
  atMm: number;
  side: string;
}

/** What is done while the clock runs. */
export interface InstructionValues {
  'do-spread': { line: string; board: string; faces: number; method: string; massG: number };
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
  'do-coat': { coat: number; coats: number; massG: number; dryLowMin: number; dryHighMin: number };
  'do-iron': { line: string; lengthMm: number };
}

/** What to have within reach. */
export interface GatherValues {
  'gather-bench': { lengthMm: number; widthMm: number };
  'gather-boards': { count: number };
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
    numbers: string;
    /** From 1; 0 where all is glued in one go. */
    session: number;
  };
  'gather-block-clamps': { count: number; kind: string; openingMm: number };
  'gather-corner-clamps': { count: number; kind: string; openingMm: number };
  'gather-spares': { count: number };
  'gather-iron': None;
  'gather-checks': None;
  'gather-cleaning': None;
}

/** What still helps when something went wrong. */
export interface TroubleValues {
  'call-helper': { leftMin: number };
  'pull-apart': { lines: string; leftMin: number };
  'past-its-time': { lines: string };
  'press-on': None;
}

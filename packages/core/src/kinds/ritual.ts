/** Everything that is done at the bench, in one vocabulary for all kinds. */
export type OperationKind =
  | 'lay-out'
  | 'size'
  | 'prime'
  | 'coat'
  | 'heat'
  | 'dampen'
  | 'load'
  | 'spread'
  | 'close'
  | 'wrap'
  | 'caul'
  | 'set-clamp'
  | 'tighten'
  | 'ease'
  | 'tap'
  | 'tape'
  | 'roll-up'
  | 'turn-over'
  | 'bag'
  | 'iron'
  | 'check'
  | 'correct'
  | 'scrape'
  | 'wipe'
  | 'rest'
  | 'ease-off';

/** What is looked at while it still moves. */
export type CheckKind =
  | 'diagonals'
  | 'try-square'
  | 'straightedge'
  | 'winding'
  | 'flush'
  | 'bore'
  | 'depth'
  | 'squeeze-out'
  | 'angle';

/** One step of a ritual with its minutes at the built-in pace [judgement]. */
export interface RitualStep {
  readonly kind: OperationKind;
  /** Says which one of its kind it is; interfaces turn it into a sentence. */
  readonly what: string;
  readonly minutes: number;
  readonly check: CheckKind | null;
  /** Pairs of hands it takes. */
  readonly hands: 1 | 2;
}

/**
 * What a kind has done beside spreading, closing and clamping, in the order of the bench: before the first bead, between closing
 * and full pull, after full pull while it still moves, and later on while it cures.
 */
export interface Ritual {
  readonly before: readonly RitualStep[];
  readonly closed: readonly RitualStep[];
  readonly pulled: readonly RitualStep[];
}

const step = (
  kind: OperationKind,
  what: string,
  minutes: number,
  more: Partial<Pick<RitualStep, 'check' | 'hands'>> = {},
): RitualStep => ({ kind, what, minutes, check: null, hands: 1, ...more });

const look = (check: CheckKind, minutes = 0.25): RitualStep => step('check', check, minutes, { check });

const LAY_OUT = step('lay-out', 'lay-out', 0);
const FLAT_ROW: Ritual = {
  before: [step('lay-out', 'bars-open', 0), step('lay-out', 'film', 0)],
  closed: [],
  pulled: [look('squeeze-out'), look('straightedge'), look('flush')],
};
const SQUARED: Ritual = {
  before: [step('lay-out', 'as-it-stands', 0)],
  closed: [],
  pulled: [look('diagonals'), look('winding'), look('squeeze-out')],
};

/** Rituals by kind; what is not listed is looked over once. */
const RITUALS: Readonly<Record<string, Ritual>> = {
  'edge-panel': FLAT_ROW,
  'round-panel': { ...FLAT_ROW, before: [...FLAT_ROW.before, step('lay-out', 'blocks', 0)] },
  'heavy-slab': { ...FLAT_ROW, before: [step('lay-out', 'level-grid', 0), step('lay-out', 'film', 0)] },
  reglue: { ...FLAT_ROW, before: [step('lay-out', 'scraped', 0), step('lay-out', 'film', 0)] },
  'face-lamination': {
    before: [step('lay-out', 'film', 0)],
    closed: [],
    pulled: [look('flush', 0.5), look('squeeze-out')],
  },
  'mitred-post': {
    before: [step('tape', 'hinges', 0)],
    closed: [],
    pulled: [look('flush'), look('diagonals'), look('bore')],
  },
  'mitred-frame': { ...SQUARED, pulled: [look('flush'), look('diagonals'), look('winding')] },
  'trim-set': { before: [step('heat', 'gun', 0)], closed: [], pulled: [look('angle', 0.5), look('flush')] },
  'tenon-frame': SQUARED,
  'slatted-frame': {
    before: [step('lay-out', 'bars-as-reference', 0)],
    closed: [],
    pulled: [look('depth'), look('diagonals'), look('winding')],
  },
  case: {
    before: [step('lay-out', 'masked', 0)],
    closed: [],
    pulled: [look('diagonals', 0.5), look('straightedge')],
  },
  breadboard: { before: [LAY_OUT], closed: [], pulled: [look('flush'), look('try-square', 0.5)] },
  'veneered-sheet': {
    before: [step('lay-out', 'level-table', 0)],
    closed: [],
    pulled: [look('flush', 0.5), look('squeeze-out')],
  },
  'bent-lamination': {
    before: [step('lay-out', 'form-covered', 0)],
    closed: [],
    pulled: [look('flush', 0.5), look('squeeze-out')],
  },
  'edge-banding': { before: [step('lay-out', 'masked', 0)], closed: [], pulled: [look('flush', 0.75)] },
  scarf: {
    before: [step('lay-out', 'in-line', 0)],
    closed: [],
    pulled: [look('straightedge', 0.5), look('flush')],
  },
  'odd-angle': {
    before: [step('lay-out', 'blocks', 0)],
    closed: [],
    pulled: [look('angle', 0.5), look('flush')],
  },
};

const USUAL_RITUAL: Ritual = {
  before: [LAY_OUT],
  closed: [],
  pulled: [look('squeeze-out'), look('try-square'), look('flush')],
};

/** The ritual of a kind. */
export const ritualOf = (template: string): Ritual => RITUALS[template] ?? USUAL_RITUAL;

import type { CheckCode, PreparingCode } from '../findings';

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

/** One step before the first bead. */
export interface Preparing {
  readonly kind: OperationKind;
  readonly what: PreparingCode;
}

/** One reading while it still moves, with its minutes at the built-in pace [judgement]. */
export interface Look {
  readonly check: CheckCode;
  readonly minutes: number;
  /** Places at which it is read, where that is more than one. */
  readonly at?: readonly string[];
  /** What a straightedge shows that rocks: a pull off mid-thickness, the bow of one part, or a kink at the joint. */
  readonly shows?: 'pull' | 'part' | 'kink';
  /** Made only where a bag presses, or only where none does: nothing is seen or touched through one. */
  readonly where?: 'in-bag' | 'in-the-open';
}

/** What a kind has done beside spreading, closing and clamping, in the order of the bench. */
export interface Ritual {
  readonly before: readonly Preparing[];
  /** After full pull, while it still moves. */
  readonly pulled: readonly Look[];
}

const step = (kind: OperationKind, what: PreparingCode): Preparing => ({ kind, what });

const look = (check: CheckCode, minutes = 0.25, more: Pick<Look, 'at' | 'shows' | 'where'> = {}): Look => ({
  check,
  minutes,
  ...more,
});

const LAY_OUT = step('lay-out', 'lay-out');
const FLAT_ROW: Ritual = {
  before: [step('lay-out', 'bars-open'), step('lay-out', 'film')],
  pulled: [look('squeeze-out'), look('straightedge', 0.25, { shows: 'pull' }), look('flush')],
};
const SQUARED: Ritual = {
  before: [step('lay-out', 'as-it-stands')],
  pulled: [look('diagonals'), look('winding'), look('squeeze-out')],
};

/** Rituals by kind; what is not listed is looked over once. */
const RITUALS: Readonly<Record<string, Ritual>> = {
  'edge-panel': FLAT_ROW,
  'round-panel': { ...FLAT_ROW, before: [...FLAT_ROW.before, step('lay-out', 'blocks')] },
  'heavy-slab': {
    before: [step('lay-out', 'level-grid'), step('lay-out', 'film')],
    pulled: [
      look('squeeze-out'),
      look('feeler', 0.5),
      look('straightedge', 0.25, { shows: 'pull' }),
      look('flush'),
    ],
  },
  reglue: { ...FLAT_ROW, before: [step('lay-out', 'scraped'), step('lay-out', 'film')] },
  'face-lamination': {
    before: [step('lay-out', 'film')],
    pulled: [look('flush', 0.5), look('squeeze-out')],
  },
  'mitred-post': {
    before: [step('tape', 'hinges')],
    pulled: [
      look('flush'),
      look('diagonals', 0.25, { at: ['one end', 'middle', 'other end'] }),
      look('bore'),
    ],
  },
  'mitred-frame': { ...SQUARED, pulled: [look('flush'), look('diagonals'), look('winding')] },
  'trim-set': { before: [step('heat', 'gun')], pulled: [look('angle', 0.5), look('flush')] },
  'tenon-frame': SQUARED,
  'slatted-frame': {
    before: [step('lay-out', 'bars-as-reference')],
    pulled: [look('depth'), look('diagonals'), look('winding')],
  },
  case: {
    before: [step('lay-out', 'masked')],
    pulled: [
      look('diagonals', 0.5, { at: ['front', 'back'] }),
      look('straightedge', 0.25, { shows: 'part' }),
    ],
  },
  breadboard: { before: [LAY_OUT], pulled: [look('flush'), look('try-square', 0.5)] },
  'veneered-sheet': {
    before: [step('lay-out', 'level-table')],
    pulled: [look('gauge', 0.75, { where: 'in-bag' }), look('squeeze-out', 0.75, { where: 'in-the-open' })],
  },
  'dried-film': { before: [step('lay-out', 'iron-set')], pulled: [look('hollow', 0.75)] },
  'veneer-seam': {
    before: [step('tape', 'stitched'), step('tape', 'dam')],
    pulled: [look('light-through', 0.5), look('flush')],
  },
  'strip-planking': {
    before: [step('lay-out', 'in-line')],
    pulled: [look('squeeze-out', 0.5), look('fair')],
  },
  casing: { before: [step('heat', 'gun')], pulled: [look('splay', 0.5), look('flush')] },
  'bent-lamination': {
    before: [step('lay-out', 'form-covered')],
    pulled: [look('flush', 0.5), look('squeeze-out')],
  },
  'edge-banding': { before: [step('lay-out', 'masked')], pulled: [look('covers', 0.75)] },
  scarf: {
    before: [step('lay-out', 'in-line')],
    pulled: [look('straightedge', 0.5, { shows: 'kink' }), look('flush')],
  },
  'odd-angle': {
    before: [step('lay-out', 'blocks')],
    pulled: [look('angle', 0.5), look('flush')],
  },
};

const USUAL_RITUAL: Ritual = {
  before: [LAY_OUT],
  pulled: [look('squeeze-out'), look('try-square'), look('flush')],
};

/** How a kind has a check made; nothing where it does not ask for it. */
export const lookOf = (template: string, check: CheckCode): Look | undefined =>
  ritualOf(template).pulled.find((each) => each.check === check);

/** The ritual of a kind. */
export const ritualOf = (template: string): Ritual => RITUALS[template] ?? USUAL_RITUAL;

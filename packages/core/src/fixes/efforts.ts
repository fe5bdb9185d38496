import type { PlanFinding, FindingValue } from '../findings';

type Values = Readonly<Record<string, FindingValue>>;

/**
 * What each kind of change asks of the person, in one table so that changes can be compared: about 0.5 for a tick or a move of the
 * hand, 1 to 2 for something fetched or laid out, 3 and more for work on the wood, another hour, another day [judgement]. A change that
 * costs by how much of it there is says so by a function of its values.
 */
const EFFORTS: Readonly<Record<string, number | ((values: Values) => number)>> = {
  'add-clamps': ({ count }) => 1 + 0.2 * Number(count),
  'more-on-pull': ({ count }) => 0.8 + 0.2 * Number(count),
  'use-clamps': 1.5,
  'space-evenly': 0.5,
  'pull-worked-out': 0.5,
  'handles-in-turn': 0.4,
  'centre-pull': 0.7,
  'bars-both-faces': 0.5,
  'add-cauls': 1.2,
  'fewer-cauls': 0.6,
  'other-cauls': 0.8,
  'cauls-along': 1.2,
  'cauls-across': 1.2,
  'use-blocks': 0.8,
  'blocks-under': 0.6,
  'fix-blocks': 1,
  // More wood, and the saw work at another time.
  'saw-after': 1.5,
  'use-battens': 1.4,
  'slip-round': 0.6,
  'press-between-platens': 3,
  'squeeze-as-wanted': 0.5,
  'glue-less-across': 0.5,
  'end-stops': 0.6,
  'leave-long': 1,
  'alternate-hearts': 0.8,
  'hold-in-use': 3,
  'preset-clamps': 0.5,
  'one-more-pair': 2,
  'wet-both-faces': 0.8,
  'wet-one-face': 0.8,
  'spread-with': 1,
  // Cups, gloves and an overnight wait are more than one session more.
  'use-glue': ({ onShelf, mixed }) => (onShelf === 'yes' ? 1.5 : 4) + (mixed === 'yes' ? 2.5 : 0),
  'arrange-sessions': ({ sessions }) => (Number(sessions) > 1 ? 3 : 1),
  'one-more-session': 3,
  'other-hour': 3,
  'warm-the-wood': 4,
  'shoot-mitres': 1.5,
  'clamp-down': 0.8,
  'veneer-both': 2,
  'read-diagonals-first': 0.3,
  'sight-first': 0.3,
  'pull-diagonal': 0.8,
  'cut-again': 3,
  'plane-line': 3,
  'plane-flat': 4,
  'dry-boards': 5,
  'let-settle': 5,
  'borrow-clamps': ({ count }) => 3 + 0.1 * Number(count),
  'borrow-deep': 3,
};

/**
 * Effort of a change.
 * @throws Error for a change that nobody has weighed.
 */
export function effortOf({ code, values }: PlanFinding): number {
  const effort = EFFORTS[code];
  if (effort === undefined) throw new Error(`unreachable: the effort of "${code}" is not in the table`);
  return typeof effort === 'number' ? effort : effort(values);
}

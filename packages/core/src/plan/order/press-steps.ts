import { centreOutOrder, isBag, TURN_N } from '../../clamps';
import { PACE } from '../../sequence';
import { pegsOf } from './pegs';
import type { Workforce } from './workforce';
import { isOpposed } from '../pulls/opposed';
import type { PlannedPull } from '../pulls/planned-pull';
import { ACROSS } from '../row/row-job';
import type { RowPlan } from '../row/row-plan';

/** One strip of tape, or one turn of elastic, min [judgement]. */
const STRIP_MIN = 0.05;
/** A spring clamp snaps on, min [judgement]. */
const SNAP_MIN = 0.1;
const SNAP_ON: readonly string[] = ['spring', 'pointed-spring'];
/** What is laid or snapped on is not tightened afterwards. */
const NOT_TIGHTENED: readonly string[] = [...SNAP_ON, 'weight', 'vacuum', 'elastic-wrap'];

/** One stretch of work with what presses. */
export interface PressStep {
  readonly kind: 'caul' | 'set-clamp' | 'tighten' | 'tape' | 'wrap' | 'bag' | 'tap';
  /** Which clamp of the pull, or of the row, or which pair of cauls, from 0; null where it is several at once. */
  readonly item: number | null;
  /** How many strips, turns or pegs; 1 for a clamp. */
  readonly count: number;
  /** The one joint of the pull that it is for; left out where it is for all of them, or goes by the place of its clamp. */
  readonly joint?: string;
  readonly hand: number;
  readonly startMin: number;
  readonly endMin: number;
}

/** Everything that one pull takes from closed to full pull, on a clock that starts when it is begun. */
export interface PressSteps {
  readonly steps: readonly PressStep[];
  readonly minutes: number;
}

interface Task extends Pick<PressStep, 'kind' | 'item' | 'count' | 'joint'> {
  readonly minutes: number;
}

/**
 * Sets clamps, cauls, strips or the bag of one pull, each by whoever is free first; then, once all are on, brings clamps to
 * full pull in the order of tightening, or drives the pegs that do so in their place. What was put on beforehand takes no time. A row goes from the centre out or from its worst gap, cauls snugged first.
 */
export function pressSteps(pull: PlannedPull, row: RowPlan | null, workforce: Workforce): PressSteps {
  if (pull.pull.beforehand === true) return { steps: [], minutes: 0 };
  const own = row !== null && pull.pull.id === ACROSS ? row : null;
  const { crew, pace } = workforce;
  const free = Array.from({ length: crew }, () => 0);
  const steps: PressStep[] = [];
  const run = (tasks: readonly Task[], notBefore: number) => {
    for (const { minutes, ...task } of tasks) {
      const hand = free.indexOf(Math.min(...free));
      const startMin = Math.max(free[hand] ?? 0, notBefore);
      const endMin = startMin + minutes * pace(task.kind === 'tighten' ? 'tighten' : 'press');
      free[hand] = endMin;
      steps.push({ ...task, hand, startMin, endMin });
    }
  };
  const order = own === null ? orderOfPull(pull) : orderOfRow(own);
  const kinds = own === null ? kindsOf(pull) : own.clampSet.clamps.map(({ lot }) => lot.kind);
  run([...caulTasks(own), ...settingTasks(pull, kinds, order, workforce)], 0);
  run(tighteningTasks(kinds, order), Math.max(0, ...free));
  run(pegTasks(pull), Math.max(0, ...free));
  return { steps, minutes: Math.max(0, ...free) };
}

function caulTasks(row: RowPlan | null): Task[] {
  return Array.from({ length: row?.job.holding.caulPairs ?? 0 }, (_, item) => ({
    kind: 'caul',
    item,
    count: 1,
    minutes: PACE.caulPairMin,
  }));
}

/** Kinds of the pieces of a pull, one by one; null for strips, which go on by the handful. */
const kindsOf = (pull: PlannedPull): (string | null)[] =>
  pull.pieces.map(({ lot }) => (lot.kind === 'tape' ? null : lot.kind));

function settingTasks(
  pull: PlannedPull,
  kinds: readonly (string | null)[],
  order: readonly number[],
  { crew, preSet }: Workforce,
): Task[] {
  const usual = preSet ? PACE.setPreSetClampMin : PACE.setClampMin;
  const strips = pull.taken
    .filter(({ lot }) => lot.kind === 'tape')
    .flatMap(({ count }) =>
      shares(count, crew).map((each): Task => ({
        kind: 'tape',
        item: null,
        count: each,
        minutes: each * STRIP_MIN,
      })),
    );
  const { pieces } = pull;
  return [
    ...strips,
    ...order.map((item): Task => {
      const kind = kinds[item] ?? '';
      if (kind === 'elastic-wrap') {
        const turns = Math.max(1, Math.round((pieces[item]?.forceN ?? 0) / TURN_N));
        return { kind: 'wrap', item, count: turns, minutes: turns * STRIP_MIN };
      }
      const bag = kind !== '' && isBag(kind);
      return {
        kind: bag ? 'bag' : 'set-clamp',
        item,
        count: 1,
        minutes: SNAP_ON.includes(kind) ? SNAP_MIN : usual,
      };
    }),
  ];
}

function tighteningTasks(kinds: readonly (string | null)[], order: readonly number[]): Task[] {
  return order
    .filter((item) => !NOT_TIGHTENED.includes(kinds[item] ?? ''))
    .map((item) => ({ kind: 'tighten', item, count: 1, minutes: PACE.tightenClampMin }));
}

/** Pegs that draw joints home where no clamp does; where clamps do, the glue no longer waits for them. */
const pegTasks = (pull: PlannedPull): Task[] =>
  pull.drawnMm === null ? [] : pegsOf(pull).map((pegs) => ({ kind: 'tap', item: null, ...pegs }));

/** All clamps of a row by their turn, those too short included: nobody is quicker for having placed them. */
const orderOfRow = ({ clampSet }: RowPlan): number[] =>
  [...clampSet.clamps]
    .sort((a, b) => a.tightenAs - b.tightenAs)
    .map((clamp) => clampSet.clamps.indexOf(clamp));

/** Stacks from the centre out; what goes round a post in the middle, at the ends, then between; everything else as it stands. */
function orderOfPull(pull: PlannedPull): number[] {
  const items = kindsOf(pull).flatMap((kind, i) => (kind === null ? [] : [i]));
  if (pull.pull.stacked && pull.pull.need === 'line') {
    return outward(items);
  }
  if (pull.pull.need !== 'band') return items;
  // What goes round holds the post together; what presses it from its sides comes on after that.
  const kinds = kindsOf(pull);
  const goesRound = (item: number) => !isOpposed(pull.pull, kinds[item] ?? '');
  const round = items.filter(goesRound);
  return [
    ...(round.length > 2 ? middleEndsBetween(round) : round),
    ...items.filter((item) => !goesRound(item)),
  ];
}

/** From the middle one outward, either side in turn; by their places among each other, whatever stands between. */
const outward = (items: readonly number[]): number[] =>
  centreOutOrder(
    items.map((_, place) => place),
    items.length - 1,
  ).map((place) => items[place] ?? 0);

/** The middle one, both ends, then the others from the middle outward. */
function middleEndsBetween(items: readonly number[]): number[] {
  const from = outward(items);
  const first = [from[0], items[0], items.at(-1)].filter((item) => item !== undefined);
  return [...first, ...from.filter((item) => !first.includes(item))];
}

/** A number shared out among so many people, as evenly as it goes. */
function shares(count: number, people: number): number[] {
  return Array.from({ length: people }, (_, i) => Math.floor((count + people - 1 - i) / people)).filter(
    (each) => each > 0,
  );
}

import { Clock } from './rest-clock';
import { type Moment, type Rest, restOf } from './rest';

/** An operation with the pairs of hands that are at it. */
export interface Turn {
  readonly operation: string;
  readonly hands: readonly number[];
}

/** How the rest comes out in one order. */
export interface Outlook {
  /** What is left, in the order in which it is begun, and by whose hands. */
  readonly order: readonly Turn[];
  /** By the plan, or by the order taken in its stead already. */
  readonly planned: boolean;
  /** Least that any fuse has to spare, negative when one is missed, min; null where none burns any more. */
  readonly spareMin: number | null;
  /** Joint of that fuse, by name. */
  readonly joint: string | null;
  /** From now until all is done. */
  readonly leftMin: number;
}

/** The rest as the plan, or the order taken in its stead, has it: what ends first comes first. */
export const asPlanned = (moment: Moment): Outlook => {
  const rest = restOf(moment);
  const { order } = moment.position;
  return {
    ...outlook(rest, order.size === 0 ? rest.tasks.map((_, i) => i) : inOrder(rest, order)),
    planned: true,
  };
};

/** Tasks in an order that took the plan's place, as far as what they need is done before them. */
function inOrder(rest: Rest, order: Moment['position']['order']): number[] {
  const clock = new Clock(rest);
  const left = rest.tasks
    .map(({ id }, i) => ({ i, at: order.get(id)?.place ?? Infinity }))
    .sort((a, b) => (a.at === b.at ? a.i - b.i : a.at - b.at));
  const placed: number[] = [];
  while (left.length > 0) {
    const [next] = left.splice(
      Math.max(
        0,
        left.findIndex(({ i }) => clock.isReady(i)),
      ),
      1,
    );
    if (next === undefined) break;
    clock.place(next.i);
    placed.push(next.i);
  }
  return placed;
}

/** Whether no window is missed. */
export const keepsAll = ({ spareMin }: Outlook): boolean => spareMin === null || spareMin >= 0;

/** By the plan where that keeps every window, else in the best order. */
export function plannedOrBest(moment: Moment): Outlook {
  const planned = asPlanned(moment);
  return keepsAll(planned) ? planned : bestOrder(moment);
}

/** States looked at before the best found so far is taken. */
const MOST_STEPS = 4000;
/** The same for many steps, each of which costs more: their product with the number of steps. */
const MOST_WORK = 40_000;

/**
 * The rest in the order that leaves the worst fuse the most to spare; the planned one where no other does better. Tried are all orders
 * that keep what is done to a joint, and all closings, in their sequence, each step begun as soon as hands are free: exhaustive as long
 * as `MOST_STEPS` last, best found beyond.
 */
export function bestOrder(moment: Moment): Outlook {
  const rest = restOf(moment);
  const { tasks } = rest;
  let best = asPlanned(moment);
  if (best.spareMin === null) return best;
  const clock = new Clock(rest);
  const most = Math.min(MOST_STEPS, MOST_WORK / Math.max(1, tasks.length));
  let steps = 0;
  const placed: number[] = [];
  const goOn = (): void => {
    steps += 1;
    if (placed.length === tasks.length) {
      const found = outlook(rest, placed);
      if ((found.spareMin ?? Infinity) > (best.spareMin ?? Infinity) + 1e-9) best = found;
      return;
    }
    for (let i = 0; i < tasks.length && steps <= most; i += 1) {
      if (!clock.isReady(i)) continue;
      const undo = clock.place(i);
      if (clock.mostSpare() > (best.spareMin ?? Infinity) + 1e-9) {
        placed.push(i);
        goOn();
        placed.pop();
      }
      undo();
    }
  };
  goOn();
  return best;
}

function outlook(rest: Rest, order: readonly number[]): Outlook {
  const clock = new Clock(rest);
  for (const i of order) clock.place(i);
  const spares = rest.fuses.map((fuse, i) => ({ label: fuse.label, spareMin: clock.spareOf(fuse, i) }));
  const least = spares.reduce<(typeof spares)[number] | null>(
    (worst, each) => (worst === null || each.spareMin < worst.spareMin ? each : worst),
    null,
  );
  const startOf = (i: number): number => clock.starts[i] ?? 0;
  return {
    order: [...order]
      .sort((a, b) => startOf(a) - startOf(b))
      .flatMap((i): Turn[] => {
        const operation = rest.tasks[i]?.id;
        return operation === undefined ? [] : [{ operation, hands: [...(clock.hands[i] ?? [])].sort() }];
      }),
    planned: false,
    spareMin: least?.spareMin ?? null,
    joint: least?.label ?? null,
    leftMin: Math.max(0, ...clock.ends),
  };
}

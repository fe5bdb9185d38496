import {
  type CalendarAnswer,
  type CalendarProblem,
  datedSessions,
  Openings,
  type ShopHours,
} from '../../calendar';
import type { ShopDocument } from '../../formats';
import type { AssemblyPlanParts } from './assembly-parts';
import { SET_UP_MIN } from './order-problem';
import { ON_A_ROLL } from './pulls';

/** Working hours of a shop that has not said its own: weekdays 8 to 17, Saturday 9 to 13 [judgement]. */
const USUAL_HOURS: readonly ShopHours[] = [
  ...[1, 2, 3, 4, 5].map((day) => ({ day, fromMin: 480, toMin: 1020 })),
  { day: 6, fromMin: 540, toMin: 780 },
];

/** The week of a shop: its own, or the usual one with one bench. */
export function weekOf(shop: ShopDocument): {
  readonly hours: readonly ShopHours[];
  readonly benches: number;
} {
  return shop.week ?? { hours: USUAL_HOURS, benches: 1 };
}

/** A session of a build on the calendar. */
export interface DatedSessionOfBuild {
  /** From 0. */
  readonly session: number;
  readonly start: number;
  readonly handsEnd: number;
  readonly clampsOff: number;
  /** When it may meet a plane or a saw; null where the glue does not tell. */
  readonly machineAt: number | null;
  /** Latest start on the same day from which it still cures over the hours when nobody is there. */
  readonly latestThatDay: number | null;
}

/**
 * Puts the sessions of a build on the calendar from a minute on: each waits for the clamps of those whose joints
 * hang together with its own; clamps, one bench and all hands are taken.
 */
export function datesOf(
  parts: AssemblyPlanParts,
  start: number,
): { readonly status: CalendarAnswer['status']; readonly sessions: readonly DatedSessionOfBuild[] } {
  const { shop } = parts;
  const { hours, benches } = weekOf(shop);
  const openings = Openings.of(hours);
  const sessions = calendarSessions(parts);
  const answer = datedSessions({
    sessions,
    shop: {
      clamps: Object.fromEntries(shop.rack.map(({ id, count }) => [id, count])),
      benches,
      crew: Math.max(parts.build.crew, shop.crew.length),
    },
    openings,
    start,
  });
  const machineMin = Math.max(...parts.joints.map(({ window }) => window.machineMin ?? 0));
  return {
    status: answer.status,
    sessions: answer.items.map((item, session) => {
      const closes = openings.closesAfter(item.start);
      return {
        session,
        ...item,
        machineAt: machineMin > 0 ? item.handsEnd + machineMin : null,
        latestThatDay: closes === null ? null : closes - (sessions[session]?.workMin ?? 0),
      };
    }),
  };
}

function calendarSessions(parts: AssemblyPlanParts): CalendarProblem['sessions'][number][] {
  const { joints, pulls, order, build, handsOnMin } = parts;
  const clampMin = Math.max(...joints.map(({ window }) => window.clampMin?.high ?? 0));
  const made = order?.sessions ?? [];
  const groups =
    made.length === 0
      ? [{ ids: joints.map(({ facts }) => facts.joint.id), workMin: handsOnMin }]
      : made.map((session) => ({ ids: [...session.joints], workMin: session.workMin }));
  const partsOf = (ids: readonly string[]) =>
    new Set(
      joints
        .filter(({ facts }) => ids.includes(facts.joint.id))
        .flatMap(({ facts }) => [facts.joint.a, facts.joint.b]),
    );
  return groups.map(({ ids, workMin }, i) => ({
    workMin: SET_UP_MIN + workMin,
    clampMin,
    crew: build.crew,
    bench: 1,
    clamps: clampsOf(pulls, ids),
    after: groups.slice(0, i).flatMap((earlier, k) => {
      const own = partsOf(ids);
      const together = [...partsOf(earlier.ids)].some((part) => own.has(part));
      return together ? [{ session: k, from: 'clamps' as const, minutes: 0 }] : [];
    }),
  }));
}

/** Clamps that joints tie up: those of each pull by their share of it, all of them where it is one stack. */
function clampsOf(pulls: AssemblyPlanParts['pulls'], ids: readonly string[]): Record<string, number> {
  const sum: Record<string, number> = {};
  for (const { pull, taken } of pulls) {
    const count = pull.joints.filter((joint) => ids.includes(joint)).length;
    if (count === 0) continue;
    const share = pull.stacked ? 1 : count / pull.joints.length;
    for (const { lot, count: all } of taken) {
      if (ON_A_ROLL.includes(lot.kind)) continue;
      // A lot that two pulls share is never asked for more than there is of it.
      sum[lot.id] = Math.min(lot.count, (sum[lot.id] ?? 0) + Math.ceil(all * share - 1e-9));
    }
  }
  return sum;
}

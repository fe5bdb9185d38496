import {
  type BatchJob,
  batchOf,
  type CalendarSession,
  type CalendarShop,
  type Openings,
  type ShopHours,
  type WallMinute,
} from '../../calendar';
import type { ShopDocument } from '../../formats';
import { leadMin, stepsBefore } from '../../choice';
import { PACE } from '../../sequence';
import { glueJobOf } from '../glue-job';
import { withJoints } from '../session-joints';
import type { PlanParts } from '../plan';
import { paceOf } from '../order/paces';
import { SET_UP_MIN } from '../order/workforce';
import { ON_A_ROLL } from '../pulls/take-from-rack';

/** Working hours of a shop that has not said its own: weekdays 8 to 17, Saturday 9 to 13 [judgement]. */
const USUAL_HOURS: readonly ShopHours[] = [
  ...[1, 2, 3, 4, 5].map((day) => ({ day, fromMin: 480, toMin: 1020 })),
  { day: 6, fromMin: 540, toMin: 780 },
];

/** The week of a shop: its own, or the usual one; benches as they are listed, else as they are counted, else one. */
export function weekOf(shop: ShopDocument): {
  readonly hours: readonly ShopHours[];
  readonly benches: number;
} {
  const { hours, benches } = shop.week ?? { hours: USUAL_HOURS, benches: 1 };
  return { hours, benches: shop.benches?.length || benches };
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

/** What a shop has to put sessions on: its rack, benches and people, or as many as a build counts on. */
export function calendarShop(shop: ShopDocument, crew: number): CalendarShop {
  return {
    clamps: Object.fromEntries(shop.rack.map(({ id, count }) => [id, count])),
    benches: weekOf(shop).benches,
    crew: Math.max(crew, shop.crew.length),
  };
}

/** Latest start in the opening that contains a start, from which the work is still done before closing. */
export function latestStart(openings: Openings, start: WallMinute, workMin: number): WallMinute | null {
  const closes = openings.closesAfter(start);
  return closes === null ? null : closes - workMin;
}

/** Wait from the end of hands-on work until the wood may meet a plane, min; zero where the glue does not tell. */
export function machineMinutes({ joints }: Pick<PlanParts, 'joints'>): number {
  return Math.max(0, ...joints.map(({ window }) => window.machineMin ?? 0));
}

/** Time in clamps at the long end of what the joints need, min. */
function clampMinutes({ joints }: Pick<PlanParts, 'joints'>): number {
  return Math.max(...joints.map(({ window }) => window.clampMin?.high ?? 0));
}

/**
 * Sessions of a build as the calendar sees them. Pieces of which several are made go through the clamps one after the
 * other, as many at once as the rack holds, before the session is left to cure.
 */
export function calendarSessions(parts: PlanParts): CalendarSession[] {
  const { joints, pulls, order, build, handsOnMin, facts } = parts;
  const clampMin = clampMinutes(parts);
  const made = order?.sessions ?? [];
  const groups =
    made.length === 0
      ? [{ ids: joints.map(({ facts }) => facts.joint.id), workMin: handsOnMin }]
      : made.map((session) => ({ ids: [...session.joints], workMin: session.workMin }));
  const { sets } = facts.assembly;
  const partsOf = (ids: readonly string[]) =>
    new Set(
      joints
        .filter(({ facts }) => ids.includes(facts.joint.id))
        .flatMap(({ facts }) => [facts.joint.a, facts.joint.b]),
    );
  // Heating, sizing and dried coats go on beside the set-up.
  const before = (ids: readonly string[]) =>
    Math.max(SET_UP_MIN, leadMin(stepsBefore(parts.adhesive, glueJobOf(withJoints(parts, ids), null))));
  return groups.map(({ ids, workMin }, i) => ({
    workMin: before(ids) + (sets > 1 ? batchMinutes(parts, ids, workMin) : workMin),
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

/** Hands-on time until the last of several equal pieces is in its clamps. */
function batchMinutes(parts: PlanParts, ids: readonly string[], workMin: number): number {
  return (batchOf(batchJobOf(parts, ids, workMin)).startMin.at(-1) ?? 0) + workMin;
}

/** Making all pieces of a build one after the other, for the joints of one session. */
export function batchJobOf(parts: PlanParts, ids: readonly string[], handsOnMin: number): BatchJob {
  const { shop, pulls, facts } = parts;
  const clamps = clampsOf(pulls, ids);
  const each = Object.entries(clamps).filter(([, count]) => count > 0);
  const rack = new Map(shop.rack.map(({ id, count }) => [id, count]));
  const { sets } = facts.assembly;
  return {
    pieces: sets,
    handsOnMin,
    clampMin: clampMinutes(parts),
    unclampMin:
      each.reduce((sum, [, count]) => sum + count, 0) * PACE.takeOffClampMin * paceOf(shop)('press'),
    clampSets: Math.max(
      1,
      Math.min(sets, ...each.map(([lot, count]) => Math.floor((rack.get(lot) ?? 0) / count))),
    ),
  };
}

/** Clamps that joints tie up: those of each pull by their share of it, all of them where it is one stack. */
export function clampsOf(pulls: PlanParts['pulls'], ids: readonly string[]): Record<string, number> {
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

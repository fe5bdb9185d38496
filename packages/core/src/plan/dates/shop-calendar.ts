import {
  type CalendarAnswer,
  type CalendarSession,
  datedSessions,
  type NoPlace,
  Openings,
  sessionsWithoutPlace,
  type Taken,
  type WallMinute,
} from '../../calendar';
import type { ShopDocument } from '../../formats';
import {
  calendarSessions,
  calendarShop,
  type DatedSessionOfBuild,
  latestStart,
  machineMinutes,
  weekOf,
} from './dates';
import type { Plan } from '../plan';

/** A build to be put on the calendar of the shop. */
export interface BuildToDate {
  readonly id: string;
  readonly name: string;
  readonly crew: number;
  readonly sessions: readonly CalendarSession[];
  readonly machineMin: number;
  /** What it takes from the shelf. */
  readonly adhesive: string;
  readonly volumeMl: number;
  /** Of its four verdicts, those that fail. */
  readonly failing: number;
}

/** A session on the calendar of the shop. */
export interface ShopSession extends DatedSessionOfBuild {
  readonly build: string;
  readonly name: string;
  /** How many sessions the build has. */
  readonly of: number;
}

/** What the shop could glue up from a minute on. */
export interface ShopCalendar {
  readonly status: CalendarAnswer['status'];
  /** In the order of starting. */
  readonly sessions: readonly ShopSession[];
  /** Builds for which there is no day, and why. */
  readonly noPlace: readonly { readonly name: string; readonly code: NoPlace['code'] }[];
  /**
   * The session to start last on the first day on which the shop is open, so that the longest wait falls into the
   * night, and until when [judgement]; null where nothing is planned for that day or the shop never closes.
   */
  readonly lastOfDay: { readonly session: ShopSession; readonly by: WallMinute } | null;
}

/** The sessions of a planned build; none where its glue is refused in this air or its order cannot be made. */
export function buildToDate(id: string, plan: Plan): BuildToDate {
  const { name, crew } = plan.build;
  const { adhesive } = plan.build.glue;
  const { volumeMl } = plan.totals;
  const failing = Object.values(plan.verdicts).filter(({ state }) => state === 'fails').length;
  const refused = plan.joints.some(({ window }) => window.clampMin === null);
  const sessions = refused || plan.order === null || plan.order.impossible ? [] : calendarSessions(plan);
  return { id, name, crew, sessions, machineMin: machineMinutes(plan), adhesive, volumeMl, failing };
}

/** A glue that builds take, and what there is of it. */
export interface GlueWanted {
  readonly adhesive: string;
  readonly wantedMl: number;
  /** In bottles that still hold something. */
  readonly thereMl: number;
  readonly builds: readonly string[];
}

/** What has to be bought before all of these builds are glued, the greatest lack first. */
export const glueToGet = (builds: readonly BuildToDate[], shop: ShopDocument): GlueWanted[] =>
  glueWanted(builds, shop).filter(({ wantedMl, thereMl }) => wantedMl > thereMl);

/** Every glue that builds take, the greatest lack first. */
export function glueWanted(builds: readonly BuildToDate[], { bottles }: ShopDocument): GlueWanted[] {
  const adhesives = [...new Set(builds.map(({ adhesive }) => adhesive))];
  return adhesives
    .map((adhesive): GlueWanted => {
      const own = builds.filter((build) => build.adhesive === adhesive);
      return {
        adhesive,
        wantedMl: own.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
        thereMl: bottles
          .filter((bottle) => bottle.adhesive === adhesive)
          .reduce((sum, { remainingMl }) => sum + remainingMl, 0),
        builds: own.map(({ name }) => name),
      };
    })
    .sort((a, b) => b.wantedMl - b.thereMl - (a.wantedMl - a.thereMl));
}

/** Clamps and the bench that a build holds until its clamps come off. */
export function heldBy({ sessions }: BuildToDate, until: WallMinute): Taken[] {
  const last = sessions.at(-1);
  return last === undefined ? [] : [{ clamps: last.clamps, bench: last.bench, until }];
}

/**
 * Puts the sessions of all builds on one calendar: they share clamps, benches, hands and hours. Builds that no day
 * can hold are named and left out.
 */
export function shopCalendar(
  builds: readonly BuildToDate[],
  shop: ShopDocument,
  start: WallMinute,
  taken: readonly Taken[] = [],
): ShopCalendar {
  const openings = Openings.of(weekOf(shop).hours);
  const crew = Math.max(1, ...builds.map((build) => build.crew));
  const there = { shop: calendarShop(shop, crew), openings };
  const alone = builds.map((build) => ({
    build,
    why: sessionsWithoutPlace({ ...there, sessions: build.sessions })[0],
  }));
  const placed = alone.flatMap(({ build, why }) => (why === undefined ? [build] : []));
  const answer = datedSessions({ ...there, sessions: oneAfterTheOther(placed), start, taken });
  const named = placed.flatMap((build) => build.sessions.map((session, i) => ({ build, session, i })));
  const sessions = answer.items.flatMap((item, k): ShopSession[] => {
    const own = named[k];
    if (own === undefined) return [];
    const { build, session, i } = own;
    return [
      {
        build: build.id,
        name: build.name,
        session: i,
        of: build.sessions.length,
        ...item,
        machineAt: build.machineMin > 0 ? item.handsEnd + build.machineMin : null,
        latestThatDay: latestStart(openings, item.start, session.workMin),
      },
    ];
  });
  return {
    status: answer.status,
    sessions: [...sessions].sort((a, b) => a.start - b.start),
    noPlace: alone.flatMap(({ build, why }) =>
      why === undefined ? [] : [{ name: build.name, code: why.code }],
    ),
    lastOfDay: lastOfDay(sessions, openings, start),
  };
}

/** Sessions of all builds in one list, their waits pointing at where they stand in it. */
function oneAfterTheOther(builds: readonly BuildToDate[]): CalendarSession[] {
  return builds.flatMap(({ sessions }, i) => {
    const before = builds.slice(0, i).reduce((sum, other) => sum + other.sessions.length, 0);
    return sessions.map((session) => ({
      ...session,
      after: session.after.map((wait) => ({ ...wait, session: wait.session + before })),
    }));
  });
}

/** The dates of one build by itself; sessions is empty where no day can hold it, and `noPlace` then says why. */
export function datesOf(
  plan: Plan,
  start: WallMinute,
): Pick<ShopCalendar, 'status' | 'sessions' | 'noPlace'> {
  return shopCalendar([buildToDate('', plan)], plan.shop, start);
}

/** Of the sessions planned before the shop closes next, the one whose clamps stay on longest. */
function lastOfDay(
  sessions: readonly ShopSession[],
  openings: Openings,
  start: WallMinute,
): ShopCalendar['lastOfDay'] {
  const opens = openings.nextStart(start, 1);
  const closes = opens === null ? null : openings.closesAfter(opens);
  if (closes === null) return null;
  const today = sessions.filter((session) => session.start < closes);
  const [longest] = [...today].sort((a, b) => b.clampsOff - b.handsEnd - (a.clampsOff - a.handsEnd));
  if (longest === undefined) return null;
  return { session: longest, by: closes - (longest.handsEnd - longest.start) };
}

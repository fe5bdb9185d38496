import type { ClampCount } from '../sequence';
import type { Openings } from './openings';
import type { WallMinute } from './wall-time';

/** A wait for another session: from its clamps coming off, from its hands leaving it, or minutes after clamps. */
export interface Wait {
  /** Index of the session waited for. */
  readonly session: number;
  /** Minutes after the end of hands-on work, or after clamps come off. */
  readonly from: 'hands' | 'clamps';
  readonly minutes: number;
}

/** A session to be put on the calendar. */
export interface CalendarSession {
  /** Set-up and hands-on work together, in one go, min. */
  readonly workMin: number;
  readonly clampMin: number;
  readonly crew: number;
  readonly clamps: ClampCount;
  readonly bench: number;
  readonly after: readonly Wait[];
}

/** What there is to work with. */
export interface CalendarShop {
  readonly clamps: ClampCount;
  readonly benches: number;
  readonly crew: number;
}

/** When a session starts, hands are free again, and clamps come off. */
export interface CalendarItem {
  readonly start: WallMinute;
  readonly handsEnd: WallMinute;
  readonly clampsOff: WallMinute;
}

/** Clamps and benches that something on them before holds for a while. */
export interface Taken {
  readonly clamps: ClampCount;
  readonly bench: number;
  readonly until: WallMinute;
}

/** A question to `datedSessions`. */
export interface CalendarProblem {
  readonly sessions: readonly CalendarSession[];
  readonly shop: CalendarShop;
  readonly openings: Openings;
  readonly start: WallMinute;
  /** What is held from before the start. */
  readonly taken?: readonly Taken[] | undefined;
}

/** A session that no calendar can hold, and why. */
export interface NoPlace {
  readonly code:
    'too-few-clamps' | 'too-few-hands' | 'too-few-benches' | 'no-opening-long-enough' | 'waits-in-a-circle';
  readonly sessions: readonly number[];
}

/** Dates of all sessions. */
export interface CalendarAnswer {
  readonly status: 'proven' | 'best-found' | 'infeasible';
  readonly items: readonly CalendarItem[];
  readonly noPlace: readonly NoPlace[];
}

/** Orders of six sessions are gone through completely; of more, as many as cost about the same. */
const MOST_STEPS = 60_000;
const FEWEST_STEPS = 200;
const EXACT_SESSIONS = 6;

/**
 * Puts sessions on the calendar so that the last clamps come off as early as can be.
 *
 * Sessions are placed one after the other, each as early as what is placed already allows. Some order of placing
 * gives the best calendar: in a best one, pull every session as early as it goes; placed in the order of their
 * starts each lands where it was. So orders are gone through, leaving off where even without clamps, hands and
 * benches the rest could not finish sooner than the best so far. Deterministic.
 */
export function datedSessions(problem: CalendarProblem): CalendarAnswer {
  const noPlace = sessionsWithoutPlace(problem);
  if (noPlace.length > 0) return { status: 'infeasible', items: [], noPlace };
  const search = new Placing(problem);
  const proven = search.run();
  return { status: proven ? 'proven' : 'best-found', items: search.best, noPlace: [] };
}

/** Sessions that no calendar can hold, found without looking for one. */
export function sessionsWithoutPlace({
  sessions,
  shop,
  openings,
}: Pick<CalendarProblem, 'sessions' | 'shop' | 'openings'>): NoPlace[] {
  const found: NoPlace[] = [];
  sessions.forEach(({ workMin, crew, clamps, bench }, i) => {
    const short = Object.entries(clamps).some(([kind, count]) => count > (shop.clamps[kind] ?? 0));
    if (short) found.push({ code: 'too-few-clamps', sessions: [i] });
    if (crew > shop.crew) found.push({ code: 'too-few-hands', sessions: [i] });
    if (bench > shop.benches) found.push({ code: 'too-few-benches', sessions: [i] });
    if (workMin > openings.longestMin() || openings.longestMin() === 0) {
      found.push({ code: 'no-opening-long-enough', sessions: [i] });
    }
  });
  const circle = circleIn(sessions);
  return circle.length > 0 ? [...found, { code: 'waits-in-a-circle', sessions: circle }] : found;
}

/** Sessions left when those are taken away, again and again, that wait for none of the rest. */
function circleIn(sessions: readonly CalendarSession[]): number[] {
  let left = sessions.map((_, i) => i);
  for (;;) {
    const rest = left.filter((i) => sessions[i]?.after.some(({ session }) => left.includes(session)));
    if (rest.length === left.length) return rest;
    left = rest;
  }
}

class Placing {
  best: readonly CalendarItem[] = [];
  private bestFinish = Infinity;
  private steps = 0;
  private readonly items: (CalendarItem | null)[];
  private readonly mostSteps: number;
  private readonly tails: readonly number[];
  private readonly taken: readonly Taken[];

  constructor(private readonly problem: CalendarProblem) {
    this.items = problem.sessions.map(() => null);
    this.tails = tailsOf(problem.sessions);
    this.taken = problem.taken ?? [];
    // A step looks at each session beside each other at each moment.
    const dearer = Math.max(1, problem.sessions.length / EXACT_SESSIONS) ** 4;
    this.mostSteps = Math.max(FEWEST_STEPS, MOST_STEPS / dearer);
  }

  /** True where every order was gone through. */
  run(): boolean {
    this.place(0, -Infinity);
    return this.steps < this.mostSteps;
  }

  private place(count: number, finish: number): void {
    const { sessions } = this.problem;
    if (count === sessions.length) {
      if (finish < this.bestFinish) {
        this.bestFinish = finish;
        this.best = this.items.filter((item) => item !== null);
      }
      return;
    }
    if (this.steps >= this.mostSteps && this.best.length > 0) return;
    this.steps += 1;
    if (this.leastFinish() >= this.bestFinish - 1e-9) return;
    const next = sessions
      .map((session, i) => ({ i, item: this.items[i] === null ? this.earliest(session) : null }))
      .flatMap(({ i, item }) => (item === null ? [] : [{ i, item, tail: this.tails[i] ?? 0 }]))
      .sort((x, y) => x.item.start - y.item.start || y.tail - x.tail || x.i - y.i);
    for (const { i, item } of next) {
      this.items[i] = item;
      this.place(count + 1, Math.max(finish, item.clampsOff));
      this.items[i] = null;
    }
  }

  /** Earliest finish of the whole if clamps, hands and benches never ran out. */
  private leastFinish(): number {
    const { sessions, openings, start } = this.problem;
    const known = new Map<number, CalendarItem>();
    const itemOf = (i: number): CalendarItem => {
      const ready = this.items[i] ?? known.get(i);
      if (ready !== undefined && ready !== null) return ready;
      const session = sessions[i];
      const from = Math.max(
        start,
        ...(session?.after ?? []).map((wait) => readyAfter(wait, itemOf(wait.session))),
      );
      const item = itemAt(session, openings.nextStart(from, session?.workMin ?? 0) ?? Infinity);
      known.set(i, item);
      return item;
    };
    return Math.max(...sessions.map((_, i) => itemOf(i).clampsOff));
  }

  /** The earliest place for a session beside those placed; null while it waits for one that is not. */
  private earliest(session: CalendarSession): CalendarItem | null {
    const { openings, start } = this.problem;
    let from = start;
    for (const wait of session.after) {
      const other = this.items[wait.session];
      if (other === undefined || other === null) return null;
      from = Math.max(from, readyAfter(wait, other));
    }
    // What is taken becomes free only when hands leave another session or its clamps come off.
    const frees = this.items
      .flatMap((item) => (item === null ? [] : [item.handsEnd, item.clampsOff]))
      .concat(this.taken.map(({ until }) => until))
      .sort((x, y) => x - y);
    for (;;) {
      const at = openings.nextStart(from, session.workMin);
      if (at === null) return null;
      const item = itemAt(session, at);
      if (this.fits(session, item)) return item;
      const next = frees.find((free) => free > at + 1e-9);
      if (next === undefined) return null;
      from = next;
    }
  }

  private fits(session: CalendarSession, item: CalendarItem): boolean {
    const { sessions, shop } = this.problem;
    const others = [
      ...this.items.flatMap((other, i) => {
        const placed = sessions[i];
        return other === null || placed === undefined ? [] : [{ ...other, session: placed }];
      }),
      ...this.taken.map(({ until, clamps, bench }) => ({
        start: -Infinity,
        handsEnd: -Infinity,
        clampsOff: until,
        session: { clamps, bench, crew: 0 },
      })),
    ];
    // Demand rises only where something starts.
    const moments = [item.start, ...others.map(({ start }) => start)].filter(
      (at) => at >= item.start - 1e-9 && at < item.clampsOff - 1e-9,
    );
    return moments.every((at) => {
      const there = others.filter(({ start, clampsOff }) => start <= at + 1e-9 && clampsOff > at + 1e-9);
      const busy = there.filter(({ handsEnd }) => handsEnd > at + 1e-9);
      const hands = at < item.handsEnd - 1e-9 ? session.crew : 0;
      const crew = busy.reduce((sum, other) => sum + other.session.crew, hands);
      const bench = there.reduce((sum, other) => sum + other.session.bench, session.bench);
      if ((hands > 0 && crew > shop.crew) || bench > shop.benches) return false;
      return Object.entries(session.clamps).every(
        ([kind, count]) =>
          there.reduce((sum, other) => sum + (other.session.clamps[kind] ?? 0), count) <=
          (shop.clamps[kind] ?? 0),
      );
    });
  }
}

/** Longest run of waits that hangs on each session; among equals the longest goes first. */
function tailsOf(sessions: readonly CalendarSession[]): number[] {
  const known = new Map<number, number>();
  const tailOf = (i: number): number => {
    const ready = known.get(i);
    if (ready !== undefined) return ready;
    const own = (sessions[i]?.workMin ?? 0) + (sessions[i]?.clampMin ?? 0);
    const later = sessions.flatMap(({ after }, j) =>
      after.some(({ session }) => session === i) ? [tailOf(j)] : [],
    );
    const tail = own + Math.max(0, ...later);
    known.set(i, tail);
    return tail;
  };
  return sessions.map((_, i) => tailOf(i));
}

function itemAt(session: CalendarSession | undefined, start: WallMinute): CalendarItem {
  const handsEnd = start + (session?.workMin ?? 0);
  return { start, handsEnd, clampsOff: handsEnd + (session?.clampMin ?? 0) };
}

function readyAfter({ from, minutes }: Wait, item: CalendarItem): WallMinute {
  return (from === 'hands' ? item.handsEnd : item.clampsOff) + minutes;
}

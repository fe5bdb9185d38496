import type { Question } from './sequence-question';

/**
 * Sequences by walking through every moment: a second opinion that shares no code with the solver.
 *
 * All durations are whole minutes, so some best timing starts everything at whole minutes, too; at each of them
 * any work that could start may start or wait. States of a session are visited in the order of the share of the
 * windows used on the way there, so the first visit to an end is the gentlest.
 */

/** Joints of two sides that are or were being closed in this session. */
interface Closing {
  readonly joints: readonly number[];
  readonly age: number;
}

/** Ages in minutes since works began; −1 before. */
interface Moment {
  readonly spread: readonly number[];
  /** In the order in which they began. */
  readonly closings: readonly Closing[];
  readonly clamp: readonly number[];
}

const AXES = ['x', 'y', 'z'];

/** A direction as three signs. */
function signsOf(name: string): string {
  return AXES.map((axis) => (name.includes(`+${axis}`) ? 1 : name.includes(`-${axis}`) ? -1 : 0)).join();
}

const ALL_SIGNS = [-1, 0, 1]
  .flatMap((x) => [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((z) => [x, y, z].join())))
  .filter((signs) => signs !== '0,0,0');

function turned(signs: string): string {
  return signs
    .split(',')
    .map((sign) => `${0 - Number(sign)}`)
    .join();
}

/** A walk through more moments than this is not taken. */
const MOST_MOMENTS = 6_000;

/** Fewest sessions and the greatest worst margin; null where there are none; "too-many" moments to walk through. */
export function bruteSequence(
  question: Question,
): { readonly sessions: number; readonly worstMargin: number } | null | 'too-many' {
  const n = question.joints.length;
  const whole = 2 ** n - 1;
  let reached = new Map<number, number>([[0, 0]]);
  for (let sessions = 1; sessions <= n; sessions += 1) {
    const next = new Map<number, number>();
    for (const [made, share] of reached) {
      const found = sessionsFrom(question, made);
      if (found === null) return 'too-many';
      for (const [then, own] of found) {
        const worst = Math.max(share, own);
        if (worst < (next.get(then) ?? Infinity)) next.set(then, worst);
      }
    }
    const done = next.get(whole);
    if (done !== undefined) return { sessions, worstMargin: 1 - done };
    reached = next;
  }
  return null;
}

/** Everything one session can make out of a state, with the least share of the tightest window. */
function sessionsFrom(question: Question, made: number): Map<number, number> | null {
  const blank = question.joints.map(() => -1);
  const ends = new Map<number, number>();
  const visited = new Set<string>();
  // Moments waiting to be looked at, by the share used so far.
  const waiting = new Map<number, Moment[]>();
  const look = (moment: Moment, share: number) => {
    if (visited.has(keyOf(moment))) return;
    const others = waiting.get(share) ?? [];
    others.push(moment);
    waiting.set(share, others);
  };
  look({ spread: blank, closings: [], clamp: blank }, 0);
  while (waiting.size > 0) {
    const share = Math.min(...waiting.keys());
    const moment = waiting.get(share)?.pop();
    if (moment === undefined) {
      waiting.delete(share);
      continue;
    }
    if (visited.has(keyOf(moment))) continue;
    visited.add(keyOf(moment));
    if (visited.size > MOST_MOMENTS) return null;
    const bench = new Bench(question, made, moment);
    if (bench.isDone()) {
      const then = bench.touched.reduce((set, i) => set | (1 << i), made);
      if (share < (ends.get(then) ?? Infinity)) ends.set(then, share);
    }
    for (const next of bench.whatCouldStart()) look(next, share);
    const later = bench.oneMinuteLater();
    if (later !== null) look(later.moment, Math.max(share, later.share));
  }
  return ends;
}

/** Ages and closings as text; what began together began in any order. */
function keyOf({ spread, closings, clamp }: Moment): string {
  const closed = closings.map(({ joints, age }) => `${joints.join('+')}@${age}`).join();
  return `${spread.join()}|${closed}|${clamp.join()}`;
}

/** What the bench looks like at one moment. */
class Bench {
  readonly touched: readonly number[];
  private readonly side = new Map<string, string>();
  private readonly busySides = new Set<string>();
  private readonly closed = new Set<number>();
  private freeHands: number;

  constructor(
    private readonly question: Question,
    private readonly made: number,
    private readonly moment: Moment,
  ) {
    const { joints, crew } = question;
    this.touched = joints.flatMap((_, i) => (this.age('spread', i) >= 0 ? [i] : []));
    this.freeHands = crew;
    for (const [i, { a, b }] of joints.entries())
      if (this.isMade(i)) this.side.set(this.find(a), this.find(b));
    for (const closing of moment.closings) {
      const { a = '', b = '' } = joints[closing.joints[0] ?? 0] ?? {};
      if (closing.age >= this.minutesToClose(closing.joints)) {
        this.side.set(this.find(a), this.find(b));
        for (const joint of closing.joints) this.closed.add(joint);
      } else {
        this.busySides.add(this.find(a)).add(this.find(b));
        this.freeHands -= this.handsToClose(closing.joints);
      }
    }
    for (const i of this.touched) {
      if (this.runs('spread', i)) this.freeHands -= 1;
      if (this.runs('clamp', i)) this.freeHands -= 1;
    }
  }

  isDone(): boolean {
    return (
      this.touched.length > 0 && this.touched.every((i) => this.age('clamp', i) >= this.minutes('clamp', i))
    );
  }

  whatCouldStart(): Moment[] {
    const { joints } = this.question;
    const { spread, closings, clamp } = this.moment;
    const begun = (ages: readonly number[], which: number) => ages.map((age, i) => (i === which ? 0 : age));
    const next: Moment[] = [];
    for (const [i, { a, b }] of joints.entries()) {
      if (this.freeHands < 1) break;
      const open = !this.isMade(i) && spread[i] === -1 && this.find(a) !== this.find(b);
      if (open && this.enoughClamps([...this.touched, i]))
        next.push({ ...this.moment, spread: begun(spread, i) });
      if (this.closed.has(i) && clamp[i] === -1) next.push({ ...this.moment, clamp: begun(clamp, i) });
    }
    for (const group of this.groups()) {
      const ready = group.every((i) => this.age('spread', i) >= 0 && !this.runs('spread', i));
      if (ready && this.handsToClose(group) <= this.freeHands && this.comesTogether(group)) {
        next.push({ ...this.moment, closings: [...closings, { joints: group, age: 0 }] });
      }
    }
    return next;
  }

  /** The next minute, with the share of the windows that what ends in it has used; null where one is overrun. */
  oneMinuteLater(): { readonly moment: Moment; readonly share: number } | null {
    if (this.touched.length === 0 || this.isDone()) return null;
    const { window, marginShare = 0 } = this.question;
    const left = 1 - marginShare;
    const older = (ages: readonly number[]) => ages.map((age) => (age < 0 ? age : age + 1));
    const moment: Moment = {
      spread: older(this.moment.spread),
      closings: this.moment.closings.map(({ joints, age }) => ({ joints, age: age + 1 })),
      clamp: older(this.moment.clamp),
    };
    let share = 0;
    for (const i of this.touched) {
      const sinceSpread = moment.spread[i] ?? 0;
      const closing = moment.closings.find(({ joints }) => joints.includes(i));
      const sinceClosed = closing === undefined ? -1 : closing.age - this.minutesToClose(closing.joints);
      const waitsToClose = !this.closed.has(i);
      const waitsForClamps = this.age('clamp', i) < this.minutes('clamp', i);
      if (waitsToClose) share = Math.max(share, sinceSpread / (window.openMin * left));
      if (waitsForClamps) share = Math.max(share, sinceSpread / (window.totalMin * left));
      if (waitsForClamps && sinceClosed > 0) share = Math.max(share, sinceClosed / (window.closedMin * left));
    }
    return share > 1 + 1e-12 ? null : { moment: this.settled(moment), share };
  }

  /** Joints that are done no longer age, so that moments which differ in nothing else are the same. */
  private settled({ spread, closings, clamp }: Moment): Moment {
    const done = (i: number) => (clamp[i] ?? -1) >= this.minutes('clamp', i);
    return {
      spread: spread.map((age, i) => (done(i) ? this.minutes('spread', i) : age)),
      closings: closings.map(({ joints, age }) => ({
        joints,
        age: joints.every(done) ? this.minutesToClose(joints) : age,
      })),
      clamp: clamp.map((age, i) => (done(i) ? this.minutes('clamp', i) : age)),
    };
  }

  private isMade(i: number): boolean {
    return ((this.made >> i) & 1) === 1;
  }

  private age(work: 'spread' | 'clamp', i: number): number {
    return this.moment[work][i] ?? -1;
  }

  private minutes(work: 'spread' | 'clamp', i: number): number {
    return this.question.joints[i]?.[`${work}Min`] ?? 0;
  }

  private runs(work: 'spread' | 'clamp', i: number): boolean {
    return this.age(work, i) >= 0 && this.age(work, i) < this.minutes(work, i);
  }

  private find(id: string): string {
    const up = this.side.get(id) ?? id;
    return up === id ? id : this.find(up);
  }

  private minutesToClose(joints: readonly number[]): number {
    return Math.max(...joints.map((i) => this.question.joints[i]?.closeMin ?? 0));
  }

  private handsToClose(joints: readonly number[]): number {
    return Math.max(...joints.map((i) => this.question.joints[i]?.hands ?? 1));
  }

  private enoughClamps(joints: readonly number[]): boolean {
    const { clamps } = this.question;
    if (clamps === undefined) return true;
    const use: Record<string, number> = {};
    for (const i of joints) {
      for (const [kind, count] of Object.entries(this.question.joints[i]?.clamps ?? {})) {
        use[kind] = (use[kind] ?? 0) + count;
      }
    }
    return Object.entries(use).every(([kind, count]) => count <= (clamps[kind] ?? 0));
  }

  /** All joints between each two sides that nobody is closing. */
  private groups(): number[][] {
    const groups = new Map<string, number[]>();
    for (const [i, { a, b }] of this.question.joints.entries()) {
      const sides = [this.find(a), this.find(b)].sort();
      if (this.isMade(i) || sides[0] === sides[1] || sides.some((side) => this.busySides.has(side))) continue;
      groups.set(sides.join('|'), [...(groups.get(sides.join('|')) ?? []), i]);
    }
    return [...groups.values()];
  }

  /** Whether some direction is open to all joints of a group, seen from the same side. */
  private comesTogether(group: readonly number[]): boolean {
    const side = this.find(this.question.joints[group[0] ?? 0]?.a ?? '');
    const ways = group.map((i) => {
      const { a = '', release = [] } = this.question.joints[i] ?? {};
      const signs = release.includes('any') ? ALL_SIGNS : release.map(signsOf);
      return new Set(this.find(a) === side ? signs : signs.map(turned));
    });
    return ALL_SIGNS.some((signs) => ways.every((set) => set.has(signs)));
  }
}

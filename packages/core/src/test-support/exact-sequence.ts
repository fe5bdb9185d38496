import type { Question } from './sequence-question';

/**
 * The fewest sessions and the most room in the tightest window, by going through all there is: a second opinion that shares no code
 * with the solver and goes the other way. States are sets of joints made so far, from none upwards; each closing is timed by every
 * order of its beads and every order of its clamps.
 *
 * Range: fourteen joints or so; closings of more joints than `MOST_TOGETHER` that could be in time give up.
 */

/** What is best; null where nothing can be made. */
export type ExactAnswer = { readonly sessions: number; readonly worstMargin: number } | null | 'too-many';

/** Clamps in use in a session, and how many sessions were used. */
interface Way {
  readonly sessions: number;
  readonly used: readonly number[];
}

const MOST_TOGETHER = 5;
const STATES = 200_000;

export function exactSequence(question: Question): ExactAnswer {
  const { joints } = question;
  const kinds = question.clamps === undefined ? [] : kindsOf(question);
  const there = kinds.map((kind) => question.clamps?.[kind] ?? 0);
  const need = joints.map(({ clamps }) => kinds.map((kind) => clamps?.[kind] ?? 0));
  const ends = endsOf(question);
  const shares = new Map<number, number>();
  let gaveUp = false;
  const shareOf = (set: number): number => {
    const known = shares.get(set);
    if (known !== undefined) return known;
    const share = gentlest(question, listOf(set));
    if (share === 'too-many') gaveUp = true;
    shares.set(set, share === 'too-many' ? Infinity : share);
    return shares.get(set) ?? Infinity;
  };
  const taken = new Map<number, readonly number[]>();
  const takesOf = (set: number): readonly number[] => {
    const known =
      taken.get(set) ?? kinds.map((_, k) => listOf(set).reduce((sum, i) => sum + (need[i]?.[k] ?? 0), 0));
    taken.set(set, known);
    return known;
  };
  const after = new Map<number, readonly number[]>();
  const closings = (made: number): readonly number[] => {
    const known = after.get(made) ?? nextClosings(ends, made);
    after.set(made, known);
    return known;
  };
  /** Fewest sessions with no closing above a share of its window; null where that makes nothing. */
  const fewest = (most: number): number | null => {
    const whole = 2 ** joints.length - 1;
    const ways = new Map<number, Way[]>([[0, [{ sessions: 0, used: there }]]]);
    // Joints are only ever added, so states in order of their number come after all that lead to them.
    for (let made = 0; made < whole; made += 1) {
      const here = ways.get(made);
      if (here === undefined) continue;
      for (const set of closings(made)) {
        if (shareOf(set) > most) continue;
        const takes = takesOf(set);
        if (takes.some((count, k) => count > (there[k] ?? 0))) continue;
        const next = made | set;
        const reached = ways.get(next) ?? [];
        ways.set(next, reached);
        for (const { sessions, used } of here) {
          const more = used.map((count, k) => count + (takes[k] ?? 0));
          const fits = sessions > 0 && more.every((count, k) => count <= (there[k] ?? 0));
          keep(reached, fits ? { sessions, used: more } : { sessions: sessions + 1, used: takes });
        }
      }
      if (ways.size > STATES) gaveUp = true;
    }
    const [best] = (ways.get(whole) ?? []).map(({ sessions }) => sessions).sort((x, y) => x - y);
    return best ?? null;
  };
  const sessions = fewest(1 + 1e-9);
  if (gaveUp) return 'too-many';
  if (sessions === null) return null;
  const levels = [...new Set([...shares.values()].filter((share) => share <= 1 + 1e-9))].sort(
    (x, y) => x - y,
  );
  let [low, high] = [0, levels.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (fewest((levels[middle] ?? 0) + 1e-12) === sessions) high = middle;
    else low = middle + 1;
  }
  return gaveUp ? 'too-many' : { sessions, worstMargin: 1 - (levels[low] ?? 0) };
}

function keep(ways: Way[], way: Way): void {
  const covers = (one: Way, other: Way) =>
    one.sessions < other.sessions ||
    (one.sessions === other.sessions && one.used.every((count, k) => count <= (other.used[k] ?? 0)));
  if (ways.some((other) => covers(other, way))) return;
  for (let i = ways.length - 1; i >= 0; i -= 1) {
    const other = ways[i];
    if (other !== undefined && covers(way, other)) ways.splice(i, 1);
  }
  ways.push(way);
}

function kindsOf({ joints }: Question): string[] {
  return [...new Set(joints.flatMap(({ clamps }) => Object.keys(clamps ?? {})))];
}

function listOf(set: number): number[] {
  return Array.from({ length: 31 }, (_, i) => i).filter((i) => ((set >> i) & 1) === 1);
}

/** A joint by the numbers of its parts, with the ways in which the second leaves the first, and the first the second, as bits. */
interface Ends {
  readonly a: number;
  readonly b: number;
  readonly ways: number;
  readonly back: number;
}

function endsOf({ joints }: Question): Ends[] {
  const parts = [...new Set(joints.flatMap(({ a, b }) => [a, b]))];
  const names = [...new Set(joints.flatMap(({ release }) => release.flatMap((way) => [way, reversed(way)])))];
  const bits = (release: readonly string[]) =>
    release.reduce((sum, way) => sum | (1 << names.indexOf(way)), 0);
  return joints.map(({ a, b, release }) => ({
    a: parts.indexOf(a),
    b: parts.indexOf(b),
    ways: release.includes('any') ? -1 : bits(release),
    back: release.includes('any') ? -1 : bits(release.map(reversed)),
  }));
}

/** Sets of joints that can close next: all between two sub-assemblies that leave each other some way. */
function nextClosings(joints: readonly Ends[], made: number): number[] {
  const up = new Map<number, number>();
  const top = (part: number): number => {
    const over = up.get(part);
    return over === undefined ? part : top(over);
  };
  joints.forEach(({ a, b }, i) => {
    if (((made >> i) & 1) === 1 && top(a) !== top(b)) up.set(top(a), top(b));
  });
  const between = new Map<number, { set: number; ways: number }>();
  joints.forEach(({ a, b, ways, back }, i) => {
    if (((made >> i) & 1) === 1) return;
    const [one, other] = [top(a), top(b)];
    if (one === other) return;
    const key = one < other ? one * 100 + other : other * 100 + one;
    const known = between.get(key) ?? { set: 0, ways: -1 };
    known.set |= 1 << i;
    known.ways &= one < other ? ways : back;
    between.set(key, known);
  });
  return [...between.values()].flatMap(({ set, ways }) => (ways === 0 ? [] : [set]));
}

/** A direction turned round, in the order x, y, z. */
function reversed(way: string): string {
  return [...way].map((sign) => (sign === '+' ? '-' : sign === '-' ? '+' : sign)).join('');
}

/** Least share of the tightest window that closing these joints together uses. */
function gentlest({ joints, window, crew }: Question, set: readonly number[]): number | 'too-many' {
  const own = set.flatMap((i) => joints[i] ?? []);
  const close = Math.max(...own.map(({ closeMin }) => closeMin));
  if (Math.max(...own.map(({ hands }) => hands ?? 1)) > crew) return Infinity;
  const sum = (minutes: readonly number[]) => minutes.reduce((total, each) => total + each, 0);
  const hopeless =
    sum(own.map(({ spreadMin }) => spreadMin)) / crew + close > window.openMin * (1 + 1e-9) ||
    sum(own.map(({ clampMin }) => clampMin)) / crew > window.closedMin * (1 + 1e-9);
  if (hopeless) return Infinity;
  if (own.length > MOST_TOGETHER) return 'too-many';
  const pressings = orders(own.length).map((turns) =>
    laid(
      turns,
      own.map(({ clampMin }) => clampMin),
      crew,
    ),
  );
  let best = Infinity;
  for (const beads of orders(own.length)) {
    const lain = laid(
      beads,
      own.map(({ spreadMin }) => spreadMin),
      crew,
    );
    const open = (Math.max(...lain) + close) / window.openMin;
    for (const pressed of pressings) {
      let worst = open;
      for (let j = 0; j < pressed.length && worst < best; j += 1) {
        const end = pressed[j] ?? 0;
        worst = Math.max(worst, end / window.closedMin, ((lain[j] ?? 0) + close + end) / window.totalMin);
      }
      best = Math.min(best, worst);
    }
  }
  return best;
}

/** Ends of works taken in this order, each by the hands that are free first. */
function laid(order: readonly number[], minutes: readonly number[], crew: number): number[] {
  const free = Array.from({ length: crew }, () => 0);
  const ends = minutes.map(() => 0);
  for (const i of order) {
    const first = free.indexOf(Math.min(...free));
    free[first] = (free[first] ?? 0) + (minutes[i] ?? 0);
    ends[i] = free[first];
  }
  return ends;
}

const known = new Map<number, readonly (readonly number[])[]>();

/** All orders of the first few numbers. */
function orders(count: number): readonly (readonly number[])[] {
  const ready = known.get(count);
  if (ready !== undefined) return ready;
  const shorter = count === 0 ? [] : orders(count - 1);
  const all =
    count === 0
      ? [[]]
      : shorter.flatMap((order) =>
          Array.from({ length: count }, (_, at) => [...order.slice(0, at), count - 1, ...order.slice(at)]),
        );
  known.set(count, all);
  return all;
}

import { leastBy } from '../../basics';

/** Longest side of an element along the grain, and across it, mm. */
const LONGEST_MM = 25;
const TALLEST_MM = 25;
/** Elements under one pad, and how much longer each next one may be. */
const UNDER_PAD = 4;
const GROWTH = 1.5;
/** Elements at a free end are no longer than this, mm. */
const END_MM = 6;
/** Elements across a board that is pressed by pads, at least. */
const ACROSS_PRESSED = 12;
/** Elements across any board, at least. */
const ACROSS = 4;
/** Nodes nearer to each other than this are one, mm. */
const SAME_MM = 0.01;
/**
 * Edges of pads nearer than this to an end or to each other get one node, mm: where an element is far narrower than its neighbours,
 * pressure comes out as nothing on one side of it. What a pad presses does not move by that.
 */
const SLIVER_MM = 4;

/** Where elements are even: their longest along the length, mm, those at a free end, and how many at most but for long panels. */
const EVEN_MM = 14;
const EVEN_END_MM = 5;
const MOST_EVEN = 110;

/** A pad along the edge of a panel. */
export interface PadSpan {
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * Nodes along the length: on the edges of all pads, four elements under each, growing to 25 mm between them and fine again
 * towards the ends, where pressure falls off; no slivers where a pad all but reaches an end or another.
 * @param fineness 2 halves every element.
 * @param ends where boards begin and end between the two ends of the whole; each gets a node, fine on both sides.
 */
export function nodesAlong(
  lengthMm: number,
  pads: readonly PadSpan[],
  fineness = 1,
  ends: readonly number[] = [],
): Float64Array {
  const { cuts, pads: snapped } = withoutSlivers([0, lengthMm, ...ends], pads);
  const sizeAt = (at: number): number => {
    const pad = snapped.filter(({ fromMm, toMm }) => at >= fromMm - SAME_MM && at <= toMm + SAME_MM);
    const own = pad.map(({ fromMm, toMm }) => (toMm - fromMm) / UNDER_PAD);
    const end = [0, lengthMm, ...ends].some((own) => Math.abs(at - own) < SAME_MM) ? [END_MM] : [];
    return Math.min(LONGEST_MM, ...own, ...end) / fineness;
  };
  const nodes: number[] = [0];
  cuts.slice(1).forEach((to, i) => {
    const from = cuts[i] ?? 0;
    const covered = snapped.some(({ fromMm, toMm }) => fromMm <= from + SAME_MM && toMm >= to - SAME_MM);
    const [low, high] = [sizeAt(from), sizeAt(to)];
    const steps = covered
      ? evenSteps(to - from, Math.min(low, high))
      : gradedSteps(to - from, low, high, LONGEST_MM / fineness);
    let at = from;
    steps.forEach((step, k) => {
      at = k === steps.length - 1 ? to : at + step;
      nodes.push(at);
    });
  });
  return Float64Array.from(nodes);
}

/** Even steps, two short ones at either end, where pressure falls off; where boards end in between, one on either side. */
export function evenNodes(lengthMm: number, fineness: number, boardEnds: readonly number[]): Float64Array {
  const ends = Math.min(EVEN_END_MM, lengthMm / 8) / fineness;
  const inner = lengthMm - 4 * ends;
  const count = Math.ceil(Math.min(MOST_EVEN, Math.max(8, inner / EVEN_MM)) * fineness);
  const middle = Array.from({ length: count + 1 }, (_, i) => 2 * ends + (inner * i) / count);
  const even = [0, ends, ...middle, lengthMm - ends, lengthMm];
  if (boardEnds.length === 0) return Float64Array.from(even);
  const exact = boardEnds.flatMap((at) => [at - ends, at, at + ends]);
  const clear = (at: number, others: readonly number[]) =>
    others.every((other) => Math.abs(other - at) >= ends / 2);
  const fixed = [0, lengthMm, ...boardEnds];
  const around = exact.filter((at) => clear(at, fixed) && at > 0 && at < lengthMm);
  const kept = even.filter((at) => clear(at, [...fixed, ...around]));
  return Float64Array.from([...new Set([...fixed, ...around, ...kept])].sort((a, b) => a - b));
}

/** Where the mesh is cut, and pads as it sees them: their edges on the nearest cut. */
function withoutSlivers(
  fixedMm: readonly number[],
  pads: readonly PadSpan[],
): { readonly cuts: readonly number[]; readonly pads: readonly PadSpan[] } {
  // A short pad stays at least half as long as it is.
  const nearMm = Math.min(SLIVER_MM, ...pads.map(({ fromMm, toMm }) => (toMm - fromMm) / 4));
  const cuts: number[] = [];
  const keep = (at: number, apartMm: number) => {
    if (cuts.every((other) => Math.abs(other - at) > apartMm)) cuts.push(at);
  };
  fixedMm.forEach((at) => keep(at, SAME_MM));
  pads.forEach(({ fromMm, toMm }) => [fromMm, toMm].forEach((at) => keep(at, nearMm)));
  const snap = (at: number) => leastBy(cuts, (cut) => Math.abs(cut - at));
  return {
    cuts: cuts.toSorted((a, b) => a - b),
    pads: pads.map(({ fromMm, toMm }) => ({ fromMm: snap(fromMm), toMm: snap(toMm) })),
  };
}

/** Nodes across a board; finer where pads press on one of its edges. */
export function nodesAcross(widthMm: number, pressed: boolean, fineness = 1): Float64Array {
  const usual = pressed
    ? Math.max(ACROSS_PRESSED, Math.ceil(widthMm / TALLEST_MM))
    : Math.max(ACROSS, Math.ceil(widthMm / TALLEST_MM));
  // Even, so that there is a row of nodes at mid-width.
  const count = Math.ceil(usual * fineness);
  const even = count + (count % 2);
  return Float64Array.from({ length: even + 1 }, (_, i) => (widthMm * i) / even);
}

function evenSteps(length: number, size: number): number[] {
  const count = Math.max(1, Math.round(length / size));
  return Array.from({ length: count }, () => length / count);
}

/** Steps that grow from both ends, scaled to fill the length. */
function gradedSteps(length: number, low: number, high: number, longest: number): number[] {
  const left: number[] = [];
  const right: number[] = [];
  let [l, r, rest] = [low, high, length];
  while (rest > 0) {
    if (l <= r) {
      left.push(l);
      rest -= l;
      l = Math.min(longest, l * GROWTH);
    } else {
      right.unshift(r);
      rest -= r;
      r = Math.min(longest, r * GROWTH);
    }
  }
  const steps = [...left, ...right];
  const sum = steps.reduce((total, step) => total + step, 0);
  return steps.map((step) => (step * length) / sum);
}

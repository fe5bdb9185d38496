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
/** Edges of pads nearer to each other than this are one, mm. */
const SAME_MM = 0.01;

/** A pad along the edge of a panel. */
export interface PadSpan {
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * Nodes along the length: on the edges of all pads, four elements under each, growing to 25 mm between them and fine again
 * towards the ends, where pressure falls off.
 * @param fineness 2 halves every element.
 * @param ends where boards begin and end between the two ends of the whole; each gets a node, fine on both sides.
 */
export function nodesAlong(
  lengthMm: number,
  pads: readonly PadSpan[],
  fineness = 1,
  ends: readonly number[] = [],
): Float64Array {
  const cuts = [0, lengthMm, ...ends, ...pads.flatMap(({ fromMm, toMm }) => [fromMm, toMm])]
    .sort((a, b) => a - b)
    .filter((at, i, all) => i === 0 || at - (all[i - 1] ?? 0) > SAME_MM);
  const sizeAt = (at: number): number => {
    const pad = pads.filter(({ fromMm, toMm }) => at >= fromMm - SAME_MM && at <= toMm + SAME_MM);
    const own = pad.map(({ fromMm, toMm }) => (toMm - fromMm) / UNDER_PAD);
    const end = [0, lengthMm, ...ends].some((own) => Math.abs(at - own) < SAME_MM) ? [END_MM] : [];
    return Math.min(LONGEST_MM, ...own, ...end) / fineness;
  };
  const nodes: number[] = [0];
  cuts.slice(1).forEach((to, i) => {
    const from = cuts[i] ?? 0;
    const covered = pads.some(({ fromMm, toMm }) => fromMm <= from + SAME_MM && toMm >= to - SAME_MM);
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

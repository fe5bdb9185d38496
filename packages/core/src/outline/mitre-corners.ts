import { InputError } from '../basics/checks';
import { signedArea, type Vec2 } from '../solids';

/** A drawn side may leave its line by this, mm [judgement]: what a plane takes off a mitre. */
const LEAVES_MM = 0.5;
/** A frame has no more members than this. */
const MOST_CORNERS = 8;
const LEAST_MM = 20;
const NOWHERE: Vec2 = [0, 0];

/** An outline as a frame has it: each side runs from the corner before it, counter-clockwise. */
export interface MitreCorners {
  /** Outside lengths, mm. */
  readonly sidesMm: readonly number[];
  /** Inside angles, each at the start of its side, degrees. */
  readonly anglesDeg: readonly number[];
}

/**
 * Reads a closed outline as the straight sides that mitred members lie along, its lowest side first. Corners are found by Douglas and
 * Peucker's method: what keeps every point of the outline within half a millimetre of a side.
 * @param contour corners in mm, y up, in either direction; at least three.
 * @throws InputError for an outline that is curved, has more than eight sides, or is too small.
 */
export function mitreCorners(contour: readonly Vec2[]): MitreCorners {
  const ring = signedArea(contour) < 0 ? [...contour].reverse() : contour;
  const corners = fromLowestSide(cornersOf(ring));
  const at = (i: number): Vec2 => corners.at(i % corners.length) ?? NOWHERE;
  const sidesMm = corners.map((corner, i) => thousandth(apart(corner, at(i + 1))));
  const shortest = Math.min(...sidesMm);
  if (corners.length < 3 || !(shortest >= LEAST_MM)) {
    throw refused(
      corners.length < 3
        ? 'The outline has no area.'
        : `One side of the outline is ${thousandth(shortest)} mm long.`,
    );
  }
  const first = corners.slice(1).map((_, i) => insideDeg(at(i - 1 + corners.length), at(i), at(i + 1)));
  // What rounding leaves over goes to the last corner, so that they add up.
  const last = 180 * (corners.length - 2) - first.reduce((sum, angle) => sum + angle, 0);
  return { sidesMm, anglesDeg: [...first, thousandth(last)] };
}

/** The points of a ring that its sides need to stay near all others. */
function cornersOf(ring: readonly Vec2[]): Vec2[] {
  const mx = ring.reduce((sum, [x]) => sum + x, 0) / ring.length;
  const my = ring.reduce((sum, [, y]) => sum + y, 0) / ring.length;
  const farthest = farthestBy(ring, 0, ring.length, (point) => apart(point, [mx, my])).index;
  // What lies farthest out is a corner; once round and back to it.
  const round = [...ring.slice(farthest), ...ring.slice(0, farthest), ring[farthest] ?? NOWHERE];
  const kept = new Set([0]);
  const stretches: [number, number][] = [[0, round.length - 1]];
  for (let next = stretches.pop(); next !== undefined; next = stretches.pop()) {
    const [from, to] = next;
    const [a, b] = [round[from] ?? NOWHERE, round[to] ?? NOWHERE];
    const { index, far } = farthestBy(round, from + 1, to, (point) => fromLine(point, a, b));
    if (!(far > LEAVES_MM)) continue;
    kept.add(index);
    if (kept.size > 2 * MOST_CORNERS) throw tooMany();
    stretches.push([from, index], [index, to]);
  }
  const corners = [...kept].sort((a, b) => a - b).map((index): Vec2 => round[index] ?? NOWHERE);
  // On a side along the line from which it is judged any point may have been the farthest.
  const bent = corners.filter((corner, i) => {
    const [before, after] = [corners.at(i - 1), corners[(i + 1) % corners.length]];
    return fromLine(corner, before ?? corner, after ?? corner) > LEAVES_MM;
  });
  if (bent.length > MOST_CORNERS) throw tooMany();
  return bent;
}

function farthestBy(points: readonly Vec2[], from: number, to: number, far: (point: Vec2) => number) {
  let best = { index: from, far: 0 };
  for (let index = from; index < to; index += 1) {
    const each = far(points[index] ?? NOWHERE);
    if (each > best.far) best = { index, far: each };
  }
  return best;
}

/** Turned round so that the side which lies lowest comes first. */
function fromLowestSide(corners: readonly Vec2[]): Vec2[] {
  const middles = corners.map(([, y], i) => y + (corners[(i + 1) % corners.length]?.[1] ?? 0));
  const lowest = middles.indexOf(Math.min(...middles));
  return [...corners.slice(lowest), ...corners.slice(0, lowest)];
}

/** How far a point lies from the line through two others, or from them where they are one. */
function fromLine(point: Vec2, a: Vec2, b: Vec2): number {
  const long = apart(a, b);
  if (long === 0) return apart(point, a);
  return Math.abs((b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0])) / long;
}

/** The angle inside a ring at `here`, counter-clockwise round. */
function insideDeg(before: Vec2, here: Vec2, after: Vec2): number {
  const back = Math.atan2(before[1] - here[1], before[0] - here[0]);
  const on = Math.atan2(after[1] - here[1], after[0] - here[0]);
  return thousandth((((back - on) * 180) / Math.PI + 360) % 360);
}

const apart = (a: Vec2, b: Vec2) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const thousandth = (value: number): number => Math.round(1000 * value) / 1000;

const tooMany = (): InputError => refused(`The outline is curved, or has more than ${MOST_CORNERS} sides.`);

const refused = (message: string): InputError =>
  new InputError(
    'inconsistent',
    'outline',
    message,
    `a closed outline of 3 to ${MOST_CORNERS} straight sides, each ${LEAST_MM} mm or longer`,
  );

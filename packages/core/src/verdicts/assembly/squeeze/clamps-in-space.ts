import type { AssemblyFacts, JointFacts, Pull } from '../../../assembly';
import { BETWEEN_JAWS_MM, evenPositions, findClampKind } from '../../../clamps';
import type { RackLot } from '../../../formats';
import {
  add,
  cross,
  dot,
  MAIN_AXES,
  middleOf,
  reach,
  scale,
  solidPoints,
  unit,
  type Vec3,
} from '../../../solids';
import type { PlannedPull } from '../planned-pull';
import { ONE_LINE_MM, twoRows } from '../pulls';
import { ROUND } from './bands';
import type { ClampInSpace } from './squeezed';

/** A line along which one clamp closes one or more joints. */
interface Station {
  readonly at: Vec3;
  readonly joints: readonly string[];
}

/** A long joint is drawn home by two clamps, so far to either side of its middle as a share of its length. */
const TWO_FROM_MM = 250;
const TO_SIDE = 0.3;
/** A clamp's bar stands off the face that it lies on, mm. */
const BAR_OFF_MM = 14;

/**
 * Places what a pull takes from the rack: in line with the joints that it closes, evenly along a stack and turn about
 * above and below where bars lie on faces, round the outline, or strip by strip along the joints.
 */
export function clampsInSpace(
  planned: PlannedPull,
  facts: AssemblyFacts,
  firstNumber: number,
): ClampInSpace[] {
  const { pull, taken } = planned;
  const joints = facts.joints.filter(({ joint }) => pull.joints.includes(joint.id));
  // Each lot spread evenly among the others, so that strong and weak ones alternate.
  const pieces = taken
    .flatMap(({ lot, count, forceN }) =>
      Array.from({ length: count }, (_, i) => ({ lot, forceN, at: (i + 0.5) / count })),
    )
    .sort((a, b) => a.at - b.at);
  const shaped = (i: number, joined: readonly string[], shape: ClampInSpace['shape']): ClampInSpace[] => {
    const piece = pieces[i];
    return piece === undefined
      ? []
      : [
          {
            number: firstNumber + i,
            pull: pull.id,
            lot: piece.lot,
            forceN: piece.forceN,
            openingMm: pull.openingMm,
            shape,
            joints: joined,
          },
        ];
  };
  const round = pieces.filter(({ lot }) => ROUND.includes(lot.kind)).length;
  if (round === pieces.length && round > 0) {
    return bandLoops(facts, joints, pieces.length).flatMap((loop, i) =>
      shaped(
        i,
        joints.map(({ joint }) => joint.id),
        { kind: 'band', loop },
      ),
    );
  }
  if (pieces.some(({ lot }) => SPOTS.includes(lot.kind))) {
    return spots(joints, pieces.length).flatMap(({ at, joints: own }, i) =>
      shaped(i, own, { kind: 'spot', at }),
    );
  }
  if (pieces.some(({ lot }) => findClampKind(lot.kind).pressureMPa !== null)) return [];
  const stations = pull.stacked
    ? alongStack(pull, facts, joints, pieces)
    : inLine(pull, joints, pieces.length);
  return stations.flatMap(({ at, joints: own }, i) => {
    const [low, high] = reachAt(facts, pull.axis, own.length > 0 ? own : pull.joints);
    const foot = add(at, scale(pull.axis, -dot(at, pull.axis)));
    const top = add(foot, scale(pull.axis, high));
    return shaped(
      i,
      own,
      pieces[i]?.lot.kind === 'weight'
        ? { kind: 'spot', at: top }
        : { kind: 'jaws', from: add(foot, scale(pull.axis, low)), to: top },
    );
  });
}

const SPOTS: readonly string[] = ['tape', 'pointed-spring', 'cam-mitre', 'spring'];

/** How far the parts of some joints reach along an axis. */
function reachAt(facts: AssemblyFacts, axis: Vec3, joints: readonly string[]): readonly [number, number] {
  const ids = new Set(
    facts.joints.filter(({ joint }) => joints.includes(joint.id)).flatMap(({ joint }) => [joint.a, joint.b]),
  );
  return reach(
    facts.parts.filter(({ part }) => ids.has(part.id)).flatMap(({ part }) => solidPoints(part.solid)),
    axis,
  );
}

const pointsOf = (joint: JointFacts): Vec3[] => joint.contacts.flatMap(({ loops }) => loops.flat());

/** The two main directions square to a pull, the one along which points reach further first. */
function squareTo(axis: Vec3, points: readonly Vec3[]): readonly [Vec3, Vec3] {
  const others = MAIN_AXES.filter((main) => Math.abs(dot(main, axis)) < 0.7);
  const extent = (direction: Vec3) => {
    const [low, high] = reach(points, direction);
    return high - low;
  };
  const [first = MAIN_AXES[0], second = MAIN_AXES[1]] = others.sort((a, b) => extent(b) - extent(a));
  return [first, second];
}

/** In line with the joints: those on one line share a clamp, long ones get two, and spare clamps go to the longest. */
function inLine(pull: Pull, joints: readonly JointFacts[], count: number): Station[] {
  const lines: { at: Vec3; joints: JointFacts[] }[] = [];
  for (const joint of joints) {
    const middle = middleOf(pointsOf(joint));
    const foot = add(middle, scale(pull.axis, -dot(middle, pull.axis)));
    const near = lines.find(
      ({ at }) => Math.hypot(...[0, 1, 2].map((k) => (at[k] ?? 0) - (foot[k] ?? 0))) < ONE_LINE_MM,
    );
    if (near === undefined) lines.push({ at: foot, joints: [joint] });
    else near.joints.push(joint);
  }
  const stations = lines.flatMap(({ at, joints: own }): Station[] => {
    const points = own.flatMap(pointsOf);
    const [along] = squareTo(pull.axis, points);
    const [low, high] = reach(points, along);
    const ids = own.map(({ joint }) => joint.id);
    const two = high - low > TWO_FROM_MM && lines.length * 2 <= count;
    return two
      ? [-1, 1].map((side) => ({ at: add(at, scale(along, side * TO_SIDE * (high - low))), joints: ids }))
      : [{ at, joints: ids }];
  });
  if (stations.length <= count) return stations;
  // Fewer clamps than lines: evenly over them, with a caul across what lies between.
  return Array.from({ length: count }, (_, i) => {
    const from = Math.floor((i * stations.length) / count);
    const to = Math.floor(((i + 1) * stations.length) / count);
    const own = stations.slice(from, to);
    return {
      at: middleOf(own.map(({ at }) => at)),
      joints: own.flatMap(({ joints: ids }) => ids),
    };
  });
}

/** Evenly along a stack; where bars lie on its faces, above and below in turn. */
function alongStack(
  pull: Pull,
  facts: AssemblyFacts,
  joints: readonly JointFacts[],
  pieces: readonly { readonly lot: RackLot }[],
): Station[] {
  const points = joints.flatMap(pointsOf);
  const [along, across] = squareTo(pull.axis, points);
  const [low, high] = reach(points, along);
  const ids = new Set(joints.flatMap(({ joint }) => [joint.a, joint.b]));
  const body = facts.parts
    .filter(({ part }) => ids.has(part.id))
    .flatMap(({ part }) => solidPoints(part.solid));
  const [under, over] = reach(body, across);
  const middle = (under + over) / 2;
  const onFaces = pull.openingMm > 2 * (over - under);
  const inRowMm = pieces.reduce((sum, { lot }) => sum + lot.padWidthMm + BETWEEN_JAWS_MM, 0);
  const rows = inRowMm > high - low && twoRows(pull, joints, facts);
  return evenPositions(pieces.length, high - low).map((offset, i) => {
    const turn = i % 2 === 0 ? 1 : -1;
    const aside = onFaces
      ? turn > 0
        ? over + BAR_OFF_MM
        : under - BAR_OFF_MM
      : middle + (rows ? (turn * (over - under)) / 4 : 0);
    return {
      at: add(scale(along, low + offset), scale(across, aside)),
      joints: joints.map(({ joint }) => joint.id),
    };
  });
}

/** Strips and springs evenly over the joints, along each of them. */
function spots(joints: readonly JointFacts[], count: number): Station[] {
  const each = Math.max(1, Math.floor(count / Math.max(1, joints.length)));
  return joints.flatMap((joint): Station[] => {
    const points = pointsOf(joint);
    const middle = middleOf(points);
    const directions = [...MAIN_AXES].sort((a, b) => span(points, b) - span(points, a));
    const along = directions[0] ?? MAIN_AXES[0];
    const [low, high] = reach(points, along);
    return evenPositions(each, high - low).map((offset) => ({
      at: add(middle, scale(along, low + offset - dot(middle, along))),
      joints: [joint.joint.id],
    }));
  });
}

const span = (points: readonly Vec3[], direction: Vec3): number => {
  const [low, high] = reach(points, direction);
  return high - low;
};

/** Bands right round, evenly along the direction that no mitre faces, kept off the ends. */
function bandLoops(facts: AssemblyFacts, joints: readonly JointFacts[], count: number): Vec3[][] {
  const normals = joints.flatMap(({ contacts }) => contacts.map(({ normal }) => normal));
  const [first] = normals;
  const other = normals.find((normal) => first !== undefined && Math.abs(dot(normal, first)) < 0.98);
  const axis = first === undefined || other === undefined ? MAIN_AXES[2] : unit(cross(first, other));
  const points = facts.parts.flatMap(({ part }) => solidPoints(part.solid));
  const [low, high] = reach(points, axis);
  const u = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? MAIN_AXES[2] : MAIN_AXES[0]));
  const v = cross(axis, u);
  const hull = convexHull(points.map((point) => [dot(point, u), dot(point, v)] as const));
  return evenPositions(count, high - low).map((offset) =>
    hull.map(([a, b]) => add(add(scale(u, a), scale(v, b)), scale(axis, low + offset))),
  );
}

type Flat = readonly [number, number];

/** Corners of the smallest convex outline around points, in turn (monotone chain). */
function convexHull(points: readonly Flat[]): Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turnOf = (o: Flat, a: Flat, b: Flat) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (from: readonly Flat[]): Flat[] => {
    const chain: Flat[] = [];
    for (const point of from) {
      while (chain.length >= 2 && turnOf(chain.at(-2) as Flat, chain.at(-1) as Flat, point) <= 1e-9)
        chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

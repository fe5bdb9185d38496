import type { PartFacts } from '../../assembly';
import { EVERY_WAY, leaves, opposite, type RunsInto, seenFromOther, WAYS, waysOut } from '../../sequence';
import { DIRECTIONS, MAIN_AXES, reach, solidPoints } from '../../solids';
import type { PlannedJoint } from '../joints/planned-joint';

/** Parts nearer than this beside each other pass. */
const CLEARANCE_MM = 0.5;

/** All directions one after the other, as far as each goes along x, y and z. */
const STEPS = Float64Array.from(DIRECTIONS.flatMap(({ direction }) => direction));

/** Reach of every part along x, y and z: lowest and highest of each in turn, six numbers for a part. */
type Blocks = Float64Array;
const OF_A_BLOCK = 6;

/** Parts that are joined, by number, and ways in which `b` leaves `a`. */
interface Pair {
  readonly a: number;
  readonly b: number;
  readonly ways: number;
}

/**
 * Ways in which parts, as blocks around their solids, run into parts that they are not joined to while they come
 * clear of those that they are: a slat that slides along its groove meets the legs at its ends. Parts whose blocks
 * already share room are left out: slanted ones would seem to hold each other.
 */
export function runsIntoOf(parts: readonly PartFacts[], joints: readonly PlannedJoint[]): RunsInto {
  const blocks = blocksOf(parts);
  const indexOf = new Map(parts.map(({ part }, i) => [part.id, i]));
  const pairs = joints.map(({ facts: { joint, release } }): Pair => ({
    a: indexOf.get(joint.a) ?? 0,
    b: indexOf.get(joint.b) ?? 0,
    ways: waysOut(release),
  }));
  const count = parts.length;
  const joined = new Set(pairs.flatMap(({ a, b }) => [a * count + b, b * count + a]));
  const travel = travels(blocks, pairs);
  const [furthest, goes] = [new Float64Array(count), new Int32Array(count)];
  travel.forEach((far, at) => {
    const part = Math.floor(at / WAYS);
    furthest[part] = Math.max(furthest[part] ?? 0, far);
    if (far > 0) goes[part] = (goes[part] ?? 0) | (1 << (at % WAYS));
  });
  const runs = new Int32Array(count * count);
  for (let i = 0; i < count; i += 1) {
    for (let k = i + 1; k < count; k += 1) {
      const mostMm = Math.max(furthest[i] ?? 0, furthest[k] ?? 0);
      const apartMm = distanceOf(blocks, i, k);
      if (apartMm <= -CLEARANCE_MM || apartMm >= mostMm || joined.has(i * count + k)) continue;
      // Either may be the one that moves, and only towards the other can it meet it.
      const ways = ((goes[i] ?? 0) | seenFromOther(goes[k] ?? 0)) & towards(blocks, i, k);
      for (let way = 0; ways >> way > 0; way += 1) {
        if (!leaves(ways, way)) continue;
        const far = Math.max(travel[i * WAYS + way] ?? 0, travel[k * WAYS + opposite(way)] ?? 0);
        if (far <= apartMm || meetsAfter(blocks, i, k, way) >= far - CLEARANCE_MM) continue;
        // What one runs into on its way runs into it on the way back.
        runs[i * count + k] = (runs[i * count + k] ?? 0) | (1 << way);
        runs[k * count + i] = (runs[k * count + i] ?? 0) | (1 << opposite(way));
      }
    }
  }
  return runs;
}

function blocksOf(parts: readonly PartFacts[]): Blocks {
  const blocks = new Float64Array(parts.length * OF_A_BLOCK);
  parts.forEach(({ part }, i) => {
    const points = solidPoints(part.solid);
    MAIN_AXES.forEach((axis, of) => blocks.set(reach(points, axis), i * OF_A_BLOCK + 2 * of));
  });
  return blocks;
}

const lowOf = (blocks: Blocks, block: number, axis: number): number =>
  blocks[block * OF_A_BLOCK + 2 * axis] ?? 0;
const highOf = (blocks: Blocks, block: number, axis: number): number =>
  blocks[block * OF_A_BLOCK + 2 * axis + 1] ?? 0;

/** How far each part has to move in each direction that its joints let it go, until it is clear of them, mm; part after part. */
function travels(blocks: Blocks, pairs: readonly Pair[]): Float64Array {
  const travel = new Float64Array((blocks.length / OF_A_BLOCK) * WAYS);
  for (const { a, b, ways } of pairs) {
    for (const [mover, stays, free] of [
      [b, a, ways],
      [a, b, seenFromOther(ways)],
    ] as const) {
      for (let way = 0; free >> way > 0; way += 1) {
        if (!leaves(free, way)) continue;
        const at = mover * WAYS + way;
        travel[at] = Math.max(travel[at] ?? 0, clearAfter(blocks, mover, stays, way));
      }
    }
  }
  return travel;
}

/** Distance after which a moving block no longer shares any reach with one that stays. */
function clearAfter(blocks: Blocks, moving: number, stays: number, way: number): number {
  let least = Infinity;
  for (let axis = 0; axis < MAIN_AXES.length; axis += 1) {
    const step = STEPS[way * MAIN_AXES.length + axis] ?? 0;
    if (Math.abs(step) < 1e-9) continue;
    const room =
      step > 0
        ? highOf(blocks, stays, axis) - lowOf(blocks, moving, axis)
        : highOf(blocks, moving, axis) - lowOf(blocks, stays, axis);
    least = Math.min(least, Math.max(0, room / Math.abs(step)));
  }
  return least;
}

/** How far two blocks are from each other along the axis along which they are furthest; less than nothing where they share room. */
function distanceOf(blocks: Blocks, one: number, other: number): number {
  let most = -Infinity;
  for (let axis = 0; axis < MAIN_AXES.length; axis += 1) {
    const above = lowOf(blocks, other, axis) - highOf(blocks, one, axis);
    const below = lowOf(blocks, one, axis) - highOf(blocks, other, axis);
    most = Math.max(most, above, below);
  }
  return most;
}

/** Along each axis, ways that go down it and ways that go up. */
const GOING = MAIN_AXES.map((_, axis) =>
  [-1, 1].map((sign) =>
    DIRECTIONS.reduce(
      (ways, { direction }, way) => ways | (Number((direction[axis] ?? 0) * sign > 0) << way),
      0,
    ),
  ),
);

/** Ways in which a block could meet another: along every axis on which they lie apart it has to go towards it. */
function towards(blocks: Blocks, moving: number, other: number): number {
  let ways = EVERY_WAY;
  for (let axis = 0; axis < MAIN_AXES.length; axis += 1) {
    const [down = 0, up = 0] = GOING[axis] ?? [];
    if (lowOf(blocks, other, axis) + CLEARANCE_MM >= highOf(blocks, moving, axis)) ways &= up;
    if (highOf(blocks, other, axis) - CLEARANCE_MM <= lowOf(blocks, moving, axis)) ways &= down;
  }
  return ways;
}

/** Distance after which a moving block meets another; infinite where it passes. */
function meetsAfter(blocks: Blocks, moving: number, other: number, way: number): number {
  let [enters, passes] = [0, Infinity];
  for (let axis = 0; axis < MAIN_AXES.length; axis += 1) {
    const step = STEPS[way * MAIN_AXES.length + axis] ?? 0;
    const before = lowOf(blocks, other, axis) + CLEARANCE_MM - highOf(blocks, moving, axis);
    const after = highOf(blocks, other, axis) - CLEARANCE_MM - lowOf(blocks, moving, axis);
    if (Math.abs(step) < 1e-9) {
      if (before >= 0 || after <= 0) return Infinity;
      continue;
    }
    enters = Math.max(enters, step > 0 ? before / step : after / step);
    passes = Math.min(passes, step > 0 ? after / step : before / step);
  }
  return enters < passes ? enters : Infinity;
}

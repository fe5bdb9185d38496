import type { PartFacts } from '../../assembly';
import {
  leaves,
  opposite,
  type Press,
  type RunsInto,
  seenFromOther,
  type SequenceProblem,
  waysOut,
} from '../../sequence';
import { DIRECTIONS, reach, solidPoints, type Vec3 } from '../../solids';
import type { PlannedJoint } from '../joints/planned-joint';
import type { PlanParts } from '../plan';
import { paceOf } from './paces';
import { pressSteps, type Workforce } from './press-steps';
import { passesOf } from '../pulls/passes';
import type { TakenLot } from '../pulls/placed-on-pull';
import { ON_A_ROLL } from '../pulls/take-from-rack';

/** Clearing the bench and laying out for the next session, min [judgement]. */
export const SET_UP_MIN = 10;
/** Share of every window that an arrangement leaves for a fumble where it can [judgement]. */
export const ASKED_MARGIN = 0.15;

/** What an order is worked out from. */
export type OrderJob = Pick<PlanParts, 'facts' | 'joints' | 'pulls' | 'row' | 'build' | 'shop'>;

/** Hands, their pace, and whether clamps are laid out beforehand, which is the rule unless a build says no. */
export function workforceOf({ build, shop }: Pick<PlanParts, 'build' | 'shop'>): Workforce {
  return { crew: build.crew, pace: paceOf(shop), preSet: build.preSet ?? true };
}

/**
 * An assembly as the sequence sees it: joints with ways out and minutes at the shop's pace, presses out of its
 * pulls, clamps by lots of the rack, windows at the unfavourable end of the least forgiving joint.
 * @returns null where the glue is refused in this air, so that no window is known.
 */
export function orderProblem(job: OrderJob): SequenceProblem | null {
  const problem = orderProblemAnyhow(job);
  return problem.windows.totalMin < NO_WINDOW_MIN ? problem : null;
}

/** Longer than any window: where the glue is refused, an order is worked out all the same, so that its minutes are known. */
const NO_WINDOW_MIN = 1e6;

/** The same, with windows that hold everything where the glue has none in this air. */
export function orderProblemAnyhow({ facts, joints, pulls, row, build, shop }: OrderJob): SequenceProblem {
  const pace = paceOf(shop);
  const { crew } = build;
  const least = (name: 'openMin' | 'closedMin' | 'totalMin') =>
    Math.min(...joints.map(({ window }) => window[name]?.low ?? -Infinity));
  const known = [least('openMin'), least('closedMin'), least('totalMin')];
  const [openMin = 0, closedMin = 0, totalMin = 0] = known.every((minutes) => minutes > 0)
    ? known
    : known.map(() => NO_WINDOW_MIN);
  const clampTimeMin = Math.max(...joints.map(({ window }) => window.clampMin?.high ?? 0));
  const ids = joints.flatMap(({ facts }) => [facts.joint.a, facts.joint.b]);
  const parts = [...new Set(ids)];
  return {
    parts: parts.length,
    joints: joints.map(({ facts: { joint, release }, spread, method, closeMin, closeHands }) => ({
      id: joint.id,
      a: parts.indexOf(joint.a),
      b: parts.indexOf(joint.b),
      spreadMin: spread.minutes * pace('spread', method.id),
      closeMin: closeMin * pace('close'),
      hands: closeHands,
      // Parts that do not touch hold each other nowhere.
      ways: waysOut(release.length > 0 ? release : ['any']),
    })),
    runsInto: runsIntoOf(
      parts.flatMap((id) => facts.parts.find(({ part }) => part.id === id) ?? []),
      joints,
    ),
    presses: pressesOf({ joints, pulls, row }, workforceOf({ build, shop })),
    windows: { openMin, closedMin, totalMin },
    crew,
    rack: Object.fromEntries(shop.rack.map(({ id, count }) => [id, count])),
    clampTimeMin,
    setUpMin: SET_UP_MIN,
    pins: joints.map(() => null),
  };
}

/** The same question with a share of every window left over for a fumble. */
export function withMargin(problem: SequenceProblem, share: number): SequenceProblem {
  const { openMin, closedMin, totalMin } = problem.windows;
  const left = 1 - share;
  return {
    ...problem,
    windows: { openMin: openMin * left, closedMin: closedMin * left, totalMin: totalMin * left },
  };
}

/** One press for each pass of pulls; a joint in none is pressed by hand. */
function pressesOf(
  { joints, pulls, row }: Pick<PlanParts, 'joints' | 'pulls' | 'row'>,
  workforce: Workforce,
): Press[] {
  const free = new Set(joints.map((_, i) => i));
  const presses = passesOf(pulls).flatMap((pass): Press[] => {
    const own = [...free].filter((i) => pass.joints.includes(joints[i]?.facts.joint.id ?? ''));
    const [leader] = pass.pulls;
    if (own.length === 0 || leader === undefined) return [];
    for (const i of own) free.delete(i);
    const onRack = pass.pulls
      .flatMap(({ taken }) => taken)
      .filter(({ lot }) => !ON_A_ROLL.includes(lot.kind));
    return [
      {
        joints: own,
        clampMin: pass.pulls.reduce((sum, planned) => sum + pressSteps(planned, row, workforce).minutes, 0),
        // Everybody is at the clamps together.
        hands: workforce.crew,
        clamps: countsOf(onRack),
        whole: leader.pull.stacked,
      },
    ];
  });
  return [
    ...presses,
    ...[...free].map((i) => ({ joints: [i], clampMin: 0, hands: 1, clamps: {}, whole: true })),
  ];
}

/** How many of each lot; a lot pulled in two ways counts once. */
function countsOf(taken: readonly TakenLot[]): Record<string, number> {
  const counts: Record<string, number> = {};
  for (const { lot, count } of taken) counts[lot.id] = (counts[lot.id] ?? 0) + count;
  return counts;
}

/** Parts nearer than this beside each other pass. */
const CLEARANCE_MM = 0.5;
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Reach of a part along x, y and z. */
type Block = readonly (readonly [number, number])[];

/**
 * Ways in which parts, as blocks around their solids, run into parts that they are not joined to while they come
 * clear of those that they are: a slat that slides along its groove meets the legs at its ends. Parts whose blocks
 * already share room are left out: slanted ones would seem to hold each other.
 */
function runsIntoOf(parts: readonly PartFacts[], joints: readonly PlannedJoint[]): RunsInto {
  const blocks = parts.map(({ part }): Block => {
    const points = solidPoints(part.solid);
    return AXES.map((axis) => reach(points, axis));
  });
  const indexOf = new Map(parts.map(({ part }, i) => [part.id, i]));
  const pairs = joints.map(({ facts: { joint, release } }) => ({
    a: indexOf.get(joint.a) ?? 0,
    b: indexOf.get(joint.b) ?? 0,
    ways: waysOut(release),
  }));
  const joined = new Set(pairs.flatMap(({ a, b }) => [`${a}|${b}`, `${b}|${a}`]));
  const travel = travels(blocks, pairs);
  const runs = new Int32Array(parts.length * parts.length);
  blocks.forEach((one, i) => {
    blocks.forEach((other, k) => {
      if (i === k || joined.has(`${i}|${k}`) || !areApart(one, other)) return;
      DIRECTIONS.forEach(({ direction }, way) => {
        const far = Math.max(travel[i]?.[way] ?? 0, travel[k]?.[opposite(way)] ?? 0);
        if (far > 0 && meetsAfter(one, other, direction) < far - CLEARANCE_MM) {
          runs[i * parts.length + k] = (runs[i * parts.length + k] ?? 0) | (1 << way);
        }
      });
    });
  });
  return runs;
}

/** How far each part has to move in each direction that its joints let it go, until it is clear of them, mm. */
function travels(
  blocks: readonly Block[],
  pairs: readonly { readonly a: number; readonly b: number; readonly ways: number }[],
): number[][] {
  const travel = blocks.map(() => DIRECTIONS.map(() => 0));
  for (const { a, b, ways } of pairs) {
    for (const [mover, stays, free] of [
      [b, a, ways],
      [a, b, seenFromOther(ways)],
    ] as const) {
      DIRECTIONS.forEach(({ direction }, way) => {
        const own = travel[mover];
        if (!leaves(free, way) || own === undefined) return;
        own[way] = Math.max(own[way] ?? 0, clearAfter(blocks[mover] ?? [], blocks[stays] ?? [], direction));
      });
    }
  }
  return travel;
}

/** Distance after which a moving block no longer shares any reach with one that stays. */
function clearAfter(moving: Block, stays: Block, direction: Vec3): number {
  return direction.reduce((least, step, axis) => {
    if (Math.abs(step) < 1e-9) return least;
    const [low = 0, high = 0] = moving[axis] ?? [];
    const [otherLow = 0, otherHigh = 0] = stays[axis] ?? [];
    return Math.min(least, Math.max(0, (step > 0 ? otherHigh - low : high - otherLow) / Math.abs(step)));
  }, Infinity);
}

function areApart(one: Block, other: Block): boolean {
  return one.some(([low, high], axis) => {
    const [otherLow = 0, otherHigh = 0] = other[axis] ?? [];
    return otherLow > high - CLEARANCE_MM || low > otherHigh - CLEARANCE_MM;
  });
}

/** Distance after which a moving block meets another; infinite where it passes. */
function meetsAfter(moving: Block, other: Block, direction: Vec3): number {
  let [enters, passes] = [0, Infinity];
  for (let axis = 0; axis < 3; axis += 1) {
    const [low = 0, high = 0] = moving[axis] ?? [];
    const [otherLow = 0, otherHigh = 0] = other[axis] ?? [];
    const step = direction[axis] ?? 0;
    const [before, after] = [otherLow + CLEARANCE_MM - high, otherHigh - CLEARANCE_MM - low];
    if (Math.abs(step) < 1e-9) {
      if (before >= 0 || after <= 0) return Infinity;
      continue;
    }
    enters = Math.max(enters, step > 0 ? before / step : after / step);
    passes = Math.min(passes, step > 0 ? after / step : before / step);
  }
  return enters < passes ? enters : Infinity;
}

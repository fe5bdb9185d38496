import { findClampKind } from '../clamps';
import type { RackLot } from '../formats';
import { type ClampInSpace, holdingClamps, packingOf, type Plan } from '../plan';
import {
  add,
  convexHull,
  cross,
  dot,
  MAIN_AXES,
  scale,
  subtract,
  unit,
  type Vec2,
  type Vec3,
} from '../solids';
import { type AssemblyView, EYES, flattener } from './eye';

/** A clamp as it lies on the sheet, in true size. */
export interface PlacedMark {
  /** Null for a clamp that was worked out rather than placed. */
  readonly id: string | null;
  readonly number: number;
  /** Where its number stands. */
  readonly at: Vec2;
  /** A band right round, as a closed line; empty for all else. */
  readonly band: readonly Vec2[];
  /** Its bar and what reaches from it to the jaws: outlines. */
  readonly bars: readonly (readonly Vec2[])[];
  /** Jaws and screw, or a strip, a spring, a weight: outlines. */
  readonly metal: readonly (readonly Vec2[])[];
  /** Blocks under its jaws. */
  readonly wood: readonly (readonly Vec2[])[];
  /** Whether it lies on the far side of the work. */
  readonly behind: boolean;
  /** Whether it only holds, as a strip of tape or a clamp over a block does, and wants no number. */
  readonly strip: boolean;
}

/** Sizes of what is drawn, mm: a bar's section, how far it stands off the work, its screw, a strip, the feet of a spring. */
const BAR = Object.freeze({ thick: 9, deep: 28, off: 8 });
const SCREW = Object.freeze({ thick: 14, long: 55 });
const JAW_THICK_MM = 16;
const STRIP = Object.freeze({ long: 90, wide: 19, thick: 0.5 });
const SPRING = Object.freeze({ reach: 22, high: 28, thick: 5 });
const WEIGHT_MM = 90;
/** Blocks stand out this far past the jaw on every side. */
const BLOCK_PAST_MM = 8;

type Seen = Pick<Plan, 'facts' | 'build' | 'shop' | 'pulls' | 'row' | 'squeeze'>;
/** What clamps are drawn on. */
type Work = Pick<Plan, 'facts' | 'build'>;

/** Flattens the clamps of a plan to the sheet of a view; none before they are in their places. */
export function clampMarks(plan: Seen, view: AssemblyView): PlacedMark[] {
  const flatten = flattener(view);
  const outlined = (points: readonly Vec3[]): Vec2[] => convexHull(points.map(flatten));
  const jawsOf = (lot: RackLot, shape: Jaws, packed: boolean) => {
    const { bars, metal, wood, end, off } = withJaws(plan, lot, shape, packed);
    return {
      at: flatten(end),
      bars: bars.map(outlined),
      metal: metal.map(outlined),
      wood: wood.map(outlined),
      behind: dot(off, EYES[view].towards) < -1e-6,
    };
  };
  const clamps = plan.squeeze?.pulls.flatMap((pull) => pull.clamps) ?? [];
  const holding = plan.squeeze === null ? [] : holdingClamps(plan);
  const pressing = clamps.map((clamp): PlacedMark => {
    const { id, number, shape, lot } = clamp;
    const base = { id, number, band: [], bars: [], wood: [], behind: false, strip: false };
    if (shape.kind === 'band') {
      const band = shape.loop.map(flatten);
      return { ...base, at: band.reduce((a, b) => (b[1] < a[1] ? b : a)), band, metal: [] };
    }
    if (shape.kind === 'spot') {
      const { at, solids } = onSpot(plan, clamp, shape.at, view);
      return { ...base, at: flatten(at), metal: solids.map(outlined), strip: lot.kind === 'tape' };
    }
    return { ...base, ...jawsOf(lot, shape, true) };
  });
  return [
    ...pressing,
    ...holding.map(({ lot, place }): PlacedMark => ({
      id: null,
      number: 0,
      band: [],
      strip: true,
      ...jawsOf(lot, place, false),
    })),
  ];
}

/** Corners of a box along a line: half its size in two directions square to it. */
function boxOf(from: Vec3, to: Vec3, one: Vec3, halfOne: number, other: Vec3, halfOther: number): Vec3[] {
  return [from, to].flatMap((end) =>
    [-1, 1].flatMap((i) =>
      [-1, 1].map((j) => add(end, add(scale(one, i * halfOne), scale(other, j * halfOther)))),
    ),
  );
}

/** Where jaws bite, and which way the bar lies off the work. */
type Jaws = Pick<Extract<ClampInSpace['shape'], { readonly kind: 'jaws' }>, 'from' | 'to' | 'off'>;

/** A clamp with a bar: it runs beside the work on the side where its jaws are nearest to the outside. */
function withJaws(
  { facts, build }: Work,
  lot: RackLot,
  { from, to, off: given }: Jaws,
  packed: boolean,
): Record<'bars' | 'metal' | 'wood', Vec3[][]> & Record<'end' | 'off', Vec3> {
  const axis = unit(subtract(to, from));
  const { off, mm } = outside(facts, from, to, axis, given);
  const beside = unit(cross(axis, off));
  const packing = packingOf(build);
  const packedMm =
    packed && packing.kind === 'blocks' && facts.assembly.aids.length === 0 ? packing.thicknessMm : 0;
  const { handleMm } = findClampKind(lot.kind);
  const [halfAlong, halfUp] = [lot.padWidthMm / 2, lot.padHeightMm / 2];
  const barMm = Math.max(mm, halfUp) + BAR.off + BAR.deep / 2;
  const padsAt = [add(from, scale(axis, -packedMm)), add(to, scale(axis, packedMm))] as const;
  const ends = [
    add(padsAt[0], scale(axis, -JAW_THICK_MM)),
    add(padsAt[1], scale(axis, JAW_THICK_MM)),
  ] as const;
  const onBar = (point: Vec3) => add(point, scale(off, barMm));
  const jaw = (pad: Vec3, end: Vec3): Vec3[] => boxOf(pad, end, beside, halfAlong, off, halfUp);
  // From the pad to the bar.
  const arm = (pad: Vec3, end: Vec3): Vec3[] => {
    const middle = scale(add(pad, end), 0.5);
    return boxOf(middle, onBar(middle), beside, BAR.thick / 2, axis, JAW_THICK_MM / 2);
  };
  const screwEnd = add(ends[1], scale(axis, SCREW.long));
  return {
    off,
    bars: [
      boxOf(onBar(ends[0]), onBar(screwEnd), beside, BAR.thick / 2, off, BAR.deep / 2),
      arm(padsAt[0], ends[0]),
      arm(padsAt[1], ends[1]),
    ],
    metal: [
      jaw(padsAt[0], ends[0]),
      jaw(padsAt[1], ends[1]),
      boxOf(ends[1], screwEnd, beside, SCREW.thick / 2, off, SCREW.thick / 2),
      ...(handleMm > 0
        ? [
            boxOf(
              add(screwEnd, scale(beside, -handleMm / 2)),
              add(screwEnd, scale(beside, handleMm / 2)),
              axis,
              5,
              off,
              5,
            ),
          ]
        : []),
    ],
    wood:
      packedMm === 0
        ? []
        : [
            [from, padsAt[0]],
            [to, padsAt[1]],
          ].map(([face = from, pad = from]) =>
            boxOf(face, pad, beside, halfAlong + BLOCK_PAST_MM, off, halfUp + BLOCK_PAST_MM),
          ),
    end: screwEnd,
  };
}

/** The way out of the assembly square to a pull that a clamp is given, else the nearest, upward where ways are alike; and how far it is. */
function outside(
  { fromMm, toMm }: Plan['facts'],
  from: Vec3,
  to: Vec3,
  axis: Vec3,
  given: Vec3 | null,
): { readonly off: Vec3; readonly mm: number } {
  const middle = scale(add(from, to), 0.5);
  const ways = MAIN_AXES.flatMap((main, k) => {
    if (Math.abs(dot(main, axis)) > 0.75 || (given !== null && Math.abs(dot(main, given)) < 0.7)) return [];
    const signs = ([1, -1] as const).filter((sign) => given === null || sign * dot(main, given) > 0);
    return signs.map((sign) => ({
      main: scale(main, sign),
      mm: sign > 0 ? (toMm[k] ?? 0) - (middle[k] ?? 0) : (middle[k] ?? 0) - (fromMm[k] ?? 0),
      up: main[2] * sign,
    }));
  });
  const [best = { main: MAIN_AXES[2], mm: 0 }] = ways.sort((a, b) =>
    Math.abs(a.mm - b.mm) < 1 ? b.up - a.up : a.mm - b.mm,
  );
  // Square to the pull, where that runs on a slant.
  return { off: unit(subtract(best.main, scale(axis, dot(best.main, axis)))), mm: Math.max(0, best.mm) };
}

/** A strip across its joint, a spring over its corner, or a weight, on the side that is seen. */
function onSpot(
  { facts }: Work,
  { joints, lot }: ClampInSpace,
  spot: Vec3,
  view: AssemblyView,
): { readonly at: Vec3; readonly solids: Vec3[][] } {
  if (lot.kind === 'weight') {
    const top = add(spot, [0, 0, WEIGHT_MM]);
    const half = WEIGHT_MM / 2;
    return { at: top, solids: [boxOf(spot, top, MAIN_AXES[0], half, MAIN_AXES[1], half)] };
  }
  const normal =
    facts.joints.find(({ joint }) => joint.id === joints[0])?.contacts[0]?.normal ?? MAIN_AXES[0];
  const flat = Math.abs(normal[2]) < 0.7;
  const up: Vec3 = flat ? MAIN_AXES[2] : MAIN_AXES[1];
  const along = unit(cross(up, normal));
  // On the face that is seen from above, or from the front.
  const { towards } = EYES[view];
  const seen = dot(up, towards) >= 0 ? facts.toMm : facts.fromMm;
  const at = flat ? ([spot[0], spot[1], seen[2]] as const) : spot;
  if (lot.kind === 'tape') {
    const half = scale(normal, STRIP.long / 2);
    return {
      at,
      solids: [boxOf(subtract(at, half), add(at, half), along, STRIP.wide / 2, up, STRIP.thick)],
    };
  }
  const [left, right] = [-1, 1].map((side) => add(at, scale(normal, side * SPRING.reach))) as [Vec3, Vec3];
  const top = add(at, scale(up, SPRING.high));
  const leg = (foot: Vec3) => boxOf(foot, top, along, SPRING.thick / 2, up, SPRING.thick / 2);
  return { at: top, solids: [leg(left), leg(right)] };
}

/** The lowest corner and the size of a sheet that holds an assembly with its clamps. */
export function frameWith(
  { from, size }: { readonly from: Vec2; readonly size: Vec2 },
  clamps: readonly PlacedMark[],
): { readonly from: Vec2; readonly size: Vec2 } {
  const points: Vec2[] = [
    from,
    [from[0] + size[0], from[1] + size[1]],
    ...clamps.flatMap(({ band, bars, metal, wood }) => [...band, ...[...bars, ...metal, ...wood].flat()]),
  ];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const low: Vec2 = [Math.min(...xs), Math.min(...ys)];
  return { from: low, size: [Math.max(...xs) - low[0], Math.max(...ys) - low[1]] };
}

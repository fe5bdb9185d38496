import { type AssemblyFacts, isEndGrain } from '../assembly';
import {
  add,
  dot,
  loopsInSpace,
  MAIN_AXES,
  middleOf,
  type Prism,
  prismVolume,
  reach,
  scale,
  type Solid,
  solidPoints,
  type Surface,
  surfaceArea,
  surfacesOf,
  unit,
  type Vec2,
  type Vec3,
} from '../solids';
import { type Shifts, TOGETHER } from './apart';
import { type AssemblyView, EYES } from './eye';
import { gluedLoops } from './glued-middle';
import { fromBehind, type Layer } from './painters-order';

/** One visible side of a part or an aid, flattened to the sheet in mm, y down. */
export interface SideMark {
  /** Part id, or null for something that is taken away again. */
  readonly part: string | null;
  /** Outline, then holes. */
  readonly loops: readonly (readonly Vec2[])[];
  readonly endGrain: boolean;
  /** How squarely it faces the eye's light, 0 to 1. */
  readonly light: number;
  /** Mark by which the part is kept the right way round; null on all other sides. */
  readonly mark: SideGlyph | null;
}

/** A face mark, whose tail runs to the marked edge, or the mark on that edge. */
export interface SideGlyph {
  readonly kind: 'face' | 'edge';
  readonly at: Vec2;
  /** Unit direction on the sheet: for a face mark toward the marked edge, for an edge mark toward the face. */
  readonly towards: Vec2;
}

/** A spot on the sheet that stands for a part. */
export interface PartMark {
  readonly id: string;
  readonly label: string;
  readonly at: Vec2;
}

/** Where two parts are glued. */
export interface JointMark {
  readonly id: string;
  readonly at: Vec2;
  /** Outlines of what is glued, of all that touches where it stays dry; moved with the first part. */
  readonly loops: readonly (readonly Vec2[])[];
}

/** All marks of one view, what lies behind first. */
export interface AssemblyMarks {
  readonly sides: readonly SideMark[];
  readonly parts: readonly PartMark[];
  readonly joints: readonly JointMark[];
  /** Lowest corner of everything drawn, and its size, mm on the sheet. */
  readonly from: Vec2;
  readonly size: Vec2;
}

/** Where the light comes from, fixed to the bench. */
const LIGHT: Vec3 = unit([-0.3, -0.5, 0.85]);

/** A surface covered to this share is out of sight. */
const COVERED_SHARE = 0.98;
/** A part or an aid with the sides of it that are seen. */
interface Drawn extends Layer {
  readonly sides: readonly SideMark[];
}

/**
 * Flattens an assembly to a sheet, its parts moved by `shifts`.
 * What lies behind is drawn first: parts that a main direction tells apart by that, others by the depth of their
 * middle, which is right for parts that do not interlock deeply.
 */
export function assemblyMarks(
  facts: AssemblyFacts,
  view: AssemblyView,
  { shifts = TOGETHER, aids = true }: { readonly shifts?: Shifts; readonly aids?: boolean } = {},
): AssemblyMarks {
  const eye = EYES[view];
  const flatten = (point: Vec3): Vec2 => [dot(point, eye.right), -dot(point, eye.up)];
  const shiftOf = (part: string): Vec3 => shifts.get(part) ?? [0, 0, 0];
  const draw = (
    solid: Solid,
    surfaces: readonly Surface[],
    shift: Vec3,
    mark: (surface: Surface, index: number) => Pick<SideMark, 'part' | 'endGrain' | 'mark'>,
    visible: (surface: Surface, index: number) => boolean,
  ): Drawn => {
    const body = solidPoints({ blocks: [largestOf(solid.blocks)], pockets: [] }).map((point) =>
      add(point, shift),
    );
    return {
      sides: surfaces.flatMap((surface, index) =>
        dot(surface.normal, eye.towards) > 1e-3 && visible(surface, index)
          ? [
              {
                ...mark(surface, index),
                loops: loopsInSpace(surface).map((loop) => loop.map((point) => flatten(add(point, shift)))),
                light: Math.max(0, dot(surface.normal, LIGHT)),
              },
            ]
          : [],
      ),
      reachMm: MAIN_AXES.map((axis) => reach(body, axis)),
      depthMm: dot(middleOf(body), eye.towards),
    };
  };
  const drawnParts = facts.parts.map((own) => {
    const { part, surfaces, coveredMm2 } = own;
    const shift = shiftOf(part.id);
    return draw(
      part.solid,
      surfaces,
      shift,
      (surface, index) => ({
        part: part.id,
        endGrain: isEndGrain(part, surface.normal),
        mark: glyphOf(own, index, (point) => flatten(add(point, shift))),
      }),
      (surface, index) => shifts.size > 0 || (coveredMm2[index] ?? 0) < COVERED_SHARE * surfaceArea(surface),
    );
  });
  const drawnAids = aids
    ? facts.assembly.aids.map(({ solid }) =>
        draw(
          solid,
          surfacesOf(solid),
          [0, 0, 0],
          () => ({ part: null, endGrain: false, mark: null }),
          () => true,
        ),
      )
    : [];
  const sides = fromBehind([...drawnParts, ...drawnAids], eye.towards).flatMap((drawn) => drawn.sides);
  const corners = sides.flatMap(({ loops }) => loops[0] ?? []);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const from: Vec2 = [Math.min(...xs), Math.min(...ys)];
  return {
    sides,
    parts: facts.parts.map(({ part }, i) => ({
      id: part.id,
      label: part.label,
      at: onPart(flatten(add(middleOf(solidPoints(part.solid)), shiftOf(part.id))), drawnParts[i]),
    })),
    joints: jointMarks(facts, shiftOf, flatten),
    from,
    size: [Math.max(...xs) - from[0], Math.max(...ys) - from[1]],
  };
}

/** The middle of a part, or of the visible side nearest to it: the middle of a curve lies off the wood. */
function onPart(middle: Vec2, drawn: Drawn | undefined): Vec2 {
  const sides = (drawn?.sides ?? []).map(({ loops }) => centreOf(loops[0] ?? []));
  return nearest(sides, middle, (side) => side) ?? middle;
}

function centreOf(points: readonly Vec2[]): Vec2 {
  const sum = points.reduce(([a, b], [x, y]): Vec2 => [a + x, b + y], [0, 0]);
  return [sum[0] / points.length, sum[1] / points.length];
}

function nearest<T>(all: readonly T[], to: Vec2, at: (one: T) => Vec2): T | null {
  const away = (one: T) => Math.hypot(at(one)[0] - to[0], at(one)[1] - to[1]);
  return all.reduce<T | null>((best, one) => (best === null || away(one) < away(best) ? one : best), null);
}

/** Share of the way from the middle of a side to its end at which a mark is drawn, clear of the part's name. */
const MARK_SHARE = 0.5;

/** The mark on one surface of a part, or null. */
function glyphOf(
  { part, surfaces, marks }: AssemblyFacts['parts'][number],
  index: number,
  onSheet: (point: Vec3) => Vec2,
): SideGlyph | null {
  const kind = marks?.face.surface === index ? 'face' : marks?.edge?.surface === index ? 'edge' : null;
  const surface = surfaces[index];
  const other = kind === 'face' ? marks?.edge : marks?.face;
  const corners = surface === undefined ? [] : (loopsInSpace(surface)[0] ?? []);
  if (kind === null || surface === undefined || !other || corners.length === 0) return null;
  const middle = middleOf(corners);
  const [low, high] = reach(corners, part.grain);
  const spot = add(middle, scale(part.grain, (MARK_SHARE * (low - high)) / 2));
  const [from, to] = [onSheet(spot), onSheet(add(spot, other.normal))];
  const [x, y] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(x, y);
  return length < 1e-6 ? null : { kind, at: from, towards: [x / length, y / length] };
}

function jointMarks(
  facts: AssemblyFacts,
  shiftOf: (part: string) => Vec3,
  flatten: (point: Vec3) => Vec2,
): JointMark[] {
  return facts.joints.map((own) => {
    const { joint } = own;
    const shift = shiftOf(joint.a);
    const loops = gluedLoops(own).map((loop) => loop.map((point) => flatten(add(point, shift))));
    // On the wood also where it is curved: the middle of the stretch nearest to the middle of all of them.
    const middles = loops.map(centreOf);
    const spot = nearest(middles, centreOf(middles), (each) => each);
    return { id: joint.id, at: spot ?? [0, 0], loops };
  });
}

function largestOf(blocks: readonly Prism[]): Prism {
  return blocks.reduce((a, b) => (prismVolume(b) > prismVolume(a) ? b : a));
}

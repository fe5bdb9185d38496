import { type AssemblyFacts, isEndGrain } from '../assembly';
import {
  add,
  cross,
  dot,
  loopsInSpace,
  scale,
  solidPoints,
  subtract,
  type Surface,
  surfacesOf,
  unit,
  type Vec2,
  type Vec3,
} from '../solids';

/** From where an assembly is looked at: on the slant, from in front, from above, or from the right. */
export type AssemblyView = 'slant' | 'front' | 'above' | 'side';

/** Directions of a view: towards the eye, and right and up on the sheet. */
interface Eye {
  readonly towards: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
}

/** One visible side of a part or an aid, flattened to the sheet in mm, y down. */
export interface SideMark {
  /** Part id, or null for something that is taken away again. */
  readonly part: string | null;
  /** Outline, then holes. */
  readonly loops: readonly (readonly Vec2[])[];
  readonly endGrain: boolean;
  /** How squarely it faces the eye's light, 0 to 1. */
  readonly light: number;
}

/** A spot on the sheet that stands for a part. */
export interface PartMark {
  readonly id: string;
  readonly label: string;
  readonly at: Vec2;
}

/** All marks of one view, furthest side first. */
export interface AssemblyMarks {
  readonly sides: readonly SideMark[];
  readonly parts: readonly PartMark[];
  /** Lowest corner of everything drawn, and its size, mm on the sheet. */
  readonly from: Vec2;
  readonly size: Vec2;
  /** Size of the assembly itself, not pulled apart, mm along right and up. */
  readonly overallMm: Vec2;
}

const EYES: Readonly<Record<AssemblyView, Eye>> = {
  slant: eyeAt([-0.42, -0.72, 0.55]),
  front: { towards: [0, -1, 0], right: [1, 0, 0], up: [0, 0, 1] },
  above: { towards: [0, 0, 1], right: [1, 0, 0], up: [0, 1, 0] },
  side: { towards: [1, 0, 0], right: [0, 1, 0], up: [0, 0, 1] },
};
/** Where the light comes from, fixed to the bench. */
const LIGHT: Vec3 = unit([-0.3, -0.5, 0.85]);

function eyeAt(direction: Vec3): Eye {
  const towards = unit(direction);
  const right = unit(cross([0, 0, 1], towards));
  return { towards, right, up: cross(towards, right) };
}

/**
 * Flattens an assembly to a sheet. `explode` moves each part away from the middle by that share of its distance.
 * Sides are sorted by the depth of their middle, which is right for parts that do not interlock deeply.
 */
export function assemblyMarks(
  facts: AssemblyFacts,
  view: AssemblyView,
  { explode = 0, aids = true }: { readonly explode?: number; readonly aids?: boolean } = {},
): AssemblyMarks {
  const eye = EYES[view];
  const middle = scale(add(facts.fromMm, facts.toMm), 0.5);
  const flatten = (point: Vec3): Vec2 => [dot(point, eye.right), -dot(point, eye.up)];
  const sides: (SideMark & { readonly depth: number })[] = [];
  const draw = (
    part: string | null,
    surfaces: readonly Surface[],
    shift: Vec3,
    endGrain: (normal: Vec3) => boolean,
  ) => {
    for (const surface of surfaces) {
      if (dot(surface.normal, eye.towards) < 1e-3) continue;
      const loops = loopsInSpace(surface).map((loop) => loop.map((point) => add(point, shift)));
      const outline = loops[0] ?? [];
      sides.push({
        part,
        loops: loops.map((loop) => loop.map(flatten)),
        endGrain: endGrain(surface.normal),
        light: Math.max(0, dot(surface.normal, LIGHT)),
        depth: outline.reduce((sum, point) => sum + dot(point, eye.towards), 0) / outline.length,
      });
    }
  };
  const parts = facts.parts.map(({ part, surfaces }): PartMark => {
    const points = solidPoints(part.solid);
    const centre = scale(points.reduce(add), 1 / points.length);
    const shift = scale(subtract(centre, middle), explode);
    draw(part.id, surfaces, shift, (normal) => isEndGrain(part, normal));
    return { id: part.id, label: part.label, at: flatten(add(centre, shift)) };
  });
  if (aids) facts.assembly.aids.forEach(({ solid }) => draw(null, surfacesOf(solid), [0, 0, 0], () => false));
  sides.sort((a, b) => a.depth - b.depth);
  const corners = sides.flatMap(({ loops }) => loops[0] ?? []);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const from: Vec2 = [Math.min(...xs), Math.min(...ys)];
  const own = [facts.fromMm, facts.toMm].map(flatten) as [Vec2, Vec2];
  return {
    sides,
    parts,
    from,
    size: [Math.max(...xs) - from[0], Math.max(...ys) - from[1]],
    overallMm: [Math.abs(own[1][0] - own[0][0]), Math.abs(own[1][1] - own[0][1])],
  };
}

/** A part, or an aid where `id` is null, as flat sides in space, for a solid to turn. */
export interface FacetedPart {
  readonly id: string | null;
  readonly sides: readonly { readonly normal: Vec3; readonly loops: readonly (readonly Vec3[])[] }[];
}

/** All parts and aids of an assembly, parts moved apart as in `assemblyMarks`. */
export function facetedParts(facts: AssemblyFacts, explode: number): FacetedPart[] {
  const middle = scale(add(facts.fromMm, facts.toMm), 0.5);
  const sidesOf = (surfaces: readonly Surface[], shift: Vec3) =>
    surfaces.map((surface) => ({
      normal: surface.normal,
      loops: loopsInSpace(surface).map((loop) => loop.map((point) => add(point, shift))),
    }));
  return [
    ...facts.parts.map(({ part, surfaces }) => {
      const points = solidPoints(part.solid);
      const centre = scale(points.reduce(add), 1 / points.length);
      return { id: part.id, sides: sidesOf(surfaces, scale(subtract(centre, middle), explode)) };
    }),
    ...facts.assembly.aids.map(({ solid }) => ({ id: null, sides: sidesOf(surfacesOf(solid), [0, 0, 0]) })),
  ];
}

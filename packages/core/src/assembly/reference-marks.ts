import { dot, type Surface, surfaceArea, type Vec3 } from '../solids';
import { type Part } from './assembly';
import { isEndGrain } from './joint-facts';

/** Where the face mark and the edge mark of a part go: indices of its surfaces and the ways they look. */
export interface ReferenceMarks {
  readonly face: ReferenceMark;
  /** Null for round or odd parts without a long-grain side square to the face. */
  readonly edge: ReferenceMark | null;
}

/** One marked surface. */
export interface ReferenceMark {
  readonly surface: number;
  readonly normal: Vec3;
}

/** Sides whose cosine is under this are square to each other: within 3°. */
const SQUARE_COSINE = 0.05;
/** A best face looks up, or at whoever stands in front, rather than down or away. */
const SEEN: Vec3 = [-0.05, -0.4, 1];
/** Sides alike to this share of their area are told apart by the way they look. */
const ALIKE = 0.98;

/**
 * Picks the sides that carry the marks by which a part is kept the right way round: the face mark on the largest
 * side along the grain, up or to the front where two are alike; the edge mark on the side square to it that is
 * glued most. Either is moved to the opposite side where the person has turned it.
 * @param coveredMm2 of each surface, how much lies against another part, mm².
 */
export function referenceMarks(
  part: Part,
  surfaces: readonly Surface[],
  coveredMm2: readonly number[],
): ReferenceMarks | null {
  const sides = surfaces
    .map((surface, index) => ({
      index,
      normal: surface.normal,
      areaMm2: surfaceArea(surface),
      coveredMm2: coveredMm2[index] ?? 0,
    }))
    .filter(({ normal }) => !isEndGrain(part, normal));
  const largest = Math.max(0, ...sides.map(({ areaMm2 }) => areaMm2));
  const best = sides
    .filter(({ areaMm2 }) => areaMm2 >= ALIKE * largest)
    .sort((a, b) => dot(b.normal, SEEN) - dot(a.normal, SEEN))[0];
  if (best === undefined) return null;
  const face = part.faceTurned ? opposite(sides, best) : best;
  const square = sides
    .filter(({ normal }) => Math.abs(dot(normal, face.normal)) < SQUARE_COSINE)
    .sort((a, b) => b.coveredMm2 - a.coveredMm2 || b.areaMm2 - a.areaMm2);
  const first = square[0];
  const edge = first === undefined ? null : part.edgeTurned ? opposite(square, first) : first;
  const markOf = ({ index, normal }: { index: number; normal: Vec3 }): ReferenceMark => ({
    surface: index,
    normal,
  });
  return { face: markOf(face), edge: edge === null ? null : markOf(edge) };
}

/** The side that looks most nearly the other way; the side itself where none does. */
function opposite<S extends { readonly normal: Vec3; readonly areaMm2: number }>(
  sides: readonly S[],
  side: S,
): S {
  const away = sides
    .filter(({ normal }) => dot(normal, side.normal) < -0.5)
    .sort((a, b) => dot(a.normal, side.normal) - dot(b.normal, side.normal) || b.areaMm2 - a.areaMm2);
  return away[0] ?? side;
}

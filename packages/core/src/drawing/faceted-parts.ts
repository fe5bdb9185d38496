import type { AssemblyFacts } from '../assembly';
import { add, loopsInSpace, type Surface, surfacesOf, type Vec3 } from '../solids';
import { type Shifts, TOGETHER } from './apart';

/** A part, or an aid where `id` is null, as flat sides in space, for a solid to turn. */
export interface FacetedPart {
  readonly id: string | null;
  readonly sides: readonly { readonly normal: Vec3; readonly loops: readonly (readonly Vec3[])[] }[];
}

/** All parts and aids of an assembly, parts moved by `shifts`. */
export function facetedParts(facts: AssemblyFacts, shifts: Shifts = TOGETHER): FacetedPart[] {
  const sidesOf = (surfaces: readonly Surface[], shift: Vec3) =>
    surfaces.map((surface) => ({
      normal: surface.normal,
      loops: loopsInSpace(surface).map((loop) => loop.map((point) => add(point, shift))),
    }));
  return [
    ...facts.parts.map(({ part, surfaces }) => ({
      id: part.id,
      sides: sidesOf(surfaces, shifts.get(part.id) ?? [0, 0, 0]),
    })),
    ...facts.assembly.aids.map(({ solid }) => ({ id: null, sides: sidesOf(surfacesOf(solid), [0, 0, 0]) })),
  ];
}

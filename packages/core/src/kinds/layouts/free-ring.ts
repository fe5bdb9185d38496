import type { SquareCheck } from '../../assembly';
import type { FreeJoint, FreePart } from '../../formats';
import { AXIS_INDEXES, grainAxis, span } from './free-blocks';

/** Four parts joined into a ring, opposite ones alike in direction, as two stiles and two rails are; null where none close one. */
function ringOf(parts: readonly FreePart[], joints: readonly FreeJoint[]): readonly FreePart[] | null {
  const near = new Map(parts.map(({ id }) => [id, new Set<string>()]));
  for (const { a, b } of joints) {
    near.get(a)?.add(b);
    near.get(b)?.add(a);
  }
  const byId = new Map(parts.map((part) => [part.id, part]));
  const rings = parts.flatMap((one) =>
    parts.flatMap((opposite) => {
      if (one.id >= opposite.id || grainAxis(one) !== grainAxis(opposite)) return [];
      const both = [...(near.get(one.id) ?? [])].filter((id) => near.get(opposite.id)?.has(id) === true);
      const between = both.flatMap((id) => byId.get(id) ?? []).filter((p) => grainAxis(p) !== grainAxis(one));
      const [first] = between;
      const pair = between.filter((part) => first !== undefined && grainAxis(part) === grainAxis(first));
      return pair.length >= 2 ? [[one, opposite, ...pair]] : [];
    }),
  );
  return rings.sort((a, b) => diagonalOf(b) - diagonalOf(a))[0] ?? null;
}

/** How far parts reach along a main direction, mm. */
function extent(parts: readonly FreePart[], axis: 0 | 1 | 2): number {
  const spans = parts.map((part) => span(part, axis));
  return Math.max(...spans.map(([, to]) => to)) - Math.min(...spans.map(([from]) => from));
}

const diagonalOf = (ring: readonly FreePart[]): number => {
  const { abMm, bcMm } = sidesOf(ring);
  return Math.hypot(abMm, bcMm);
};

/** Sides of the rectangle that a ring encloses, outside. */
function sidesOf(ring: readonly FreePart[]): { readonly abMm: number; readonly bcMm: number } {
  const ways = AXIS_INDEXES.filter((axis) => ring.some((part) => grainAxis(part) === axis));
  const [abMm = 0, bcMm = 0] = ways.map((axis) => extent(ring, axis));
  return { abMm, bcMm };
}

/** Diagonals of the largest ring of four that the parts close; nothing where they close none. */
export function squareOfRing(parts: readonly FreePart[], joints: readonly FreeJoint[]): SquareCheck {
  const ring = ringOf(parts, joints);
  return ring === null ? { kind: 'none' } : { kind: 'diagonals', ...sidesOf(ring) };
}

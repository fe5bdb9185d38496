import type { AssemblyFacts, JawPlace } from '../../assembly';
import type { RackLot } from '../../formats';
import { add, scale, solidPoints, subtract, unit, type Vec3 } from '../../solids';
import type { PlanParts } from '../plan';
import { blockClampsOf } from './block-clamps';
import { CORNER_INSET_MM, CORNERS, cornersOf } from './corners-down';

/** A clamp that presses no joint, where it stands: over a block, or at a corner that is held down. */
export interface HoldingClamp {
  readonly lot: RackLot;
  readonly place: JawPlace;
}

/** Clamps beside those that press, as far as the rack has them. */
export function holdingClamps(
  plan: Pick<PlanParts, 'build' | 'shop' | 'facts' | 'pulls' | 'row'>,
): HoldingClamp[] {
  const standing = (lot: RackLot | null | undefined, places: () => readonly JawPlace[]): HoldingClamp[] =>
    lot == null ? [] : places().map((place) => ({ lot, place }));
  const { facts } = plan;
  return [
    ...standing(blockClampsOf(plan)?.lot, () => facts.assembly.blockClamps?.places ?? []),
    ...standing(cornersOf(plan)?.lot, () => cornerPlaces(facts)),
  ];
}

/** Upright through the work near what reaches out furthest along either diagonal, bars outside. */
function cornerPlaces({ parts, fromMm, toMm }: AssemblyFacts): JawPlace[] {
  const points = parts.flatMap(({ part }) => solidPoints(part.solid));
  const middle = scale(add(fromMm, toMm), 0.5);
  const diagonals = Array.from({ length: CORNERS }, (_, i): Vec3 => [
    i % 2 === 0 ? -1 : 1,
    i < 2 ? -1 : 1,
    0,
  ]);
  return diagonals.map((diagonal) => {
    const reachOf = (point: Vec3) => point[0] * diagonal[0] + point[1] * diagonal[1];
    const corner = points.reduce((best, point) => (reachOf(point) > reachOf(best) ? point : best), middle);
    const inward = unit(subtract([middle[0], middle[1], 0], [corner[0], corner[1], 0]));
    const [x, y] = add(corner, scale(inward, CORNER_INSET_MM));
    return { from: [x, y, fromMm[2]], to: [x, y, toMm[2]], off: [diagonal[0], 0, 0] };
  });
}

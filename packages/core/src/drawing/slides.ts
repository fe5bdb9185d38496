import { canBePlaced, type ClampPlace, type Plan, pullFrame } from '../plan';
import type { Vec2 } from '../solids';
import { type AssemblyView, flattener } from './eye';

/** How one clamp can be slid over what it presses, on the sheet of a view. */
export interface Slide {
  /** Of the clamp, counted over all pulls. */
  readonly number: number;
  readonly place: ClampPlace;
  /** One mm along and one across, as they are seen; null for a way that it is not slid, or that points at the eye. */
  readonly along: Vec2 | null;
  readonly across: Vec2 | null;
  /** How far what is pressed reaches. */
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** What is seen shorter than this share of its length points at the eye, more or less: a hair's move of the hand would be a hand's breadth. */
const SEEN_SHARE = 0.25;

/** The clamps of a plan that can be slid by hand in a view: along their joints, where they seat any also across. */
export function clampSlides(
  { squeeze, facts, shop }: Pick<Plan, 'squeeze' | 'facts' | 'shop'>,
  view: AssemblyView,
): Slide[] {
  const flatten = flattener(view);
  const seen = (way: Vec2): Vec2 | null => (Math.hypot(...way) < SEEN_SHARE ? null : way);
  const placeable = (squeeze?.pulls ?? []).filter((pull) => canBePlaced(pull, shop.rack));
  return placeable.flatMap(({ planned: { pull }, clamps }) => {
    const { along, across, lengthMm, widthMm } = pullFrame(pull, facts);
    return clamps.flatMap(({ number, place }): Slide[] =>
      place === null
        ? []
        : [
            {
              number,
              place,
              along: seen(flatten(along)),
              across: pull.need === 'seat' ? seen(flatten(across)) : null,
              lengthMm,
              widthMm,
            },
          ],
    );
  });
}

/**
 * Where a clamp comes to that is drawn some way over the sheet, mm, in whole steps and no further than what is pressed reaches. Along a way
 * that it is not moved it stays as it was, wherever that is.
 */
export function slid(
  { place, along, across, lengthMm, widthMm }: Slide,
  way: Vec2,
  stepMm: number,
): ClampPlace {
  const moved = (fromMm: number, byMm: number, reachMm: number) =>
    Math.abs(byMm) < stepMm / 2
      ? fromMm
      : Math.min(reachMm, Math.max(0, stepMm * Math.round((fromMm + byMm) / stepMm)));
  const [byAlong, byAcross] = shares(along, across, way);
  return {
    alongMm: moved(place.alongMm, byAlong, lengthMm),
    acrossMm: moved(place.acrossMm, byAcross, widthMm),
  };
}

/** The way from one place to another on the sheet, mm. */
export function slideOnSheet({ place, along, across }: Slide, to: ClampPlace): Vec2 {
  const [a, b] = [to.alongMm - place.alongMm, to.acrossMm - place.acrossMm];
  const at = (axis: 0 | 1) => a * (along?.[axis] ?? 0) + b * (across?.[axis] ?? 0);
  return [at(0), at(1)];
}

/** How far along and how far across a way on the sheet is. */
function shares(along: Vec2 | null, across: Vec2 | null, way: Vec2): readonly [number, number] {
  const onto = ([x, y]: Vec2) => (x * way[0] + y * way[1]) / (x * x + y * y);
  if (along === null) return [0, across === null ? 0 : onto(across)];
  if (across === null) return [onto(along), 0];
  const cross = along[0] * across[1] - along[1] * across[0];
  // Both seen along one line: then it goes along.
  if (Math.abs(cross) < SEEN_SHARE ** 2) return [onto(along), 0];
  return [(way[0] * across[1] - way[1] * across[0]) / cross, (along[0] * way[1] - along[1] * way[0]) / cross];
}

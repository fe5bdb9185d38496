import type { Vec2 } from '../solids';
import type { BlockSeat } from './assembly';
import type { Panel } from './panel';
import type { ClampOnPanel } from './placed-clamps';

/** A jaw that pushes the block under it along the edge. */
export interface SlidingBlock {
  readonly clamp: ClampOnPanel;
  /** What is left of its push along the edge once friction has had its share, N. */
  readonly slideN: number;
  readonly holdsN: number;
  /** How steeply the edge falls away there. */
  readonly fallPerMm: number;
}

/**
 * The jaw that most outdoes what holds its block: a pull F on an edge that falls away at β pushes along it with F sin β, and
 * friction takes F μ cos β of that. Screws or clamps of the block's own must hold the rest. Null where every block stays.
 * Source: plane statics; friction and holding power [judgement].
 */
export function slidingBlock(
  { seats }: Pick<Panel, 'seats'>,
  clamps: readonly ClampOnPanel[],
): SlidingBlock | null {
  const sliding = clamps
    .flatMap((clamp) => seats.map((seat) => pushAlong(seat, clamp)))
    .filter((each) => each !== null)
    .filter(({ slideN, holdsN }) => slideN > holdsN)
    .sort((a, b) => b.slideN - b.holdsN - (a.slideN - a.holdsN));
  return sliding[0] ?? null;
}

/** Null where the jaw stands on another block. */
function pushAlong({ face, friction, holdsN }: BlockSeat, clamp: ClampOnPanel): SlidingBlock | null {
  const half = clamp.lot.padWidthMm / 2;
  const from = pointAt(face, clamp.placed.xMm - half);
  const to = pointAt(face, clamp.placed.xMm + half);
  if (from === null || to === null) return null;
  const fallPerMm = Math.abs((to[1] - from[1]) / (to[0] - from[0]));
  const fall = Math.atan(fallPerMm);
  const slideN = clamp.forceN * (Math.sin(fall) - friction * Math.cos(fall));
  return { clamp, slideN, holdsN, fallPerMm };
}

/** Places are whole millimetres, and the last jaw of a block may overhang by as much. */
const ROUNDED_MM = 0.5;

/** Point of a face at x; its end where x is past it by rounding only, null where further. */
function pointAt(face: readonly Vec2[], x: number): Vec2 | null {
  const at = face.findIndex((_, i) => x <= (face[i + 1]?.[0] ?? -Infinity) + ROUNDED_MM);
  const [a, b] = [face[at], face[at + 1]];
  if (a === undefined || b === undefined || x < a[0] - ROUNDED_MM) return null;
  return [x, a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])];
}

import { InputError } from '../basics/checks';
import { signedArea, type Vec2 } from '../solids';
import { LIVE_STATIONS } from './stations';

/** Both ends are measured this far inside, where the outline surely has two edges, as a share of the length. */
const INSIDE = 1e-6;
/** Flatter than this is no outline of a board, mm. */
const LEAST_MM = 20;

/** A slab by its longest box: how far each edge stays inside it at even steps along it, mm. */
export interface LiveEdges {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly nearMm: readonly number[];
  readonly farMm: readonly number[];
}

/**
 * Reads a closed outline as a slab with two live edges: its longer side lies along x, and at each station the outline has one near and
 * one far edge.
 * @param contour corners in mm, y up, in either direction; at least three.
 * @throws InputError for an outline that turns back on itself, or is too small to be a board.
 */
export function liveEdges(contour: readonly Vec2[]): LiveEdges {
  const xs = contour.map(([x]) => x);
  const ys = contour.map(([, y]) => y);
  const upright = Math.max(...ys) - Math.min(...ys) > Math.max(...xs) - Math.min(...xs);
  const lying = upright ? contour.map(([x, y]): Vec2 => [y, -x]) : contour;
  const [left, right] = reachOn(lying, 0);
  const [low, high] = reachOn(lying, 1);
  const [lengthMm, widthMm] = [right - left, high - low];
  if (!(lengthMm >= LEAST_MM && widthMm >= LEAST_MM) || Math.abs(signedArea(lying)) < LEAST_MM * LEAST_MM) {
    throw new InputError(
      'out-of-range',
      'outline',
      `The outline is ${Math.round(lengthMm)} by ${Math.round(widthMm)} mm.`,
      `a closed outline of at least ${LEAST_MM} mm each way; its drawing may be in another unit`,
    );
  }
  const stations = Array.from({ length: LIVE_STATIONS }, (_, i) => {
    const share = Math.min(1 - INSIDE, Math.max(INSIDE, i / (LIVE_STATIONS - 1)));
    const crossings = crossingsAt(lying, left + share * lengthMm);
    const [near, far] = crossings;
    if (crossings.length !== 2 || near === undefined || far === undefined) {
      throw new InputError(
        'inconsistent',
        'outline',
        `The outline turns back on itself ${Math.round(share * lengthMm)} mm from its end.`,
        'an outline with one near and one far edge all along',
      );
    }
    return [near - low, high - far] as const;
  });
  const hundredth = (mm: number) => Math.max(0, Math.round(100 * mm) / 100);
  return {
    lengthMm: hundredth(lengthMm),
    widthMm: hundredth(widthMm),
    nearMm: stations.map(([near]) => hundredth(near)),
    farMm: stations.map(([, far]) => hundredth(far)),
  };
}

function reachOn(points: readonly Vec2[], axis: 0 | 1): readonly [number, number] {
  const along = points.map((point) => point[axis]);
  return [Math.min(...along), Math.max(...along)];
}

/** Where an upright line crosses an outline, from below. */
function crossingsAt(outline: readonly Vec2[], x: number): number[] {
  return outline
    .flatMap(([x1, y1], i) => {
      const [x2, y2] = outline[(i + 1) % outline.length] ?? [x1, y1];
      return x1 > x === x2 > x ? [] : [y1 + ((x - x1) / (x2 - x1)) * (y2 - y1)];
    })
    .sort((a, b) => a - b);
}

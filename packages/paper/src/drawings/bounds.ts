import type { FigurePath } from '@lean-clasp/core/drawing';

/** What some lines span, mm, y up. */
export interface Bounds {
  readonly leftMm: number;
  readonly topMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The smallest box around everything that is drawn; no size for nothing. */
export function boundsOf(paths: readonly Pick<FigurePath, 'points'>[]): Bounds {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
  for (const { points } of paths) {
    for (const [x, y] of points) {
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.low = Math.min(box.low, y);
      box.high = Math.max(box.high, y);
    }
  }
  if (box.left === Infinity) return { leftMm: 0, topMm: 0, widthMm: 0, heightMm: 0 };
  return { leftMm: box.left, topMm: box.high, widthMm: box.right - box.left, heightMm: box.high - box.low };
}

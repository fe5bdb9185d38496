import type { Aid } from '../assembly';

import { type Prism, prismCorners, solidPoints, type Vec2, type Vec3 } from '../solids';
import { cut, type FullSizeItem, lengthAt, type ShapeLabel } from './item';

type Reach = readonly [low: number, high: number];

const reachOn = (points: readonly Vec3[], axis: 0 | 1 | 2): Reach => {
  const along = points.map((point) => point[axis]);
  return [Math.min(...along), Math.max(...along)];
};

const rectangle = ([left, right]: Reach, [low, high]: Reach): Vec2[] => [
  [left, low],
  [right, low],
  [right, high],
  [left, high],
];

/** Whether a block is hollowed for tenons that stand out of the side that it lies on. */
export const isHollowed = ({ role, solid }: Aid): boolean => role === 'block' && solid.pockets.length > 0;

/**
 * Blocks that reach over through tenons, seen against the side of a case: depth to the right, height up. Slots are chopped so deep that
 * the tenon ends stand free. Those alike are drawn once.
 */
export function uBlockItems(aids: readonly Aid[]): FullSizeItem[] {
  const byShape = new Map<string, FullSizeItem>();
  for (const aid of aids.filter(isHollowed)) {
    const item = uBlockItem(aid, byShape.size + 1);
    const key = JSON.stringify([item.thicknessMm, item.shapes]);
    const known = byShape.get(key);
    byShape.set(key, known === undefined ? item : { ...known, count: known.count + 1 });
  }
  return [...byShape.values()];
}

function uBlockItem({ solid }: Aid, number: number): FullSizeItem {
  const points = solidPoints(solid);
  const [thick, deep, high] = [reachOn(points, 0), reachOn(points, 1), reachOn(points, 2)];
  const from = (reach: Reach, zero: number): Reach => [reach[0] - zero, reach[1] - zero];
  const slots = solid.pockets.map((pocket: Prism) => {
    const corners = prismCorners(pocket);
    const into = reachOn(corners, 0);
    return {
      across: from(reachOn(corners, 1), deep[0]),
      up: from(reachOn(corners, 2), high[0]),
      deepMm: into[1] - into[0],
    };
  });
  const size: Vec2 = [deep[1] - deep[0], high[1] - high[0]];
  return {
    id: `u-block-${number}`,
    kind: 'u-block',
    count: 1,
    thicknessMm: thick[1] - thick[0],
    shapes: [
      cut(rectangle([0, size[0]], [0, size[1]]), true),
      ...slots.map(({ across, up }) => cut(rectangle(across, up), true)),
    ],
    labels: [
      lengthAt([size[0] / 2, 3], size[0]),
      ...slots.map(({ across, up, deepMm }): ShapeLabel => ({
        at: [(across[0] + across[1]) / 2, (up[0] + up[1]) / 2 - 2],
        highMm: 4,
        says: { code: 'deep', mm: deepMm },
      })),
    ],
  };
}

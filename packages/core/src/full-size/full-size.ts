import type { Aid } from '../assembly';
import type { Plan } from '../plan';
import { solidPoints, type Vec2 } from '../solids';
import { bendFormItems } from './bend-form';
import { cut, type FullSizeItem, lengthAt, mark } from './item';
import { keyJigItems } from './key-jig';
import { pegStripItems } from './peg-strip';
import { isHollowed, uBlockItems } from './u-blocks';
import { caulItems, clampStripItems } from './row-items';
import { withArcs } from './with-arcs';

/** Everything of a settled plan that is made or marked from a template at full size. */
export function fullSizeItems(plan: Plan): FullSizeItem[] {
  const { row, facts } = plan;
  return [
    ...(row === null ? [] : [...caulItems(row), ...clampStripItems(row)]),
    ...blockItems(facts.assembly.aids.filter((aid) => !isHollowed(aid))),
    ...uBlockItems(facts.assembly.aids),
    ...bendFormItems(plan),
    ...storyStickItems(plan),
    ...pegStripItems(plan),
    ...keyJigItems(plan),
  ];
}

const BLOCKS: readonly Aid['role'][] = ['block', 'foot', 'release-block'];

/** Blocks by their outline; those alike, also turned over, once with their number. */
function blockItems(aids: readonly Aid[]): FullSizeItem[] {
  const byShape = new Map<
    string,
    { readonly outline: readonly Vec2[]; readonly thicknessMm: number; count: number }
  >();
  for (const { role, solid } of aids) {
    const [block] = solid.blocks;
    if (!BLOCKS.includes(role) || block === undefined) continue;
    const key = [sidesOf(block.outline), Math.round(block.heightMm * 10)].join(' ');
    const known = byShape.get(key);
    if (known !== undefined) known.count += 1;
    else byShape.set(key, { outline: fromCorner(block.outline), thicknessMm: block.heightMm, count: 1 });
  }
  return [...byShape.values()].map(({ outline, thicknessMm, count }, i) => {
    const [wide, high] = [Math.max(...outline.map(([x]) => x)), Math.max(...outline.map(([, y]) => y))];
    return {
      id: `block-${i + 1}`,
      kind: 'block',
      count,
      thicknessMm,
      outline,
      shapes: withArcs(outline, 'cut'),
      labels: [lengthAt([wide / 2, high / 2], wide), lengthAt([wide / 2, high / 2 - 7], high)],
    };
  });
}

/** Lengths of the sides, in no order: the same for an outline that is turned or turned over. */
const sidesOf = (outline: readonly Vec2[]): string =>
  outline
    .map(([x, y], i) => {
      const [nextX, nextY] = outline[(i + 1) % outline.length] as Vec2;
      return Math.round(10 * Math.hypot(nextX - x, nextY - y));
    })
    .sort((a, b) => a - b)
    .join(',');

/** Moved so that it begins at the corner of the sheet. */
function fromCorner(outline: readonly Vec2[]): Vec2[] {
  const [left, low] = [Math.min(...outline.map(([x]) => x)), Math.min(...outline.map(([, y]) => y))];
  return outline.map(([x, y]) => [x - left, y - low]);
}

/** Parts that stand at marks along others. */
const SPACED: readonly string[] = ['slat', 'shelf'];
const STICK_MM = 30;

/** A stick with where each slat or shelf begins and ends, along the way in which they stand one after the other. */
function storyStickItems({ facts }: Plan): FullSizeItem[] {
  const spaced = facts.parts.filter(({ part }) => SPACED.includes(part.role));
  if (spaced.length === 0) return [];
  const reaches = spaced.map(({ part }) => {
    const points = solidPoints(part.solid);
    return [0, 1, 2].map((axis) => {
      const along = points.map((point) => point[axis] ?? 0);
      return [Math.min(...along), Math.max(...along)] as const;
    });
  });
  const spreadOn = (axis: number) => {
    const starts = reaches.map((each) => each[axis]?.[0] ?? 0);
    return Math.max(...starts) - Math.min(...starts);
  };
  const axis =
    spaced.length === 1
      ? thinnest(reaches[0] ?? [])
      : [0, 1, 2].reduce((a, b) => (spreadOn(b) > spreadOn(a) ? b : a));
  const [from, to] = [facts.fromMm[axis] ?? 0, facts.toMm[axis] ?? 0];
  // Slats of several bays stand at the same marks.
  const marks = [
    ...new Map(reaches.map((each) => [Math.round((each[axis]?.[0] ?? 0) * 10), each[axis]])).values(),
  ]
    .flatMap((reach) => (reach === undefined ? [] : [reach]))
    .sort((a, b) => a[0] - b[0]);
  return [
    {
      id: 'story-stick',
      kind: 'story-stick',
      count: 1,
      thicknessMm: null,
      shapes: [
        cut(
          [
            [0, 0],
            [to - from, 0],
            [to - from, -STICK_MM],
            [0, -STICK_MM],
          ],
          true,
        ),
        ...marks.flatMap((reach) =>
          reach.map((at) =>
            mark([
              [at - from, 0],
              [at - from, -14],
            ]),
          ),
        ),
        ...marks.map(([start, end]) =>
          mark([
            [start - from, -14],
            [end - from, 0],
          ]),
        ),
      ],
      labels: marks.flatMap(([start, end], i) => [
        {
          at: [(start + end) / 2 - from, -19] as Vec2,
          highMm: 4,
          says: { code: 'name' as const, name: `${i + 1}` },
        },
        lengthAt([(start + end) / 2 - from, -25], start - from, 3),
      ]),
    },
  ];
}

const thinnest = (reach: readonly (readonly [number, number])[]): number =>
  reach.reduce(
    (best, [low, high], axis) =>
      high - low < (reach[best]?.[1] ?? Infinity) - (reach[best]?.[0] ?? 0) ? axis : best,
    0,
  );

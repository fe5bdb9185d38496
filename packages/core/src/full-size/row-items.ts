import { type RowPlan, stageOpeningsMm } from '../plan';
import type { Vec2 } from '../solids';
import { cut, type FullSizeItem, lengthAt, mark, type Shape, type ShapeLabel } from './item';

/** Below the crown, so that the template can be held, mm. */
const BELOW_CROWN_MM = 14;

/** The crowned edge of the cauls, with stations; none where no pair is planned. */
export function caulItems({ cauls }: RowPlan): FullSizeItem[] {
  if (cauls === null) return [];
  const { profile } = cauls.crown;
  const [first, last] = [profile[0], profile.at(-1)];
  if (first === undefined || last === undefined) return [];
  const stations = profile.filter((_, i) => i % 2 === 0);
  return [
    {
      id: 'caul-crown',
      kind: 'caul-crown',
      count: 2 * cauls.pairs,
      thicknessMm: null,
      shapes: [
        cut(profile.map(({ xMm, yMm }): Vec2 => [xMm, yMm])),
        mark([
          [first.xMm, 0],
          [last.xMm, 0],
        ]),
        ...stations.map(({ xMm, yMm }) =>
          mark([
            [xMm, yMm],
            [xMm, -4],
          ]),
        ),
        mark([
          [first.xMm, -BELOW_CROWN_MM],
          [last.xMm, -BELOW_CROWN_MM],
        ]),
      ],
      labels: stations.flatMap(({ xMm, yMm }): ShapeLabel[] => [
        lengthAt([xMm, -8], xMm, 3),
        { at: [xMm, -12], highMm: 3, says: { code: 'high', mm: yMm } },
      ]),
    },
  ];
}

const STRIP_MM = 36;

/** A strip laid along the first edge of the work: number, side and place of every clamp, and the cauls. */
export function clampStripItems(row: RowPlan): FullSizeItem[] {
  const { clampSet, panel, cauls } = row;
  if (clampSet.clamps.length === 0) return [];
  const { lengthMm } = panel;
  const openingsMm = stageOpeningsMm(row);
  const upright = (x: number, from: number, to: number): Shape =>
    mark([
      [x, from],
      [x, to],
    ]);
  const rectangle = (x: number, wide: number, high: number): Shape => ({
    kind: 'line',
    layer: 'mark',
    closed: true,
    points: [
      [x - wide / 2, 0],
      [x + wide / 2, 0],
      [x + wide / 2, -high],
      [x - wide / 2, -high],
    ],
  });
  const places = cauls?.placesMm ?? [];
  const labels: ShapeLabel[] = [
    ...clampSet.clamps.flatMap(({ placed: { xMm, side }, number }): ShapeLabel[] => [
      { at: [xMm, -22], highMm: 8, says: { code: 'clamp', number, side } },
      lengthAt([xMm, -28], xMm),
      { at: [xMm, -33], highMm: 3, says: { code: 'openings', mm: openingsMm } },
    ]),
    ...places.map((x): ShapeLabel => ({ at: [x, -14], highMm: 4, says: { code: 'caul' } })),
  ];
  return [
    {
      id: 'clamp-strip',
      kind: 'clamp-strip',
      count: 1,
      thicknessMm: null,
      shapes: [
        cut(
          [
            [0, 0],
            [lengthMm, 0],
            [lengthMm, -STRIP_MM],
            [0, -STRIP_MM],
          ],
          true,
        ),
        ...places.map((x) => rectangle(x, cauls?.caul.widthMm ?? 0, 9)),
        ...clampSet.clamps.flatMap(({ placed: { xMm }, lot }) => [
          rectangle(xMm, lot.padWidthMm, 5),
          upright(xMm, -5, -13),
        ]),
      ],
      labels,
    },
  ];
}

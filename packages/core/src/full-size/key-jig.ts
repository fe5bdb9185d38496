import { reinforcementOptions } from '../assembly';
import { mitredCorner, type Plan } from '../plan';
import { cut, type FullSizeItem, lengthAt, mark } from './item';

/** Above and beside the drawn edge, so that the stick can be held and read, mm. */
const HOLD_MM = { above: 12, beside: 48 };

/**
 * A stick that a saw and its jig are set by, for the keys of a mitred frame: the edge of the frame with a kerf for each key, and the
 * height of the blade over the table of the jig. None where the corners are held otherwise.
 */
export function keyJigItems(plan: Plan): FullSizeItem[] {
  const mitred = mitredCorner(plan);
  const keyed = plan.build.jointNotes.some(
    ({ id, reinforcement }) => reinforcement === 'key' && mitred?.joints.includes(id) === true,
  );
  if (mitred === null || !keyed) return [];
  const key = reinforcementOptions(mitred.corner).find(({ reinforcement }) => reinforcement === 'key')?.cut;
  if (key === undefined || key === null) return [];
  const { thicknessMm } = mitred.corner;
  const bladeMm = key.bladeMm ?? key.deepMm;
  const highMm = bladeMm + HOLD_MM.above;
  const wideMm = thicknessMm + HOLD_MM.beside;
  const middles = Array.from({ length: key.count }, (_, i) => (thicknessMm * (i + 0.5)) / key.count);
  return [
    {
      id: 'key-jig',
      kind: 'key-jig',
      count: 1,
      thicknessMm: null,
      shapes: [
        cut(
          [
            [0, 0],
            [wideMm, 0],
            [wideMm, highMm],
            [0, highMm],
          ],
          true,
        ),
        mark([
          [0, bladeMm],
          [wideMm, bladeMm],
        ]),
        mark([
          [thicknessMm, 0],
          [thicknessMm, highMm],
        ]),
        ...middles.flatMap((at) =>
          [-1, 1].map((side) =>
            mark([
              [at + (side * key.thickMm) / 2, 0],
              [at + (side * key.thickMm) / 2, bladeMm],
            ]),
          ),
        ),
      ],
      labels: [
        {
          at: [thicknessMm + HOLD_MM.beside / 2, bladeMm + 3],
          highMm: 4,
          says: { code: 'blade', mm: bladeMm },
        },
        ...middles.map((at) => lengthAt([at, bladeMm + 2], at, 3)),
      ],
    },
  ];
}

import { ofCode } from '../findings';
import type { Plan } from '../plan';
import type { Vec2 } from '../solids';
import { type FullSizeItem, lengthAt, mark, type Shape, type ShapeLabel } from './item';

/** Between the row of the end and that of the tongue, mm. */
const ROWS_MM = 60;
/** Short stretches that a rounded end of a slot is drawn by. */
const ROUND = 16;

/** A slot with round ends, lying along x. */
function slot([x, y]: Vec2, from: number, to: number, across: number): Shape {
  const radius = across / 2;
  const half = (centre: number, start: number): Vec2[] =>
    Array.from({ length: ROUND + 1 }, (_, i) => {
      const angle = start + (Math.PI * i) / ROUND;
      return [x + centre + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
  return {
    kind: 'line',
    layer: 'drill',
    closed: true,
    points: [...half(to - radius, -Math.PI / 2), ...half(from + radius, Math.PI / 2)],
  };
}

/**
 * Where pegs go through a breadboard end and its tongue: two rows, each under its shoulder. The holes of the tongue lie nearer to the
 * shoulder by the offset that draws the joint home; all but the middle one are slots, longer towards the edge that the panel shrinks
 * from.
 */
export function pegStripItems({ build, findings }: Plan): FullSizeItem[] {
  const drill = ofCode(findings, 'drill-for-pegs');
  const { panelWidthMm } = build.answers as { readonly panelWidthMm?: number };
  if (drill === undefined || panelWidthMm === undefined) return [];
  const { pegMm, fromShoulderMm, offsetMm } = drill.values;
  const slots = findings.flatMap((found) => (found.code === 'peg-slot' ? [found.values] : []));
  const middle = panelWidthMm / 2;
  const pegs = [{ atMm: 0, slotMm: pegMm, outwardMm: 0 }, ...slots].sort((a, b) => a.atMm - b.atMm);
  const endY = -fromShoulderMm;
  const tongueY = -ROWS_MM - fromShoulderMm + offsetMm;
  const line = (from: Vec2, to: Vec2) => mark([from, to]);
  const row = (y: number): Shape[] => [
    line([0, y], [panelWidthMm, y]),
    line([0, y], [0, y - 2 * fromShoulderMm]),
    line([panelWidthMm, y], [panelWidthMm, y - 2 * fromShoulderMm]),
  ];
  return [
    {
      id: 'peg-strip',
      kind: 'peg-strip',
      count: 1,
      thicknessMm: null,
      shapes: [
        {
          kind: 'line',
          layer: 'cut',
          closed: true,
          points: [
            [0, 8],
            [panelWidthMm, 8],
            [panelWidthMm, -ROWS_MM - 2 * fromShoulderMm - 4],
            [0, -ROWS_MM - 2 * fromShoulderMm - 4],
          ],
        },
        ...row(0),
        ...row(-ROWS_MM),
        ...pegs.map(({ atMm }): Shape => ({
          kind: 'circle',
          layer: 'drill',
          centre: [middle + atMm, endY],
          radiusMm: pegMm / 2,
        })),
        ...pegs.map(({ atMm, slotMm, outwardMm }): Shape => {
          // From the peg's middle: out past it by half a peg and the way it shrinks, in by the rest.
          const out = pegMm / 2 + outwardMm;
          const into = slotMm - out;
          const [from, to] = atMm < 0 ? [-out, into] : [-into, out];
          return atMm === 0
            ? { kind: 'circle', layer: 'drill', centre: [middle, tongueY], radiusMm: pegMm / 2 }
            : slot([middle + atMm, tongueY], from, to, pegMm);
        }),
      ],
      labels: [
        { at: [30, 2], highMm: 4, says: { code: 'end' } },
        { at: [30, -ROWS_MM + 2], highMm: 4, says: { code: 'tongue' } },
        ...pegs.map(({ atMm }) => lengthAt([middle + atMm, -ROWS_MM + 12], middle + atMm, 4)),
      ] satisfies ShapeLabel[],
    },
  ];
}

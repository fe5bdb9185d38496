import { edgeLine, flatness, trySquare } from '../../calculations/geometry';
import type { Vec2 } from '../../solids';
import { drawn, enlarge, line, number, outline, polar } from './figure';

/** Heights on a slanted ground, enlarged. */
export const flatnessFigure = drawn(flatness, ({ points }, { windMm, bowMm, cupMm }) => {
  const xs = points.map(({ xMm }) => xMm);
  const ys = points.map(({ yMm }) => yMm);
  const size = Math.max(...xs) - Math.min(...xs) + (Math.max(...ys) - Math.min(...ys));
  const heights = points.map(({ zMm }) => zMm);
  const enlarged = enlarge(Math.max(...heights) - Math.min(...heights), Math.max(size, 1), 0.12);
  const at = (x: number, y: number, z: number): Vec2 => [x + 0.45 * y, 0.42 * y + z * enlarged];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const base = Math.min(...heights);
  return {
    enlarged,
    paths: [
      outline([at(x0, y0, base), at(x1, y0, base), at(x1, y1, base), at(x0, y1, base)], 'ghost'),
      ...points.map(({ xMm, yMm, zMm }) => line([at(xMm, yMm, base), at(xMm, yMm, zMm)], 'force')),
      ...rows(points).map((row) => line(row.map(({ xMm, yMm, zMm }) => at(xMm, yMm, zMm)))),
    ],
    labels: [
      ...(bowMm === null ? [] : [number(at((x0 + x1) / 2, y0, base), 'below', 'bowMm', bowMm, 'bow')]),
      ...(cupMm === null ? [] : [number(at(x1, (y0 + y1) / 2, base), 'right', 'cupMm', cupMm, 'cup')]),
      ...(windMm === null
        ? []
        : [number(at(x0, y1, Math.max(...heights)), 'above', 'windMm', windMm, 'wind')]),
    ],
  };
});

/** Readings that share a y, in order along x. */
function rows<P extends { readonly xMm: number; readonly yMm: number }>(points: readonly P[]): P[][] {
  const byY = new Map<number, P[]>();
  for (const point of points) byY.set(point.yMm, [...(byY.get(point.yMm) ?? []), point]);
  return [...byY.values()].map((row) => [...row].sort((a, b) => a.xMm - b.xMm));
}

/** The opening along an edge, enlarged. */
export const edgeLineFigure = drawn(edgeLine, ({ readingsMm }, { sagMm }) => {
  const length = 100;
  const most = Math.max(...readingsMm.map(Math.abs), 1e-9);
  const enlarged = enlarge(most, length, 0.18);
  const step = readingsMm.length > 1 ? length / (readingsMm.length - 1) : length;
  const edge = readingsMm.map((gap, i): Vec2 => [i * step, gap * enlarged]);
  const from = edge[0] ?? [0, 0];
  const to = edge.at(-1) ?? [length, 0];
  return {
    enlarged,
    paths: [
      outline([
        [0, -20],
        [length, -20],
        [length, 0],
        [0, 0],
      ]),
      outline([...edge, [length, to[1] + 26], [0, from[1] + 26]]),
      ...edge.map(([x, y]) =>
        line(
          [
            [x, 0],
            [x, y],
          ],
          'force',
        ),
      ),
    ],
    labels: [
      ...readingsMm.map((gap, i) => number([i * step, -20], 'below', 'gapMm', gap)),
      number([length, to[1] + 7], 'right', 'sagMm', sagMm, 'middle'),
    ],
  };
});

/** A square against a corner, the gap enlarged. */
export const trySquareFigure = drawn(trySquare, ({ gapMm, bladeMm }, { errorDeg }) => {
  const enlarged = enlarge(gapMm, bladeMm, 0.2);
  const lean = (Math.atan2(gapMm * enlarged, bladeMm) * 180) / Math.PI;
  const stock = bladeMm * 0.6;
  const thick = bladeMm * 0.12;
  // Wood whose upright face leans away from the blade.
  const top = polar([0, 0], 90 + lean, bladeMm);
  return {
    enlarged,
    paths: [
      outline([[0, 0], top, [top[0] - stock, top[1]], [-stock, 0]]),
      outline(
        [
          [0, 0],
          [thick, 0],
          [thick, bladeMm],
          [0, bladeMm],
        ],
        'ghost',
      ),
      outline(
        [
          [-stock, -thick],
          [thick, -thick],
          [thick, 0],
          [-stock, 0],
        ],
        'ghost',
      ),
      line([top, [0, top[1]]], 'force'),
    ],
    labels: [
      number([Math.max(0, top[0]), bladeMm], 'above', 'gapMm', gapMm),
      number([thick, bladeMm / 2], 'right', 'bladeMm', bladeMm),
      number([-stock / 2, -thick], 'below', 'errorDeg', errorDeg, 'off by'),
    ],
  };
});

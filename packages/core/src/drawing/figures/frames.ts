import { compoundMitre, mitrePolygon, quad, stave } from '../../calculations/geometry';
import type { Vec2 } from '../../solids';
import { drawn, enlarge, line, number, outline, polar, word } from './figure';

const middle = (...points: readonly Vec2[]): Vec2 => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
];

/** Corners of a polygon walked from its sides and interior angles; the last point should meet the first. */
function walk(sides: readonly number[], anglesDeg: readonly number[]): Vec2[] {
  const points: Vec2[] = [[0, 0]];
  let heading = 0;
  sides.forEach((side, i) => {
    points.push(polar(points[i] ?? [0, 0], heading, side));
    heading += 180 - (anglesDeg[(i + 1) % anglesDeg.length] ?? 90);
  });
  return points;
}

/** The frame as it stands, its errors enlarged, over the one it should be. */
export const quadFigure = drawn(quad, (sides, { anglesDeg, longDiagonal, rackMm }) => {
  const { ab, bc, cd, da, ac, bd } = sides;
  const [width, height] = [(ab + cd) / 2, (bc + da) / 2];
  const enlarged = enlarge(rackMm, Math.min(width, height), 0.2);
  // A racked frame leans: what the diagonals differ by moves the far side along.
  const lean = rackMm * enlarged;
  const taper = ((ab - cd) * enlarged) / 2;
  const slope = ((bc - da) * enlarged) / 2;
  const a: Vec2 = [0, 0];
  const b: Vec2 = [width + taper, 0];
  const c: Vec2 = [width - taper + lean, height + slope];
  const d: Vec2 = [lean, height - slope];
  const diagonal = (from: Vec2, to: Vec2, long: boolean) => line([from, to], long ? 'force' : 'thin');
  return {
    enlarged,
    paths: [
      outline(
        [
          [0, 0],
          [width, 0],
          [width, height],
          [0, height],
        ],
        'ghost',
      ),
      outline([a, b, c, d], 'edge'),
      diagonal(a, c, longDiagonal === 'ac'),
      diagonal(b, d, longDiagonal === 'bd'),
    ],
    labels: [
      number(a, 'left', 'aDeg', anglesDeg.a, 'a'),
      number(b, 'right', 'bDeg', anglesDeg.b, 'b'),
      number(c, 'right', 'cDeg', anglesDeg.c, 'c'),
      number(d, 'left', 'dDeg', anglesDeg.d, 'd'),
      number(middle(a, c, c), 'right', 'diagonalMm', ac, 'a–c'),
      number(middle(b, d, d), 'left', 'diagonalMm', bd, 'b–d'),
    ],
  };
});

/** The outline as it closes, or misses itself, with its mitres. */
export const mitrePolygonFigure = drawn(mitrePolygon, ({ sidesMm, anglesDeg, memberWidthMm }, answer) => {
  const points = walk(sidesMm, anglesDeg);
  const end = points.at(-1) ?? [0, 0];
  const corners = points.slice(0, -1);
  const turn = anglesDeg.map((angle) => 180 - angle);
  const cuts = corners.map((corner, i) => {
    // Heading of the side that leaves this corner, then half the interior angle inward.
    const heading = turn.slice(1, i + 1).reduce((sum, each) => sum + each, 0);
    const half = (anglesDeg[i] ?? 90) / 2;
    return line(
      [corner, polar(corner, heading + half, memberWidthMm / Math.sin((half * Math.PI) / 180))],
      'thin',
    );
  });
  const inner = cuts.map(({ points: [, inside] }): Vec2 => inside ?? [0, 0]);
  const open = answer.closureMm > 0.5;
  return {
    paths: [
      ...(open
        ? [line(points)]
        : corners.map((corner, i) => {
            const k = (i + 1) % corners.length;
            return outline([corner, corners[k] ?? corner, inner[k] ?? corner, inner[i] ?? corner]);
          })),
      ...cuts,
      ...(open ? [line([end, [0, 0]], 'force')] : []),
    ],
    labels: [
      ...corners.map((corner, i) =>
        number(
          corner,
          corner[0] < middle(...corners)[0] ? 'left' : 'right',
          'sawDeg',
          answer.sawDeg[i] ?? 0,
          'saw',
        ),
      ),
      ...(open ? [number(middle(end, [0, 0]), 'below', 'closureMm', answer.closureMm, 'misses by')] : []),
    ],
  };
});

/** Staves round their bore. */
export const staveFigure = drawn(stave, ({ sides, outsideAcrossFlatsMm, thicknessMm }, answer) => {
  const ring = (acrossFlats: number) =>
    Array.from({ length: sides }, (_, i): Vec2 =>
      polar([0, 0], 90 + (360 * (i + 0.5)) / sides, acrossFlats / 2 / Math.cos(Math.PI / sides)),
    );
  const outside = ring(outsideAcrossFlatsMm);
  const inside = ring(Math.max(0, answer.insideAcrossFlatsMm));
  const top = outside[sides - 1] ?? [0, 0];
  const next = outside[0] ?? [0, 0];
  return {
    paths: [
      ...outside.map((corner, i) =>
        outline([
          corner,
          outside[(i + 1) % sides] ?? corner,
          inside[(i + 1) % sides] ?? corner,
          inside[i] ?? corner,
        ]),
      ),
    ],
    labels: [
      number(middle(top, next), 'above', 'widthMm', answer.widthMm),
      number([outsideAcrossFlatsMm / 2, 0], 'right', 'bevelDeg', answer.bevelDeg, 'bevel'),
      number([0, 0], 'below', 'insideAcrossFlatsMm', answer.insideAcrossFlatsMm, 'bore'),
      number([0, -outsideAcrossFlatsMm / 2], 'below', 'thicknessMm', thicknessMm, 'from stock'),
    ],
  };
});

/** Leaning sides from above: what the eye sees of their slope. */
export const compoundMitreFigure = drawn(compoundMitre, ({ sides, slopeDeg }, answer) => {
  const ring = (radius: number) =>
    Array.from({ length: sides }, (_, i) => polar([0, 0], 90 + (360 * (i + 0.5)) / sides, radius));
  const lean = Math.sin((slopeDeg * Math.PI) / 180);
  const outside = ring(100);
  const inside = ring(100 - 55 * Math.max(lean, 0.08));
  return {
    paths: outside.map((corner, i) =>
      outline([
        corner,
        outside[(i + 1) % sides] ?? corner,
        inside[(i + 1) % sides] ?? corner,
        inside[i] ?? corner,
      ]),
    ),
    labels: [
      number(outside[0] ?? [0, 0], 'left', 'mitreDeg', answer.mitreDeg, 'mitre'),
      number(outside[sides - 1] ?? [0, 0], 'right', 'bladeTiltDeg', answer.bladeTiltDeg, 'tilt'),
      word([0, 0], 'below', 'seen from above'),
    ],
  };
});

import { InputError } from '../basics/checks';
import type { Vec2 } from '../solids';

/** A curve may leave its circle by this, or by this share of its radius, mm [judgement]: what plies and a scraper take up. */
const LEAVES = { mm: 1, share: 0.004 };
const FEWEST = 5;

/** An arc by its radius and how far round it goes. */
export interface BendCurve {
  readonly radiusMm: number;
  readonly arcDeg: number;
}

/**
 * Reads an open curve as the arc of a bend: the circle through its points by least squares (Kåsa's linear fit), from its first point to
 * its last.
 * @param points along the curve, mm.
 * @throws InputError for a curve that is straight, or leaves every circle.
 */
export function bendCurve(points: readonly Vec2[]): BendCurve {
  if (points.length < FEWEST) throw noBend(`The curve has only ${points.length} points.`);
  const count = points.length;
  const [mx, my] = [0, 1].map((axis) => points.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / count);
  const sums = points.reduce(
    (s, [px, py]) => {
      const [u, v] = [px - (mx ?? 0), py - (my ?? 0)];
      const q = u * u + v * v;
      return { uu: s.uu + u * u, vv: s.vv + v * v, uv: s.uv + u * v, uq: s.uq + u * q, vq: s.vq + v * q };
    },
    { uu: 0, vv: 0, uv: 0, uq: 0, vq: 0 },
  );
  const det = sums.uu * sums.vv - sums.uv * sums.uv;
  if (Math.abs(det) < 1e-9 * (sums.uu + sums.vv) ** 2) throw noBend('The curve is straight.');
  const [cu, cv] = [
    (sums.uq * sums.vv - sums.vq * sums.uv) / (2 * det),
    (sums.vq * sums.uu - sums.uq * sums.uv) / (2 * det),
  ];
  const radiusMm = Math.sqrt(cu * cu + cv * cv + (sums.uu + sums.vv) / count);
  const centre: Vec2 = [(mx ?? 0) + cu, (my ?? 0) + cv];
  const away = Math.max(
    ...points.map(([px, py]) => Math.abs(Math.hypot(px - centre[0], py - centre[1]) - radiusMm)),
  );
  if (!(away <= Math.max(LEAVES.mm, LEAVES.share * radiusMm))) {
    throw noBend(`The curve leaves its circle by ${away.toFixed(1)} mm.`);
  }
  const angles = points.map(([px, py]) => Math.atan2(py - centre[1], px - centre[0]));
  // Added up step by step, so that it may go past half a turn.
  const turned = angles.slice(1).reduce((sum, angle, i) => {
    const step = angle - (angles[i] ?? 0);
    return sum + step - 2 * Math.PI * Math.round(step / (2 * Math.PI));
  }, 0);
  return { radiusMm: hundredth(radiusMm), arcDeg: hundredth((Math.abs(turned) * 180) / Math.PI) };
}

const hundredth = (value: number): number => Math.round(100 * value) / 100;

const noBend = (message: string): InputError =>
  new InputError('inconsistent', 'outline', message, 'one open arc of a circle, alone in its drawing');

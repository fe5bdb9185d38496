import { InputError } from '@lean-clasp/core/basics';
import type { Vec2 } from '@lean-clasp/core/solids';
import { type Entity, Helper } from 'dxf';
import type { Stroke } from './contour';

/** mm of a unit, by the number that a drawing tells it with; millimetres where it tells none. */
const UNIT_MM: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };
/** Arcs are followed in so many steps of a whole turn: ten metres of radius to 0.03 mm. */
const TURN_STEPS = 1440;

/**
 * Every line, arc, polyline and spline of a DXF drawing in mm, also of blocks that it puts in.
 * @throws InputError for what is no DXF, or has no lines.
 */
export function dxfStrokes(text: string): Stroke[] {
  refuseMonsters(text);
  const { unit, lines } = parsed(text);
  if (lines.length === 0) {
    throw new InputError(
      'inconsistent',
      'outline',
      'The drawing has no lines.',
      'the outline as polylines, lines and arcs',
    );
  }
  const unitMm = UNIT_MM[unit] ?? 1;
  return lines.map((points) => ({
    points: points.map(([x, y]): Vec2 => [x * unitMm, y * unitMm]),
    closed: false,
  }));
}

/** Places, sizes, angles and counts of a drawing are smaller than this, in whatever unit. */
const MOST = 1e6;
/** Codes of such figures in a drawing. */
const FIGURES = { from: 10, to: 99 };

/** A drawing is pairs of lines, a code and its value. @throws InputError for a figure by which a reader would work for ever. */
function refuseMonsters(text: string): void {
  const lines = text.split(/\r\n|\r|\n/);
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = Number(lines[i]);
    if (!(code >= FIGURES.from && code <= FIGURES.to)) continue;
    const value = Number(lines[i + 1]);
    if (Number.isNaN(value) || Math.abs(value) <= MOST) continue;
    throw new InputError(
      'out-of-range',
      'outline',
      `The drawing has a figure of ${value.toExponential(0)} in line ${i + 2}.`,
      `figures up to ${MOST}`,
    );
  }
}

function parsed(text: string): { readonly unit: number; readonly lines: readonly (readonly Vec2[])[] } {
  try {
    const helper = new Helper(text);
    const { polylines } = helper.toPolylines();
    // The reader follows arcs in coarse steps; those that stand in their place are followed anew.
    const lines = polylines.map(({ vertices }, i) => finely(helper.denormalised[i]) ?? vertices);
    return { unit: Number(helper.parsed.header.insUnits ?? 4), lines };
  } catch {
    // What it stumbled over says nothing to a person.
    throw new InputError('inconsistent', 'outline', 'The file is no DXF drawing.', 'a drawing saved as DXF');
  }
}

/** An arc, a circle or a polyline with bulges in fine steps; null for anything else. */
function finely(entity: Entity | undefined): Vec2[] | null {
  if (entity === undefined || entity.transforms.length > 0) return null;
  const { type, x = 0, y = 0, r = 0, startAngle = 0, endAngle = 0, vertices = [], closed = false } = entity;
  switch (type) {
    case 'CIRCLE':
      return arc([x, y], r, 0, 2 * Math.PI);
    case 'ARC':
      // It runs anticlockwise: an end before its start lies beyond a whole turn.
      return arc([x, y], r, startAngle, endAngle > startAngle ? endAngle : endAngle + 2 * Math.PI);
    case 'LWPOLYLINE': {
      const whole = closed ? [...vertices, ...vertices.slice(0, 1)] : vertices;
      return whole.flatMap((corner, i): Vec2[] => {
        const next = whole[i + 1];
        if (next === undefined || (corner.bulge ?? 0) === 0) return [[corner.x, corner.y]];
        return bulged([corner.x, corner.y], [next.x, next.y], corner.bulge ?? 0).slice(0, -1);
      });
    }
    default:
      return null;
  }
}

/** Points of an arc, both ends with it. */
function arc(centre: Vec2, radius: number, from: number, to: number): Vec2[] {
  // Once round is enough, whatever the angles say.
  const turns = Math.min(1, Math.abs(to - from) / (2 * Math.PI));
  const steps = Math.max(2, Math.ceil(turns * TURN_STEPS)) || 2;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / steps;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });
}

/** From one corner to the next along an arc; its bulge is the tangent of a quarter of its angle. */
function bulged(a: Vec2, b: Vec2, bulge: number): Vec2[] {
  const sweep = 4 * Math.atan(bulge);
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const chord = Math.hypot(dx, dy);
  const radius = chord / (2 * Math.sin(sweep / 2));
  const away = (radius * Math.cos(sweep / 2)) / chord;
  const centre: Vec2 = [(a[0] + b[0]) / 2 - dy * away, (a[1] + b[1]) / 2 + dx * away];
  const from = Math.atan2(a[1] - centre[1], a[0] - centre[0]);
  return arc(centre, Math.abs(radius), from, from + sweep);
}

import { cup, emc, movement } from '../../calculations/wood';
import type { Vec2 } from '../../solids';
import { equilibriumMoisturePct } from '../../materials';
import { arc, arrow, box, drawn, enlarge, line, number, outline, word } from './figure';

/** Moisture over humidity at this temperature, with the point asked for. */
export const emcFigure = drawn(emc, ({ tempC, rhPct }, { emcPct }) => {
  // Humidity across, moisture up at four times the scale.
  const curve = Array.from({ length: 49 }, (_, i): Vec2 => {
    const humidity = 2 * i + 2;
    return [humidity, 4 * equilibriumMoisturePct(tempC, Math.min(humidity, 99))];
  });
  const at: Vec2 = [rhPct, 4 * emcPct];
  return {
    paths: [
      line([
        [0, 110],
        [0, 0],
        [105, 0],
      ]),
      line(curve, 'glue'),
      line([[rhPct, 0], at, [0, at[1]]], 'thin'),
      outline(arc(at, 1.5, 0, 360, 16), 'mark'),
    ],
    labels: [
      number([0, at[1]], 'left', 'emcPct', emcPct),
      number([rhPct, 0], 'below', 'rhPct', rhPct),
      word([105, 0], 'right', 'humidity'),
    ],
  };
});

/** A board's end before and after. */
export const movementFigure = drawn(movement, ({ widthMm }, { changeMm }) => {
  const enlarged = enlarge(changeMm, widthMm);
  const height = widthMm / 8;
  const after = widthMm + changeMm * enlarged;
  return {
    enlarged,
    paths: [
      box(0, 0, after, height),
      box(0, 0, widthMm, height, 'ghost'),
      line(
        [
          [widthMm, height * 1.1],
          [widthMm, height * 1.9],
        ],
        'thin',
      ),
      line(
        [
          [after, height * 1.1],
          [after, height * 1.9],
        ],
        'thin',
      ),
      arrow([widthMm, height * 1.5], [after, height * 1.5]),
    ],
    labels: [
      number([Math.max(widthMm, after), height * 1.5], 'right', 'changeMm', changeMm),
      number([widthMm / 2, 0], 'below', 'widthMm', widthMm),
    ],
  };
});

/** End grain and the shape the board takes. */
export const cupFigure = drawn(cup, ({ widthMm, ringRadiusMm }, { sagittaMm }) => {
  const enlarged = enlarge(sagittaMm, widthMm, 0.1);
  const sag = sagittaMm * enlarged;
  const half = widthMm / 2;
  const thick = widthMm / 7;
  // Bark side up; positive sagitta: the bark face turns hollow, so the ends rise.
  const face = (y: number) =>
    Array.from({ length: 25 }, (_, i): Vec2 => {
      const x = -half + (widthMm * i) / 24;
      return [x, y + sag * (x / half) ** 2];
    });
  const rings = [0.2, 0.5, 0.8].map((share) => {
    const radius = ringRadiusMm + (share - 0.5) * thick;
    const reach = Math.min(half * 0.98, radius * 0.98);
    const turn = (Math.asin(reach / radius) * 180) / Math.PI;
    return arc([0, share * thick - radius], radius, 90 - turn, 90 + turn, 30)
      .filter(([, y]) => y > thick * 0.03)
      .map(([x, y]): Vec2 => [x, y + sag * (x / half) ** 2]);
  });
  return {
    enlarged,
    paths: [
      outline([...face(0), ...face(thick).reverse()]),
      ...rings.map((ring) => line(ring, 'thin')),
      line(
        [
          [-half, thick + sag],
          [half, thick + sag],
        ],
        'ghost',
      ),
      line(
        [
          [0, thick],
          [0, thick + sag],
        ],
        'force',
      ),
    ],
    labels: [
      number([0, Math.max(thick, thick + sag)], 'above', 'sagittaMm', sagittaMm),
      word([0, 0], 'below', 'heart side'),
    ],
  };
});

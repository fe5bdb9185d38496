import { placeClamps, platen } from '../../calculations/placing';
import { caul, panelBow, panelPressure } from '../../calculations/pressing';
import type { Vec2 } from '../../solids';
import { arrow, box, drawn, enlarge, type FigurePath, line, number, outline } from './figure';

/** The panel from above, pads on both sides, and the pressure on each line as a curve above it. */
export const panelPressureFigure = drawn(panelPressure, ({ boards, lengthMm: whole, clamps }, { lines }) => {
  const lengthMm = whole ?? Math.max(...boards.map(({ fromMm = 0, lengthMm: own = 0 }) => fromMm + own));
  const most = Math.max(1e-9, ...lines.map(({ maxMPa }) => maxMPa));
  const total = boards.reduce((sum, { widthMm }) => sum + widthMm, 0);
  const paths: FigurePath[] = [];
  const curves: FigurePath[] = [];
  let y = 0;
  boards.forEach(({ widthMm, fromMm = 0, lengthMm: long = lengthMm }, i) => {
    paths.push(box(fromMm, y, long, widthMm));
    y += widthMm;
    const own = lines[i];
    if (own === undefined) return;
    // As high as two thirds of the board above it at the greatest pressure of all lines.
    const high = ((boards[i + 1]?.widthMm ?? widthMm) * 2) / 3 / most;
    const steps = Math.max(1, own.pressureMPa.length - 1);
    const base = y;
    curves.push(
      line(
        own.pressureMPa.map((value, k): Vec2 => [
          own.fromMm + ((own.toMm - own.fromMm) * k) / steps,
          base + value * high,
        ]),
        'glue',
      ),
    );
  });
  paths.push(...curves);
  const reach = 0.08 * Math.max(lengthMm, total);
  for (const { xMm, forceN } of clamps) {
    if (forceN === 0) continue;
    paths.push(arrow([xMm, -reach], [xMm, 0]), arrow([xMm, total + reach], [xMm, total]));
  }
  const weakest = lines.reduce<(typeof lines)[number] | null>(
    (least, each) => (least === null || each.minMPa < least.minMPa ? each : least),
    null,
  );
  return {
    paths,
    labels:
      weakest === null ? [] : [number([lengthMm / 2, -reach], 'below', 'minMPa', weakest.minMPa, 'lowest')],
  };
});

/** The panel from its end, bowed. */
export const panelBowFigure = drawn(panelBow, ({ boards, thicknessMm }, { sagittaMm, kernRatio }) => {
  const width = boards.reduce((sum, { widthMm }) => sum + widthMm, 0);
  const bow = sagittaMm ?? width / 6;
  const enlarged = enlarge(bow, width, 0.2);
  const high = Math.max(thicknessMm, width / 20);
  const rise = (share: number) => 4 * share * (1 - share) * bow * enlarged;
  const edge = (offset: number): Vec2[] =>
    Array.from({ length: 25 }, (_, i) => [(width * i) / 24, rise(i / 24) + offset]);
  const pull = Math.min(1.6, kernRatio) * (high / 6);
  return {
    enlarged,
    paths: [
      outline([...edge(high / 2), ...edge(-high / 2).reverse()]),
      line(
        [
          [0, 0],
          [width, 0],
        ],
        'ghost',
      ),
      arrow([-width / 8, -pull], [0, -pull]),
      arrow([width + width / 8, -pull], [width, -pull]),
    ],
    labels:
      sagittaMm === null ? [] : [number([width / 2, rise(0.5) + high / 2], 'above', 'sagittaMm', sagittaMm)],
  };
});

/** A caul on its crown, before the clamps pull its ends down. */
export const caulFigure = drawn(caul, ({ lengthMm, depthMm }, { profile, crownMm, endForceN }) => {
  const enlarged = enlarge(crownMm, lengthMm, 0.1);
  const crown = profile.map(({ xMm, yMm }): Vec2 => [xMm, (crownMm - yMm) * enlarged]);
  const top = crownMm * enlarged + depthMm;
  return {
    enlarged,
    paths: [
      outline([...crown, [lengthMm, top], [0, top]]),
      line(
        [
          [-lengthMm / 20, 0],
          [lengthMm * 1.05, 0],
        ],
        'edge',
      ),
      arrow([0, top + lengthMm / 10], [0, top]),
      arrow([lengthMm, top + lengthMm / 10], [lengthMm, top]),
    ],
    labels: [
      number([lengthMm / 2, 0], 'below', 'crownMm', crownMm, 'crown'),
      number([lengthMm, top], 'right', 'endForceN', endForceN),
    ],
  };
});

/** The panel from above with the clamps that were found, and where its lowest pressure is. */
export const placeClampsFigure = drawn(
  placeClamps,
  ({ boards, lengthMm, pinned = [] }, { clamps, lowestLine, lowestAtMm, lowestMPa }) => {
    const edges = boards.reduce<number[]>((all, { widthMm }) => [...all, (all.at(-1) ?? 0) + widthMm], [0]);
    const total = edges.at(-1) ?? 0;
    const reach = 0.08 * Math.max(lengthMm, total);
    const isPinned = (xMm: number) => pinned.some((pin) => pin.xMm === xMm);
    return {
      paths: [
        ...boards.map(({ widthMm }, i) => box(0, edges[i] ?? 0, lengthMm, widthMm)),
        ...clamps.flatMap(({ xMm }) => [
          line(
            [
              [xMm, -reach / 2],
              [xMm, total + reach / 2],
            ],
            isPinned(xMm) ? 'edge' : 'ghost',
          ),
          arrow([xMm, -reach], [xMm, 0]),
          arrow([xMm, total + reach], [xMm, total]),
        ]),
      ],
      labels: [
        number([lowestAtMm, edges[lowestLine + 1] ?? total], 'above', 'lowestMPa', lowestMPa, 'lowest'),
      ],
    };
  },
);

/** The platen on its layer, with the pressure under it as a curve. */
export const platenFigure = drawn(platen, ({ lengthMm, stripMm, layerMm, pushes }, answer) => {
  const { pressureMPa, maxMPa, minMPa } = answer;
  const high = Math.max(stripMm, lengthMm / 18);
  const deep = Math.max(layerMm, lengthMm / 30);
  const steps = Math.max(1, pressureMPa.length - 1);
  const fall = lengthMm / 6 / Math.max(1e-9, maxMPa);
  return {
    paths: [
      box(0, 0, lengthMm, high),
      box(0, -deep, lengthMm, deep),
      line(
        pressureMPa.map((value, i): Vec2 => [(lengthMm * i) / steps, -deep - value * fall]),
        'glue',
      ),
      ...pushes.map(({ xMm }) => arrow([xMm, high + lengthMm / 10], [xMm, high])),
    ],
    labels: [number([lengthMm / 2, -deep - maxMPa * fall], 'below', 'minMPa', minMPa, 'lowest')],
  };
});

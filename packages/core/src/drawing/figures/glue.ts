import { clampNeed } from '../../calculations/clamping';
import { adhesiveRank, strength } from '../../calculations/choosing';
import { adhesiveWindow, spread } from '../../calculations/glue';
import type { Vec2 } from '../../solids';
import { arrow, box, drawn, type FigureLabel, type FigurePath, line, number, word } from './figure';

/** Room that each bar of a chart takes, and its thickness, in its own units. */
const ROW = 16;
const BAR = 8;

/** Windows as bars from first bead: sure, likely and at best. */
export const adhesiveWindowFigure = drawn(adhesiveWindow, (_, { openMin, closedMin, totalMin }) => {
  const rows = [
    { name: 'open', field: 'openMin', range: openMin },
    { name: 'closed', field: 'closedMin', range: closedMin },
    { name: 'in all', field: 'totalMin', range: totalMin },
  ];
  const longest = Math.max(...rows.map(({ range }) => range?.high ?? 0));
  const scale = 100 / Math.max(longest, 1e-9);
  const paths: FigurePath[] = [];
  const labels: FigureLabel[] = [];
  rows.forEach(({ name, field, range }, i) => {
    const y = -i * ROW;
    labels.push(word([0, y + BAR / 2], 'left', range === null ? `${name}: refused` : name));
    if (range === null) return;
    paths.push(
      box(0, y, range.high * scale, BAR, 'ghost'),
      box(0, y, range.low * scale, BAR, 'glue'),
      line(
        [
          [range.likely * scale, y - 1],
          [range.likely * scale, y + BAR + 1],
        ],
        'edge',
      ),
    );
    labels.push(number([range.high * scale, y + BAR / 2], 'right', field, range.low, 'sure for'));
  });
  return {
    paths: [
      ...paths,
      line([
        [0, BAR + 3],
        [0, -2 * ROW - 3],
      ]),
    ],
    labels,
  };
});

/** The area as a square beside the film that goes on it. */
export const spreadFigure = drawn(spread, ({ areaMm2, lengthMm, faces }, { massG, minutes }) => {
  const width = lengthMm ?? Math.sqrt(areaMm2);
  const height = areaMm2 / width;
  const shown = Math.max(height, width / 14);
  const beads = Array.from({ length: 9 }, (_, i): Vec2 => [
    width * (0.06 + 0.11 * i),
    shown * (i % 2 === 0 ? 0.25 : 0.75),
  ]);
  const second = faces === 2 ? [box(0, -1.4 * shown, width, shown)] : [];
  return {
    paths: [
      box(0, 0, width, shown),
      ...second,
      line(beads, 'glue'),
      ...(faces === 2
        ? [
            line(
              beads.map(([x, y]): Vec2 => [x, y - 1.4 * shown]),
              'glue',
            ),
          ]
        : []),
    ],
    labels: [
      number([width, shown / 2], 'right', 'massG', massG),
      number([width / 2, shown], 'above', 'minutes', minutes),
      number([width / 2, faces === 2 ? -1.4 * shown : 0], 'below', 'lengthMm', width),
    ],
  };
});

/** A line with the clamps that it wants, each with its cone of pressure. */
export const clampNeedFigure = drawn(clampNeed, ({ lengthMm }, { clamps, maxSpacingMm, forceN }) => {
  const count = Math.max(1, clamps.recommended);
  const spacing = lengthMm / count;
  const depth = lengthMm / 10;
  const at = Array.from({ length: count }, (_, i) => spacing * (i + 0.5));
  const gap = depth * 0.06;
  return {
    paths: [
      box(0, gap, lengthMm, depth),
      box(0, -depth - gap, lengthMm, depth),
      line(
        [
          [0, 0],
          [lengthMm, 0],
        ],
        'glue',
      ),
      ...at.flatMap((x) => [
        arrow([x, depth * 2.2], [x, depth + gap]),
        arrow([x, -depth * 2.2], [x, -depth - gap]),
        line(
          [
            [x, depth],
            [Math.max(0, x - depth), 0],
          ],
          'thin',
        ),
        line(
          [
            [x, depth],
            [Math.min(lengthMm, x + depth), 0],
          ],
          'thin',
        ),
      ]),
    ],
    labels: [
      number([lengthMm / 2, -depth * 2.2], 'below', 'maxSpacingMm', maxSpacingMm, 'at most'),
      number([lengthMm / 2, depth * 2.2], 'above', 'forceN', forceN.low / count, 'each'),
    ],
  };
});

/** Strength over time on a logarithmic axis: likely in full, slow and quick ends dashed. */
export const strengthFigure = drawn(strength, (_, { points, clampMin, fullCureMin }) => {
  const sorted = [...points].sort((a, b) => a.afterMin - b.afterMin);
  const across = (minutes: number) => 40 * Math.log10(Math.max(minutes, 1));
  const curve = (of: (point: (typeof points)[number]) => number) =>
    sorted.map((point): Vec2 => [across(point.afterMin), of(point)]);
  const right = Math.max(across(fullCureMin ?? 1), ...sorted.map(({ afterMin }) => across(afterMin)));
  return {
    paths: [
      line([
        [0, 105],
        [0, 0],
        [right * 1.05, 0],
      ]),
      line(
        curve(({ likelyPct }) => likelyPct),
        'glue',
      ),
      line(
        curve(({ lowPct }) => lowPct),
        'ghost',
      ),
      line(
        curve(({ highPct }) => highPct),
        'ghost',
      ),
      ...(clampMin === null
        ? []
        : [
            line(
              [
                [across(clampMin.likely), 0],
                [across(clampMin.likely), 105],
              ],
              'mark',
            ),
          ]),
    ],
    labels: [
      word([0, 100], 'left', 'full'),
      word([right * 1.05, 0], 'below', 'time'),
      ...(clampMin === null
        ? []
        : [number([across(clampMin.likely), 105], 'above', 'clampMin', clampMin.likely, 'clamps off')]),
    ],
  };
});

/** Most glues shown as bars. */
const MOST_BARS = 5;

/** The best few by the sum of their reasons: for to the right, against to the left. */
export const adhesiveRankFigure = drawn(adhesiveRank, (_, { glues }) => {
  const shown = glues.filter(({ refused }) => !refused).slice(0, MOST_BARS);
  const sum = (why: (typeof glues)[number]['why'], sign: 1 | -1) =>
    why.reduce((total, { weight }) => total + (Math.sign(weight) === sign ? weight : 0), 0);
  return {
    paths: [
      line([
        [0, BAR + 3],
        [0, -shown.length * ROW + BAR - 3],
      ]),
      ...shown.flatMap(({ why }, i) => [
        box(0, -i * ROW, 8 * sum(why, 1), BAR, 'glue'),
        box(8 * sum(why, -1), -i * ROW, -8 * sum(why, -1), BAR, 'ghost'),
      ]),
    ],
    labels: shown.map(({ adhesive, why }, i) =>
      word([8 * sum(why, 1), -i * ROW + BAR / 2], 'right', adhesive.replaceAll('-', ' ')),
    ),
  };
});

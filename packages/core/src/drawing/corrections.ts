import type { CorrectionValues, Finding } from '../findings';
import type { Vec2 } from '../solids';
import { arrow, box, type Figure, type FigurePath, line, outline, word } from './figures/figure';

/** Room for a clamp's jaw beside a corner, in units of the figure. */
const JAW = 0.12;
/** Corners as they are read: from the lower left, round. */
const CORNERS: Readonly<Record<'A' | 'B' | 'C' | 'D', Vec2>> = {
  A: [0, 0],
  B: [1.5, 0],
  C: [1.5, 1],
  D: [0, 1],
};
const SIDES = { A: 'left', B: 'right', C: 'right', D: 'left' } as const;

const corners = (points: Readonly<Record<keyof typeof CORNERS, Vec2>>) =>
  (['A', 'B', 'C', 'D'] as const).map((name) => word(points[name], SIDES[name], name));

const figure = (paths: readonly FigurePath[], labels: Figure['labels'] = []): Figure => ({
  paths,
  labels,
  enlarged: 1,
});

/** A frame that leans, much more than it does: which diagonal is long, and the clamp across it. */
function leaning(longIsAC: boolean): Figure {
  const lean = longIsAC ? 0.25 : -0.25;
  const at = { ...CORNERS, C: [1.5 + lean, 1] as Vec2, D: [lean, 1] as Vec2 };
  const [from, to] = longIsAC ? [at.A, at.C] : [at.B, at.D];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const along: Vec2 = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const beyond = (point: Vec2, by: number): Vec2 => [point[0] + by * along[0], point[1] + by * along[1]];
  return figure(
    [
      outline([CORNERS.A, CORNERS.B, CORNERS.C, CORNERS.D], 'ghost'),
      outline([at.A, at.B, at.C, at.D], 'edge'),
      line([from, to], 'force'),
      arrow(beyond(from, -3 * JAW), from),
      arrow(beyond(to, 3 * JAW), to),
    ],
    corners(at),
  );
}

/** A frame from above, one corner high. */
const highCorner = (corner: string): Figure => {
  const at = CORNERS[corner as keyof typeof CORNERS] ?? CORNERS.A;
  return figure(
    [
      outline(Object.values(CORNERS), 'edge'),
      box(at[0] - JAW, at[1] - JAW, 2 * JAW, 2 * JAW, 'mark'),
      arrow([at[0], at[1] + 0.45], at),
    ],
    corners(CORNERS),
  );
};

/** A row from its end, bowed, with bars above and below: which to ease, which to draw. */
function bowedRow(high: boolean): Figure {
  const bow = high ? 0.14 : -0.14;
  const arch = (base: number): Vec2[] =>
    Array.from({ length: 13 }, (_, i) => [(i / 12) * 2, base + bow * (1 - (i / 6 - 1) ** 2)]);
  const pull = (y: number): FigurePath[] => [arrow([-0.4, y], [0, y]), arrow([2.4, y], [2, y])];
  const drawn = high ? 0.55 : -0.25;
  const eased = high ? -0.25 : 0.55;
  return figure(
    [
      outline([...arch(0), ...arch(0.3).reverse()], 'wood'),
      box(0, 0.5, 2, 0.1, high ? 'mark' : 'ghost'),
      box(0, -0.3, 2, 0.1, high ? 'ghost' : 'mark'),
      ...pull(drawn),
    ],
    [word([2.45, drawn], 'right', 'draw'), word([2.1, eased], 'right', 'ease')],
  );
}

/** A corner with the blade of a square, open at its end or at the corner, and the way the pull has to lean. */
function openCorner(atEnd: boolean): Figure {
  const lean = atEnd ? 0.15 : -0.15;
  return figure(
    [
      box(0, -0.2, 1.2, 0.2, 'wood'),
      outline(
        [
          [0, 0],
          [0.2, 0],
          [0.2 - lean, 1],
          [-lean, 1],
        ],
        'wood',
      ),
      outline(
        [
          [0.2, 0],
          [0.26, 0],
          [0.26, 0.9],
          [0.2, 0.9],
        ],
        'mark',
      ),
      arrow([atEnd ? -0.6 : 0.8, 0.9], [atEnd ? -0.2 : 0.4, 0.9]),
    ],
    [word([0.26, 0.45], 'right', 'square')],
  );
}

/** A step at a joint, and the block on the proud side. */
const proudStep = (joint: string): Figure =>
  figure(
    [
      box(0, 0, 1, 0.4, 'wood'),
      box(1, 0.1, 1, 0.4, 'wood'),
      box(1.2, 0.5, 0.5, 0.15, 'mark'),
      arrow([1.45, 1], [1.45, 0.66]),
    ],
    [word([1, 0], 'below', joint)],
  );

/** Feet of an open chain, drawn in or pushed apart. */
const feet = (inwards: boolean): Figure => {
  const by = inwards ? -0.2 : 0.2;
  return figure([
    outline(
      [
        [0, 1],
        [1.4, 1],
        [1.4, 1.15],
        [0, 1.15],
      ],
      'wood',
    ),
    line(
      [
        [0, 1.15],
        [-(inwards ? 0.2 : -0.2), 0],
      ],
      'edge',
    ),
    line(
      [
        [1.4, 1.15],
        [1.4 + (inwards ? 0.2 : -0.2), 0],
      ],
      'edge',
    ),
    arrow([inwards ? -0.45 : 0.5, 0], [inwards ? -0.45 - by : 0.5 - by, 0]),
    arrow([inwards ? 1.85 : 0.9, 0], [inwards ? 1.85 + by : 0.9 + by, 0]),
  ]);
};

/** Corrections that a drawing tells better than words. */
const DRAWN: { readonly [Code in keyof CorrectionValues]?: (values: CorrectionValues[Code]) => Figure } = {
  'draw-diagonal': ({ long }) => leaning(long === 'A–C'),
  'lower-corner': ({ corner }) => highCorner(corner),
  'bars-too-low': () => bowedRow(true),
  'bars-too-high': () => bowedRow(false),
  'square-off': ({ open }) => openCorner(open === 'at the end'),
  'tap-flush': ({ joint }) => proudStep(joint),
  'feet-in': () => feet(true),
  'feet-out': () => feet(false),
};

/**
 * What a correction asks for, drawn with the fault much larger than it is; null for what words say better.
 * Corners go by the letters they are read by, from the lower left round.
 */
export function correctionFigure({ code, values }: Finding): Figure | null {
  const draw = code in DRAWN ? DRAWN[code as keyof typeof DRAWN] : undefined;
  return draw === undefined ? null : (draw as (values: Finding['values']) => Figure)(values);
}

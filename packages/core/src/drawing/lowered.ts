import type { Vec2 } from '../solids';
import { cornersOf, type Plan } from '../plan';
import { type AssemblyMarks, assemblyMarks } from './assembly-marks';
import { clampMarks, type PlacedMark } from './clamp-marks';
import {
  box,
  type Figure,
  type FigureInk,
  type FigureLabel,
  type FigurePath,
  line,
  outline,
  word,
} from './figures/figure';
import { type PanelMarks, panelMarks } from './panel-marks';

/** What stands out in a drawing: joints by their place in the plan, parts by id, a clamp by its number. */
export interface Touched {
  readonly joints: readonly number[];
  readonly parts: readonly string[];
  readonly clamp: number | null;
}

/** Parts drawn beside their place on the sheet, mm, y down. */
export interface Moved {
  readonly parts: readonly string[];
  readonly by: Vec2;
}

/** Nothing in particular. */
const NOTHING: Touched = { joints: [], parts: [], clamp: null };

/** Sheets have y down, figures y up. */
const flip = (points: readonly Vec2[]): Vec2[] => points.map(([x, y]) => [x, -y]);

/**
 * An assembly as a figure to scale, mm: sides from behind with their shade, then joints and clamps that are touched; with
 * nothing touched all clamps.
 */
export function assemblyFigure(
  { sides, joints, parts }: AssemblyMarks,
  clamps: readonly PlacedMark[] = [],
  touched: Touched = NOTHING,
  moved: Moved | null = null,
): Figure {
  const whole = touched.joints.length === 0 && touched.clamp === null;
  const shown = clamps.filter(({ number }) => whole || number === touched.clamp);
  return {
    paths: [
      ...sides.map(({ part, loops: [outer = [], ...holes], light }): FigurePath => ({
        ...outline(flip(movedBy(outer, part, moved)), inkOf(part, touched)),
        holes: holes.map((hole) => flip(movedBy(hole, part, moved))),
        shade: 1 - light,
      })),
      ...joints
        .filter((_, i) => touched.joints.includes(i))
        .flatMap(({ loops }) => loops.map((loop) => outline(flip(loop), 'glue'))),
      ...shown.flatMap((clamp) => clampPaths(clamp)),
    ],
    labels: [
      ...(whole ? parts.map(({ at: [x, y], label }) => word([x, -y], 'right', label)) : []),
      ...shown.filter(({ strip }) => !strip).map(({ at: [x, y], number }) => clampNumber([x, -y], number)),
    ],
    enlarged: 1,
  };
}

const movedBy = (loop: readonly Vec2[], part: string | null, moved: Moved | null): readonly Vec2[] =>
  moved === null || part === null || !moved.parts.includes(part)
    ? loop
    : loop.map(([x, y]): Vec2 => [x + moved.by[0], y + moved.by[1]]);

/** What is taken away again is thin; what is touched is marked. */
function inkOf(part: string | null, { parts }: Touched): FigureInk {
  if (part === null) return 'thin';
  return parts.includes(part) ? 'lit' : 'wood';
}

function clampPaths({ band, bars, metal, wood }: PlacedMark): FigurePath[] {
  return [
    ...wood.map((block) => outline(flip(block), 'ghost')),
    ...[...bars, ...metal].map((piece) => outline(flip(piece), 'mark')),
    ...(band.length > 0 ? [outline(flip(band), 'mark')] : []),
  ];
}

/** The number of a clamp, told from names by its value. */
const clampNumber = (at: Vec2, number: number): FigureLabel => ({
  ...word(at, 'above', String(number)),
  value: number,
});

/** A panel from above as a figure to scale, mm: boards with their letters, lines, cauls, and every clamp with its number. */
export function panelFigure({
  boards,
  lines,
  clamps,
  caulsAtMm,
  caulWidthMm,
  widthMm,
  edgeMm,
}: PanelMarks): Figure {
  return {
    paths: [
      ...boards.map(({ xMm, yMm, lengthMm, widthMm: wideMm }) => box(xMm, -yMm - wideMm, lengthMm, wideMm)),
      ...lines.map(({ xMm, yMm, lengthMm }) =>
        line(
          [
            [xMm, -yMm],
            [xMm + lengthMm, -yMm],
          ],
          'glue',
        ),
      ),
      ...caulsAtMm.map((atMm) => box(atMm - caulWidthMm / 2, -widthMm, caulWidthMm, widthMm, 'ghost')),
      ...clamps.flatMap(({ xMm, padWidthMm }) => [
        line(
          [
            [xMm, edgeMm],
            [xMm, -widthMm - edgeMm],
          ],
          'mark',
        ),
        ...[edgeMm, -widthMm - edgeMm].map((y) =>
          line(
            [
              [xMm - padWidthMm / 2, y],
              [xMm + padWidthMm / 2, y],
            ],
            'force',
          ),
        ),
      ]),
    ],
    labels: [
      ...boards.map(({ label, xMm, yMm, lengthMm, widthMm: wideMm }) =>
        word([xMm + lengthMm / 2, -yMm - wideMm / 2], 'right', label),
      ),
      ...clamps.map(({ number, xMm }) => clampNumber([xMm, edgeMm], number)),
    ],
    enlarged: 1,
  };
}

/** What a settled plan looks like: a row of straight boards from above, all else on the slant. */
export function drawingOf(plan: Plan): Figure {
  const { row, facts } = plan;
  if (row !== null && !row.panel.outlined) return panelFigure(panelMarks(row, cornersOf(plan)));
  return assemblyFigure(assemblyMarks(facts, 'slant'), clampMarks(plan, 'slant'));
}

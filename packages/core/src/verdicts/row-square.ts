import { type PlanFinding, finding, type SquarePart } from '../findings';
import type { RowInPlan } from '../plan/row/row-plan';
import { CLOSE_SHARE, type RowPart } from './row-parts';
import { barShareOf, type Verdict } from './verdict';

/** How far a board's end may creep past its neighbour's while it is clamped [judgement]. */
const END_CREEP_MM = Object.freeze({ withStops: 0.2, free: 1.0, perFurtherLine: 0.15 });
/**
 * Square: how far one end of the panel stands from a right angle, over its width.
 *
 * Sum of the unfavourable ends: creep of the boards along wet lines, difference in board length, and the corner
 * angle from the dry-fit diagonals, (d₁² − d₂²)/(4·L·W) rad over the width. What is left long and sawn off later
 * is taken away first.
 */
export function judgeRowSquare(parts: RowInPlan): Verdict {
  const { build, job, panel } = parts;
  const found = squareParts(parts);
  const rawMm = found.reduce((total, part) => total + part.mm, 0);
  const sawnMm = Math.min(job.trimMm, rawMm);
  const figure = rawMm - sawnMm;
  const limit = build.goals.squareMm;
  const largest = found.reduce((a, b) => (b.mm > a.mm ? b : a));
  const margin = 1 - figure / limit;
  const values = { mm: figure, rawMm, trimMm: job.trimMm, widthMm: panel.widthMm };
  const cause: PlanFinding =
    sawnMm > 0 && figure === 0
      ? finding('ends-trimmed-later', 'informs', values)
      : finding(largest.code, margin < 0 ? 'refuses' : 'informs', values);
  return {
    aspect: 'square',
    state: margin < 0 ? 'fails' : margin < CLOSE_SHARE ? 'close' : 'holds',
    kind: 'fine-length',
    figure,
    against: limit,
    sense: 'at-most',
    barShare: barShareOf(margin),
    cause,
    workings: [
      finding('how-square', 'informs', {
        ...Object.fromEntries(found.map(({ code, mm }) => [code, mm])),
        trimMm: job.trimMm,
        figureMm: figure,
        diagonalsRead: build.dryFit.acMm !== null && build.dryFit.bdMm !== null ? 'yes' : 'no',
      }),
    ],
  };
}

function squareParts({
  build,
  job,
  panel,
}: RowInPlan): readonly [RowPart<SquarePart>, ...RowPart<SquarePart>[]] {
  const { endStops } = job.holding;
  const furtherLines = Math.max(0, panel.lines.length - 1);
  const creep = endStops
    ? END_CREEP_MM.withStops
    : END_CREEP_MM.free + END_CREEP_MM.perFurtherLine * furtherLines;
  const lengths = panel.boards.map(({ board }) => board.lengthMm);
  return [
    { code: endStops ? 'ends-stopped' : 'ends-free', mm: creep },
    { code: 'lengths-differ', mm: Math.max(...lengths) - Math.min(...lengths) },
    { code: 'diagonals-differ', mm: diagonalErrorMm(build.dryFit, panel.lengthMm, panel.widthMm) },
  ];
}

/**
 * End out of square over the width, in mm, from two diagonals: ((d₁² − d₂²)/(4·L·W))·W.
 * Zero when either was not read. Small angles.
 */
function diagonalErrorMm(
  { acMm, bdMm }: { readonly acMm: number | null; readonly bdMm: number | null },
  lengthMm: number,
  widthMm: number,
): number {
  if (acMm === null || bdMm === null) return 0;
  const angle = (acMm ** 2 - bdMm ** 2) / (4 * lengthMm * widthMm);
  return Math.abs(angle) * widthMm;
}

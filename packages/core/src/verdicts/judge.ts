import type { Measure } from '../formats';
import type { PlanParts } from '../plan/plan';
import type { RowInPlan } from '../plan/row/row-plan';
import { cornersOf } from '../plan/squeeze/corners-down';
import { whichBench } from '../plan/which-bench';
import { finding, ofCode } from '../findings';
import { flat } from './flat';
import { inTime } from './in-time';
import type { Judged } from './judged';
import { judgeRowFlat } from './row-flat';
import { judgeRowSquare } from './row-square';
import { judgeRowTight } from './row-tight';
import { square } from './square';
import { tight } from './tight';
import { type Aspect, barShareOf, type FigureKind, type Verdict } from './verdict';

/** In time, tight, square and flat; a row by row mechanics. */
export function judge(parts: PlanParts): Readonly<Record<Aspect, Verdict>> {
  if (parts.joints.length === 0) return nothingToJudge(parts);
  const row = rowIn(parts);
  return {
    inTime: verdict('inTime', 'minutes', 'at-least', inTime(parts)),
    tight: judgeTight(parts),
    square: asItComesOut(
      parts,
      'square',
      row === null || row.panel.outlined
        ? verdict('square', 'fine-length', 'at-most', square(parts))
        : judgeRowSquare(row),
    ),
    flat: asBenchLies(
      parts,
      asItComesOut(
        parts,
        'flat',
        row === null ? verdict('flat', 'fine-length', 'at-most', flat(parts)) : judgeRowFlat(row),
      ),
    ),
  };
}

/** What is clamped down takes the shape of what it is clamped to: on a bench that is known to be further out than is allowed, nothing is sure. */
function asBenchLies(parts: PlanParts, judged: Verdict): Verdict {
  const bench = whichBench(parts)?.bench;
  const outMm = bench?.flatMm ?? 0;
  if (bench === undefined || judged.state !== 'holds' || outMm <= judged.against) return judged;
  if (cornersOf(parts) === null) return judged;
  return {
    ...judged,
    state: 'close',
    cause: finding('bench-not-flat', 'warns', { name: bench.name, outMm }),
  };
}

/**
 * What holds by the plan and has come out worse at this bench, one time in ten, is close; lines that were left open wider than the glue
 * fills, however well they are pressed.
 */
function asItComesOut(parts: PlanParts, measure: Measure, judged: Verdict): Verdict {
  const { build, shop, adhesive } = parts;
  const known = shop.learned?.reached.find(
    (each) => each.measure === measure && each.template === build.template,
  );
  const mostMm = measure === 'gap' ? adhesive.gapMm : judged.against;
  if (known === undefined || judged.state !== 'holds' || known.poorMm <= mostMm) return judged;
  const { typicalMm, poorMm, runs } = known;
  const came = { typicalMm, poorMm, runs };
  return {
    ...judged,
    state: 'close',
    cause:
      measure === 'gap'
        ? finding('gaps-come-out', 'warns', { ...came, fillsMm: mostMm })
        : finding('comes-out', 'warns', came),
  };
}

/** *Tight* alone, which is judged anew once clamps are in their places. */
export function judgeTight(parts: PlanParts): Verdict {
  const row = rowIn(parts);
  // Under an iron what counts is a thickness, which may be at most so much.
  const sense = parts.facts.assembly.pressedBy === 'iron' ? 'at-most' : 'at-least';
  const judged = row === null ? verdict('tight', 'pressure', sense, tight(parts)) : judgeRowTight(row);
  // Pressure alone makes no line: a light squeeze is reckoned with its second one, and a face with glue all over it.
  const lacking = ofCode(parts.findings, 'no-second-squeeze') ?? ofCode(parts.findings, 'bead-on-wide-face');
  return lacking !== undefined && judged.state === 'holds'
    ? { ...judged, state: 'close', cause: lacking }
    : asItComesOut(parts, 'gap', judged);
}

function rowIn({ row, build, shop, climate, adhesive }: PlanParts): RowInPlan | null {
  return row === null ? null : { ...row, build, shop, climate, adhesive };
}

function verdict(aspect: Aspect, kind: FigureKind, sense: Verdict['sense'], judged: Judged): Verdict {
  const { margin, ...rest } = judged;
  return { aspect, sense, barShare: barShareOf(margin), ...rest, kind: judged.kind ?? kind };
}

/** Parts without joints. */
function nothingToJudge({ build }: PlanParts): Readonly<Record<Aspect, Verdict>> {
  const empty = (aspect: Aspect, kind: FigureKind): Verdict => ({
    aspect,
    state: 'close',
    kind,
    figure: null,
    against: build.goals.flatMm,
    sense: 'at-most',
    barShare: 0.5,
    cause: finding('no-joints', 'warns'),
    workings: [],
  });
  return {
    inTime: empty('inTime', 'minutes'),
    tight: empty('tight', 'pressure'),
    square: empty('square', 'fine-length'),
    flat: empty('flat', 'fine-length'),
  };
}

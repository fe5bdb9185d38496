import { pressureWord, TYPICAL_FORCE_SPREAD } from '../clamps';
import { type Panel, slidingBlock } from '../assembly';
import type { Clash } from '../clamps';
import { howLightly } from './how-lightly';
import { type Finding, type PlanFinding, finding, type Severity } from '../findings';
import { leastBy } from '../basics/least-by';
import { judgedLines, type PlannedLine, type RowInPlan } from '../plan/row/row-plan';
import { blockClampsOfRow, blockClampTrouble } from '../plan/squeeze/block-clamps';
import { stageOfLine } from '../plan/row/stages';
import { unfitGlue } from './unfit-glue';
import { barShareOf, type Verdict, type VerdictState } from './verdict';

/** From so many times the force on, the order in which lines are closed is worth telling. */
const DEEP_BEAM_RATIO = 1.1;

/** Tight: pressure everywhere along every line between what the glue wants and what the wood bears. */
export function judgeRowTight(row: RowInPlan): Verdict {
  const parts = { ...row, lines: judgedLines(row.lines) };
  const weakest = leastBy(parts.lines, shareOfTarget);
  const cause = refusal(parts) ?? warning(parts, weakest) ?? pressureCause(weakest, parts);
  const state: VerdictState =
    cause.severity === 'refuses' ? 'fails' : cause.severity === 'warns' ? 'close' : 'holds';
  const margin = Math.min(marginOf(weakest), state === 'fails' ? -0.02 : 1);
  return {
    aspect: 'tight',
    state,
    kind: 'pressure',
    figure: weakest.pressure.minMPa,
    against: weakest.target.lowMPa,
    sense: 'at-least',
    barShare: barShareOf(margin),
    cause,
    workings: workings(parts, weakest),
  };
}

function shareOfTarget({ pressure, target }: PlannedLine): number {
  return pressure.minMPa / target.lowMPa;
}

/** −1 at no pressure, 0 at the low end of the target, 1 from its middle on. */
function marginOf({ pressure: { minMPa }, target: { lowMPa, highMPa } }: PlannedLine): number {
  return minMPa < lowMPa ? minMPa / lowMPa - 1 : (2 * (minMPa - lowMPa)) / (highMPa - lowMPa);
}

/** What forbids the plan, most fundamental first. */
function refusal(parts: RowInPlan): PlanFinding | undefined {
  const { build, job, adhesive, clampSet, lines } = parts;
  const unfit = unfitGlue({ build, adhesive, joints: lines, lightly: job.school === 'light' });
  if (unfit !== undefined) return unfit;
  if (clampSet.clamps.length === 0) return finding('no-clamps', 'refuses');
  const short = clampSet.clamps.find(({ fit }) => fit === 'too-short');
  if (short !== undefined) {
    return finding('clamp-too-short', 'refuses', {
      clamp: short.number,
      opensMm: short.lot.maxOpeningMm,
      neededMm: short.openingNeededMm,
    });
  }
  const drawn = clampSet.overdrawn[0];
  if (drawn !== undefined) {
    return finding('not-enough-on-rack', 'refuses', { placed: drawn.placed, have: drawn.lot.count });
  }
  const off = clampSet.clamps.find(
    ({ placed, lot }) => !standsOn(parts.panel.stands, placed.xMm, lot.padWidthMm),
  );
  if (off !== undefined) {
    return finding('clamp-off-end', 'refuses', {
      clamp: off.number,
      atMm: off.placed.xMm,
    });
  }
  const sliding = slidingBlock(parts.panel, clampSet.clamps);
  if (sliding !== null) {
    const { clamp, slideN, holdsN, fallPerMm } = sliding;
    return finding('block-slides', 'refuses', { clamp: clamp.number, slideN, holdsN, fallPerMm });
  }
  const fouling = clampSet.clashes.find(({ kind }) => kind === 'jaws');
  if (fouling !== undefined) return finding('jaws-foul', 'refuses', clashValues(fouling));
  const biting = clampSet.clamps.find(({ padPressureMPa, crushLimitMPa }) => padPressureMPa > crushLimitMPa);
  if (biting !== undefined) {
    return finding('jaw-crushes', 'refuses', {
      clamp: biting.number,
      padMPa: biting.padPressureMPa,
      crushMPa: biting.crushLimitMPa,
    });
  }
  const starved = lines.find(({ pressure, target }) => pressure.meanMPa > target.mostMPa);
  if (starved !== undefined) {
    return finding('line-starves', 'refuses', {
      line: starved.line.label,
      meanMPa: starved.pressure.meanMPa,
      mostMPa: starved.target.mostMPa,
    });
  }
  const sprung = lines.find(({ closing }) => closing === 'back-to-plane');
  if (sprung !== undefined) return gapFinding('gap-back-to-plane', 'refuses', sprung, clampSet.totalForceN);
  if (job.pullOffsetMm > parts.panel.thicknessMm / 6) {
    return finding('pull-off-middle-third', 'refuses', {
      offsetMm: job.pullOffsetMm,
      kernMm: parts.panel.thicknessMm / 6,
    });
  }
  return undefined;
}

/** Places are whole millimetres. */
const ROUNDED_MM = 0.5;

/** Whether a jaw stands wholly where it may: on both outer boards, or on the block under it. */
const standsOn = (stands: Panel['stands'], xMm: number, padMm: number): boolean =>
  stands.some(([from, to]) => xMm - padMm / 2 >= from - ROUNDED_MM && xMm + padMm / 2 <= to + ROUNDED_MM);

function warning({ lines, clampSet, shop, panel }: RowInPlan, weakest: PlannedLine): PlanFinding | undefined {
  if (weakest.lowestWord === 'under-pressed' || weakest.lowestWord === 'light') return undefined;
  const sprung = lines.find(({ closing }) => closing === 'costly');
  if (sprung !== undefined) return gapFinding('gap-costs-pull', 'warns', sprung, clampSet.totalForceN);
  const shallow = clampSet.clamps.find(({ reaches }) => !reaches);
  if (shallow !== undefined) {
    return finding('jaw-too-shallow', 'warns', { clamp: shallow.number, kind: shallow.lot.kind });
  }
  const unheld = blockClampTrouble(blockClampsOfRow({ shop, panel, clampSet }));
  if (unheld !== undefined) return unheld;
  const handles = clampSet.clashes.find(({ kind }) => kind === 'handles');
  if (handles !== undefined) return finding('handles-foul', 'warns', clashValues(handles));
  const heavy = lines.find(
    ({ pressure, target, crushMPa }) =>
      pressureWord(pressure.meanMPa, target, crushMPa) === 'more-than-needed',
  );
  if (heavy !== undefined) {
    return finding('more-than-needed', 'warns', {
      line: heavy.line.label,
      meanMPa: heavy.pressure.meanMPa,
      highMPa: heavy.target.highMPa,
    });
  }
  return undefined;
}

const clashValues = ({ clamp, other, apartMm, neededMm }: Clash) => ({ clamp, other, apartMm, neededMm });

function gapFinding(
  code: 'gap-back-to-plane' | 'gap-costs-pull',
  severity: Severity,
  line: PlannedLine,
  totalN: number,
): PlanFinding {
  return finding(code, severity, {
    line: line.line.label,
    gapMm: Math.abs(line.gapMm ?? 0),
    forceN: line.closingForceN,
    totalN,
  });
}

function pressureCause(weakest: PlannedLine, { pressed }: RowInPlan): PlanFinding {
  const opens = pressed?.lines[weakest.line.index];
  if (opens !== undefined && !opens.closed) {
    return finding('line-opens', 'refuses', {
      line: weakest.line.label,
      atMm: weakest.pressure.minAtMm,
      openMm: Math.max(...opens.openMm),
    });
  }
  const severity = { 'under-pressed': 'refuses', light: 'warns' } as const;
  const word = weakest.lowestWord;
  return finding(
    word === 'under-pressed' || word === 'light' ? `line-${word}` : 'line-pressed',
    word === 'under-pressed' || word === 'light' ? severity[word] : 'informs',
    {
      line: weakest.line.label,
      atMm: weakest.pressure.minAtMm,
    },
  );
}

function workings({ clampSet, job, lines, stages, pressed }: RowInPlan, weakest: PlannedLine): Finding[] {
  const deep = lines.find(
    ({ closingForceN, closingInTurnN }) =>
      closingInTurnN > DEEP_BEAM_RATIO * closingForceN && closingForceN > 0,
  );
  return [
    finding('how-target', 'informs', {
      sg: Math.min(weakest.line.first.wood.sg, weakest.line.second.wood.sg),
      lowMPa: weakest.target.lowMPa,
      highMPa: weakest.target.highMPa,
    }),
    finding('how-mean-pressure', 'informs', {
      totalN: clampSet.totalForceN,
      lengthMm: weakest.line.lengthMm,
      heightMm: weakest.line.heightMm,
      meanMPa: weakest.pressure.meanMPa,
      typical: clampSet.clamps.filter(({ forceSource }) => forceSource === 'typical').length,
      spreadPct: TYPICAL_FORCE_SPREAD * 100,
    }),
    ...(job.school === 'light' ? [howLightly(weakest.target.lowMPa)] : []),
    ...(deep === undefined
      ? []
      : [
          finding('how-closing-order', 'informs', {
            line: deep.line.label,
            worstFirstN: deep.closingForceN,
            inTurnN: Number.isFinite(deep.closingInTurnN) ? deep.closingInTurnN : -1,
          }),
        ]),
    finding(pressed === null ? 'how-lowest-pressure' : 'how-pressed', 'informs', {
      line: weakest.line.label,
      depthMm: stageOfLine(stages, weakest.line.id).line.depthMm,
      minMPa: weakest.pressure.minMPa,
      maxMPa: weakest.pressure.maxMPa,
      meanMPa: weakest.pressure.meanMPa,
      unknowns: pressed?.unknowns ?? 0,
      iterations: pressed?.iterations ?? 0,
    }),
  ];
}

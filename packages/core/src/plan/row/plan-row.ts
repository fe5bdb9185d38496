import type { Adhesive } from '../../adhesives';
import { type BoardsInBars, clampsOnPanel, type Panel } from '../../assembly';
import { pressureWord } from '../../clamps';
import type { BuildDocument, ShopDocument } from '../../formats';
import { closingForceN, panelStrut, type StrutBoard } from '../../mechanics';
import { closingAdvice } from '../joints/closing';
import type { PlannedJoint } from '../joints/planned-joint';
import { planCauls } from './cauls';
import { pressureOn, type RowGap, rowJobOf, targetOn } from './row-job';
import type { PlannedLine, RowPlan } from './row-plan';
import { stageOfLine, stagesOf, withStages } from './stages';

/** What a row is planned from. */
export interface RowInputs {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  readonly adhesive: Adhesive;
  readonly panel: Panel;
  readonly boardMcPct: readonly number[];
  /** Of all lines, in their order. */
  readonly joints: readonly PlannedJoint[];
}

/** Row mechanics in closed form: clamps on the rack, pressures, gaps, strut and cauls. */
export function planRow({ build, shop, adhesive, panel: whole, boardMcPct, joints }: RowInputs): RowPlan {
  const gaps = joints.flatMap(({ gap }, line): RowGap[] =>
    gap === null ? [] : [{ line, gapMm: gap.gapMm }],
  );
  const stages = stagesOf(whole, build.order?.sessions ?? []);
  const panel = withStages(whole, stages);
  const job = rowJobOf(build, { panel, stages }, shop, adhesive, gaps);
  const clampSet = clampsOnPanel(
    job,
    shop,
    panel,
    gaps.map(({ gapMm }) => gapMm),
  );
  const order = worstFirst(gaps, panel).flatMap((index) => panel.lines[index]?.id ?? []);
  const lines = panel.lines.map((line): PlannedLine => {
    const joint = joints[line.index];
    if (joint === undefined) throw new Error('unreachable: every line is a joint');
    return planLine(joint, line, { job, stages, clampSet, adhesive, order });
  });
  const offsetMm = meanOffset(job.pullOffsetMm, clampSet);
  return {
    job,
    panel,
    stages,
    boardMcPct,
    lines,
    clampSet,
    strut: panelStrut({
      boards: panel.boards.map(strutBoard),
      thicknessMm: panel.thicknessMm,
      lineLoadNPerMm: clampSet.totalForceN / panel.lengthMm,
      offsetMm,
    }),
    cauls: planCauls({ build, job, shop, panel, clampSet, offsetMm }),
    pressed: null,
    heldBy: heldBy(job.holding, panel, clampSet),
  };
}

interface LineContext extends Pick<RowPlan, 'job' | 'stages' | 'clampSet'> {
  readonly adhesive: Adhesive;
  /** Ids of lines in the order in which they are closed, whatever their stage. */
  readonly order: readonly string[];
}

function planLine(
  joint: PlannedJoint,
  line: Panel['lines'][number],
  { job, stages, clampSet, adhesive, order }: LineContext,
): PlannedLine {
  const { stage, line: inStage } = stageOfLine(stages, line.id);
  const { panel } = stage;
  const pulls = clampSet.clamps.map(({ placed, forceN }) => ({ xMm: placed.xMm, forceN }));
  const pressure = pressureOn(inStage, job, panel, pulls);
  const target = targetOn(line, adhesive, job.school);
  const gapMm = joint.gap?.gapMm ?? null;
  const indexesOf = (ids: readonly string[]) =>
    ids.filter((id) => stage.glued.includes(id)).map((id) => panel.lines.findIndex((own) => own.id === id));
  const closes = (turns: readonly number[]): number =>
    gapMm === null
      ? 0
      : closingForceN({
          lengthMm: line.lengthMm,
          thicknessMm: line.heightMm,
          boards: boardsBehind(panel, inStage.index, turns),
          gapMm,
          remainingMm: Math.min(adhesive.gapMm, 0.1),
          pulls: pulls.map(({ xMm, forceN }) => ({ xMm: xMm - line.startMm, forceN })),
        });
  const asRead = indexesOf(order);
  const inTurn = indexesOf(panel.lines.map(({ id }) => id));
  const closingN = closes(asRead);
  return {
    ...joint,
    line,
    pressure,
    target,
    lowestWord: pressureWord(pressure.minMPa, target, joint.crushMPa),
    gapMm,
    closingForceN: closingN,
    closingInTurnN: sameBehind(panel, inStage.index, asRead, inTurn) ? closingN : closes(inTurn),
    closing: closingAdvice(closingN, clampSet.totalForceN),
  };
}

function strutBoard({ board, wood }: Panel['boards'][number]): StrutBoard {
  return { widthMm: board.widthMm, wood, cut: board.cut };
}

/** Lines by what was read on them, the widest gap first. */
function worstFirst(gaps: readonly RowGap[], panel: Panel): number[] {
  const read = (index: number) => Math.abs(gaps.find(({ line }) => line === index)?.gapMm ?? 0);
  return panel.lines.map(({ index }) => index).sort((a, b) => read(b) - read(a) || a - b);
}

/** The two sides of a line when it is closed: each board with those it is already together with, as one deep beam. */
function boardsBehind(panel: BoardsInBars, line: number, order: readonly number[]): [StrutBoard, StrutBoard] {
  const together = new Set(order.slice(0, order.indexOf(line)));
  const reachOf = (from: number, step: 1 | -1): number => {
    let board = from;
    // Line i lies between boards i and i + 1.
    while (together.has(step === 1 ? board : board - 1)) board += step;
    return board;
  };
  const deep = (from: number, to: number): StrutBoard => {
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    const own = panel.boards.slice(low, high + 1);
    const nearest = strutBoard(panel.boards[from] as Panel['boards'][number]);
    return { ...nearest, widthMm: own.reduce((sum, { board }) => sum + board.widthMm, 0) };
  };
  return [deep(line, reachOf(line, -1)), deep(line + 1, reachOf(line + 1, 1))];
}

/** Whether a line has the same boards behind it in two orders of closing, so that closing it takes the same. */
function sameBehind(
  panel: BoardsInBars,
  line: number,
  one: readonly number[],
  other: readonly number[],
): boolean {
  const [a, b] = [boardsBehind(panel, line, one), boardsBehind(panel, line, other)];
  return a.every(({ widthMm }, i) => widthMm === b[i]?.widthMm);
}

/** Force-weighted mean distance of the pull from mid-thickness, + above. */
function meanOffset(pullOffsetMm: number, { clamps, totalForceN }: RowPlan['clampSet']): number {
  const moment = clamps.reduce(
    (sum, { placed, forceN }) => sum + (placed.side === 'above' ? forceN : -forceN) * pullOffsetMm,
    0,
  );
  return totalForceN > 0 ? moment / totalForceN : 0;
}

/** Cauls must not be further apart than this to count as holding the panel [judgement]. */
const CAUL_REACH_MM = 600;

function heldBy(
  { barsTouch, caulPairs }: RowPlan['job']['holding'],
  panel: Panel,
  { clamps }: RowPlan['clampSet'],
): RowPlan['heldBy'] {
  const sides = new Set(clamps.map(({ placed }) => placed.side));
  const bars = barsTouch && sides.size === 2;
  const cauls = caulPairs > 0 && panel.lengthMm / caulPairs <= CAUL_REACH_MM;
  return [...(bars ? (['bars'] as const) : []), ...(cauls ? (['cauls'] as const) : [])];
}

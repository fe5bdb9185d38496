import { type BoardsInBars, padOnEdgeMm } from '../../assembly';
import { padWithinMm } from '../../clamps';
import {
  type PanelPressure,
  panelPressure,
  type Press,
  pressableSpan,
  type PressedBoard,
  type PressedPanel,
} from '../../mechanics';
import type { RowGap, RowJob } from './row-job';
import type { RowPlan } from './row-plan';
import type { RowStage } from './stages';

/** A planned row pressed by finite elements. */
export interface PressedRow extends PanelPressure {
  /** Numbers of clamps that press nothing: off an end, too short to go on, or with no force. */
  readonly leftOut: readonly number[];
}

/** Readings between the ends of a gap's profile. */
const READINGS = 25;

/**
 * One stage of a planned panel as the elements see it, with its boards, battens, clamps and what was read at the dry fit: one figure for
 * a line is taken for a parabola, + hollow, − proud.
 */
function pressedPanelOf(
  { job, panel: whole, clampSet }: RowPlan,
  { panel }: RowStage,
): {
  readonly panel: PressedPanel;
  readonly leftOut: readonly number[];
} {
  const bare = unpressed(job, panel, gapsOn(panel, whole, job.gaps));
  const { fromMm, toMm } = pressableSpan(bare.boards, bare.lengthMm);
  const pressing = clampSet.clamps.filter(({ forceN, lot, placed }) => {
    const half = lot.padWidthMm / 2;
    return forceN > 0 && placed.xMm - half >= fromMm && placed.xMm + half <= toMm;
  });
  return {
    panel: {
      ...bare,
      clamps: pressing.map(({ placed, forceN, lot }) => ({
        xMm: placed.xMm,
        forceN,
        padMm: padWithinMm(padOnEdgeMm(lot, job), placed.xMm, toMm, fromMm),
      })),
    },
    leftOut: clampSet.clamps.filter((clamp) => !pressing.includes(clamp)).map(({ number }) => number),
  };
}

/** The same before any clamp is on. */
export function unpressed(
  job: RowJob,
  panel: BoardsInBars,
  gaps: readonly RowGap[] = job.gaps,
): Omit<PressedPanel, 'clamps'> {
  const boards = panel.boards.map(({ board, wood, startMm }): PressedBoard => ({
    ...stretchOf(startMm, board.lengthMm, panel.lengthMm),
    widthMm: board.widthMm,
    thicknessMm: board.thicknessMm,
    cut: board.cut,
    wood,
  }));
  const [first] = boards;
  return {
    boards,
    lengthMm: panel.lengthMm,
    batten:
      job.edge.kind === 'battens' && first !== undefined && job.edge.thicknessMm > 0
        ? { ...first, widthMm: job.edge.thicknessMm, cut: 'flat' as const }
        : undefined,
    gaps: gaps
      .filter(({ line }) => line < panel.lines.length)
      .map(({ line, gapMm }) => ({ line, profileMm: parabola(gapMm) })),
  };
}

/** Boards that miss an end of the panel by less than this are as long as it: they are squared off together, mm [judgement]. */
const SQUARED_OFF_MM = 10;

/** Where a board lies along the panel; nothing where it runs from end to end. */
function stretchOf(
  startMm: number,
  lengthMm: number,
  panelMm: number,
): Pick<PressedBoard, 'fromMm' | 'lengthMm'> {
  const fromMm = startMm < SQUARED_OFF_MM ? 0 : startMm;
  const toMm = startMm + lengthMm > panelMm - SQUARED_OFF_MM ? panelMm : startMm + lengthMm;
  return fromMm === 0 && toMm === panelMm ? {} : { fromMm, lengthMm: toMm - fromMm };
}

/** Readings on the lines of a stage, by their place in it; a line that has cured has none any more. */
const gapsOn = ({ lines }: BoardsInBars, whole: BoardsInBars, gaps: readonly RowGap[]): RowGap[] =>
  lines.flatMap(({ id, index }) =>
    gaps.flatMap(({ line, gapMm }) => (whole.lines[line]?.id === id ? [{ line: index, gapMm }] : [])),
  );

/** Pressure along all lines of a planned panel by finite elements: of each line in the stage in which it is glued. */
export function pressRow(row: RowPlan, press: Press = panelPressure): PressedRow {
  const [first, ...further] = row.stages.map((stage) => {
    const { panel, leftOut } = pressedPanelOf(row, stage);
    return { stage, leftOut, answer: press(panel) };
  });
  if (first === undefined) throw new Error('unreachable: a row has a stage');
  if (further.length === 0) return { ...first.answer, leftOut: first.leftOut };
  const all = [first, ...further];
  const lines = row.panel.lines.flatMap(({ id }) => {
    const own = all.find(({ stage }) => stage.glued.includes(id));
    const at = own?.stage.panel.lines.findIndex((line) => line.id === id) ?? -1;
    return own?.answer.lines[at] ?? [];
  });
  return {
    lines,
    status: all.find(({ answer }) => answer.status !== 'converged')?.answer.status ?? 'converged',
    unknowns: all.reduce((sum, { answer }) => sum + answer.unknowns, 0),
    iterations: all.reduce((sum, { answer }) => sum + answer.iterations, 0),
    strayShare: Math.max(...all.map(({ answer }) => answer.strayShare)),
    leftOut: [...new Set(all.flatMap(({ leftOut }) => leftOut))].sort((a, b) => a - b),
  };
}

function parabola(gapMm: number): number[] {
  return Array.from({ length: READINGS }, (_, i) => {
    const share = (2 * i) / (READINGS - 1) - 1;
    return Math.abs(gapMm) * (gapMm > 0 ? 1 - share ** 2 : share ** 2);
  });
}

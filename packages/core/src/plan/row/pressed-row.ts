import { padOnEdgeMm, type Panel } from '../../assembly';
import { padWithinMm } from '../../clamps';
import {
  type PanelPressure,
  panelPressure,
  type Press,
  type PressedBoard,
  type PressedPanel,
} from '../../mechanics';
import type { RowJob } from './row-job';
import type { RowPlan } from './row-plan';

/** A planned row pressed by finite elements. */
export interface PressedRow extends PanelPressure {
  /** Numbers of clamps that press nothing: off an end, too short to go on, or with no force. */
  readonly leftOut: readonly number[];
}

/** Readings between the ends of a gap's profile. */
const READINGS = 25;

/**
 * A planned panel as the elements see it, with its boards, battens, clamps and what was read at the dry fit: one figure for
 * a line is taken for a parabola, + hollow, − proud. Boards are as long as the longest.
 */
function pressedPanelOf({ job, panel, clampSet }: RowPlan): {
  readonly panel: PressedPanel;
  readonly leftOut: readonly number[];
} {
  const { lengthMm } = panel;
  const pressing = clampSet.clamps.filter(({ forceN, lot, placed }) => {
    const half = lot.padWidthMm / 2;
    return forceN > 0 && placed.xMm - half >= 0 && placed.xMm + half <= lengthMm;
  });
  return {
    panel: {
      ...unpressed(job, panel),
      clamps: pressing.map(({ placed, forceN, lot }) => ({
        xMm: placed.xMm,
        forceN,
        padMm: padWithinMm(padOnEdgeMm(lot, job), placed.xMm, lengthMm),
      })),
    },
    leftOut: clampSet.clamps.filter((clamp) => !pressing.includes(clamp)).map(({ number }) => number),
  };
}

/** The same before any clamp is on. */
export function unpressed(job: RowJob, panel: Panel): Omit<PressedPanel, 'clamps'> {
  const boards = panel.boards.map(({ board, wood }): PressedBoard => ({
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
    gaps: job.gaps
      .filter(({ line }) => line < panel.lines.length)
      .map(({ line, gapMm }) => ({ line, profileMm: parabola(gapMm) })),
  };
}

/** Pressure along all lines of a planned panel by finite elements. */
export function pressRow(row: RowPlan, press: Press = panelPressure): PressedRow {
  const { panel, leftOut } = pressedPanelOf(row);
  return { ...press(panel), leftOut };
}

function parabola(gapMm: number): number[] {
  return Array.from({ length: READINGS }, (_, i) => {
    const share = (2 * i) / (READINGS - 1) - 1;
    return Math.abs(gapMm) * (gapMm > 0 ? 1 - share ** 2 : share ** 2);
  });
}

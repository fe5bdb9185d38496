import { padOnEdgeMm, type Panel } from '../assembly';
import { padWithinMm } from '../clamps';
import type { PanelBuild } from '../formats';
import {
  type PanelPressure,
  panelPressure,
  type Press,
  type PressedBoard,
  type PressedPanel,
} from '../mechanics';
import type { PlanParts } from './plan-parts';

/** A planned panel pressed by finite elements. */
export interface PressedPlan extends PanelPressure {
  /** Numbers of clamps that press nothing: off an end, too short to go on, or with no force. */
  readonly leftOut: readonly number[];
}

/** Readings between the ends of a gap's profile. */
const READINGS = 25;

/**
 * A planned panel as the elements see it, with its boards, battens, clamps and what was read at the dry fit: one figure for
 * a line is taken for a parabola, + hollow, − proud. Boards are as long as the longest.
 */
function pressedPanelOf({ build, panel, clampSet }: PlanParts): {
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
      ...unpressed(build, panel),
      clamps: pressing.map(({ placed, forceN, lot }) => ({
        xMm: placed.xMm,
        forceN,
        padMm: padWithinMm(padOnEdgeMm(lot, build), placed.xMm, lengthMm),
      })),
    },
    leftOut: clampSet.clamps.filter((clamp) => !pressing.includes(clamp)).map(({ number }) => number),
  };
}

/** The same before any clamp is on. */
export function unpressed(build: PanelBuild, panel: Panel): Omit<PressedPanel, 'clamps'> {
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
      build.edge.kind === 'battens' && first !== undefined && build.edge.thicknessMm > 0
        ? { ...first, widthMm: build.edge.thicknessMm, cut: 'flat' as const }
        : undefined,
    gaps: build.dryFit.gaps
      .filter(({ line }) => line < panel.lines.length)
      .map(({ line, gapMm }) => ({ line, profileMm: parabola(gapMm) })),
  };
}

/** Pressure along all lines of a planned panel by finite elements. */
export function pressPlan(plan: PlanParts, press: Press = panelPressure): PressedPlan {
  const { panel, leftOut } = pressedPanelOf(plan);
  return { ...press(panel), leftOut };
}

function parabola(gapMm: number): number[] {
  return Array.from({ length: READINGS }, (_, i) => {
    const share = (2 * i) / (READINGS - 1) - 1;
    return Math.abs(gapMm) * (gapMm > 0 ? 1 - share ** 2 : share ** 2);
  });
}

import { type PanelPressure, panelPressure, type PressedBoard } from '../mechanics';
import type { Plan } from './plan';

/** A planned panel pressed by finite elements. */
export interface PressedPlan extends PanelPressure {
  /** Numbers of clamps that press nothing: off an end, too short to go on, or with no force. */
  readonly leftOut: readonly number[];
}

/** Readings between the ends of a gap's profile. */
const READINGS = 25;

/**
 * Pressure along all lines of a planned panel by finite elements, with its boards, battens, clamps and what was read at
 * the dry fit: one figure for a line is taken for a parabola, + hollow, − proud. Boards are as long as the longest.
 */
export function pressPlan({ build, panel, clampSet }: Plan): PressedPlan {
  const { lengthMm } = panel;
  const pressing = clampSet.clamps.filter(({ forceN, lot, placed }) => {
    const half = lot.padWidthMm / 2;
    return forceN > 0 && placed.xMm - half >= 0 && placed.xMm + half <= lengthMm;
  });
  const boards = panel.boards.map(({ board, wood }): PressedBoard => ({
    widthMm: board.widthMm,
    thicknessMm: board.thicknessMm,
    cut: board.cut,
    wood,
  }));
  const [first] = boards;
  const batten =
    build.edge.kind === 'battens' && first !== undefined && build.edge.thicknessMm > 0
      ? { ...first, widthMm: build.edge.thicknessMm, cut: 'flat' as const }
      : undefined;
  const pressed = panelPressure({
    boards,
    lengthMm,
    batten,
    clamps: pressing.map(({ placed, forceN, lot }) => ({ xMm: placed.xMm, forceN, padMm: lot.padWidthMm })),
    gaps: build.dryFit.gaps
      .filter(({ line }) => line < panel.lines.length)
      .map(({ line, gapMm }) => ({ line, profileMm: parabola(gapMm) })),
  });
  return {
    ...pressed,
    leftOut: clampSet.clamps.filter((clamp) => !pressing.includes(clamp)).map(({ number }) => number),
  };
}

function parabola(gapMm: number): number[] {
  return Array.from({ length: READINGS }, (_, i) => {
    const share = (2 * i) / (READINGS - 1) - 1;
    return Math.abs(gapMm) * (gapMm > 0 ? 1 - share ** 2 : share ** 2);
  });
}

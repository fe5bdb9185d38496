import { adhesiveWindow } from '../adhesives';
import { clampsOnPanel, type Panel, type PanelLine, panelOf } from '../assembly';
import { pressureWord, targetPressure } from '../clamps';
import type { PanelBuild, Climate, ShopDocument } from '../formats';
import { LIMITS } from '../limits';
import { sharedTraits, equilibriumMoisturePct } from '../materials';
import {
  closingForceN,
  endDepthMm,
  linePressure,
  panelStrut,
  spreadingRatio,
  type StrutBoard,
} from '../mechanics';
import { panelSession } from '../sequence';
import { findSpreadMethod, spread } from '../spread';
import { planCauls } from './cauls';
import { closingAdvice } from './closing';
import { judgeFlat } from './flat';
import { judgeInTime, type WindowUse, windowUses } from './in-time';
import type { PlannedLine, PlanParts } from './plan-parts';
import { judgeSquare } from './square';
import { judgeTight } from './tight';
import type { Aspect, Verdict } from './verdict';
import { adhesiveOf } from './shelf';

/** A build thought through: its parts, its clock, its pressures and the four verdicts. */
export interface Plan extends PlanParts {
  readonly verdicts: Readonly<Record<Aspect, Verdict>>;
  readonly windowUses: readonly WindowUse[];
  readonly totals: {
    readonly massG: number;
    readonly volumeMl: number;
    readonly spreadMin: number;
    readonly onShelfMl: number;
  };
}

/** Two-board panels spread worse than the fit: two thirds of the depth is on the safe side (docs/models.md). */
const TWO_BOARD_DEPTH = 2 / 3;

/**
 * Computes everything there is to say about a build in a shop. Pure and fast enough to run for every keystroke
 * and for every candidate fix.
 * @throws InputError for ids that the catalogues do not hold.
 */
export function planBuild(build: PanelBuild, shop: ShopDocument): Plan {
  const climate = build.climate ?? shop.climate;
  const panel = panelOf(build);
  const adhesive = adhesiveOf(build.glue.adhesive, shop, 'glue.adhesive');
  const clampSet = clampsOnPanel(build, shop, panel);
  const boardMcPct = panel.boards.map(({ board }) => moistureOf(board.mcPct, climate));
  const lines = panel.lines.map((line) =>
    planLine(line, {
      build,
      climate,
      panel,
      clampSet,
      adhesive,
      boardMcPct,
      closingOrder: worstFirst(build, panel),
    }),
  );
  const strut = strutOf(build, panel, clampSet);
  const timeline = panelSession({
    build,
    panel,
    clampSet,
    spreadMin: lines.map((line) => line.spread.minutes),
    paceFactor: shop.paceFactor,
  });
  const parts: PlanParts = {
    build,
    shop,
    climate,
    panel,
    adhesive,
    boardMcPct,
    lines,
    clampSet,
    timeline,
    strut,
    cauls: planCauls({ build, shop, panel, clampSet, offsetMm: meanOffset(build, clampSet) }),
    pressed: null,
    heldBy: heldBy(build, panel, clampSet),
  };
  return {
    ...parts,
    windowUses: windowUses(parts),
    verdicts: {
      inTime: judgeInTime(parts),
      tight: judgeTight(parts),
      square: judgeSquare(parts),
      flat: judgeFlat(parts),
    },
    totals: {
      massG: sumOf(lines, (line) => line.spread.massG),
      volumeMl: sumOf(lines, (line) => line.spread.volumeMl),
      spreadMin: sumOf(lines, (line) => line.spread.minutes),
      onShelfMl: sumOf(
        shop.bottles.filter((bottle) => bottle.adhesive === adhesive.id),
        (bottle) => bottle.remainingMl,
      ),
    },
  };
}

/** Moisture of a board: as metered, else in balance with the air. */
function moistureOf(mcPct: number | null, climate: Climate): number {
  return mcPct ?? Math.min(LIMITS.moisturePct.max, equilibriumMoisturePct(climate.tempC, climate.rhPct));
}

interface LineContext {
  readonly build: PanelBuild;
  readonly climate: Climate;
  readonly panel: Panel;
  readonly clampSet: PlanParts['clampSet'];
  readonly adhesive: PlanParts['adhesive'];
  readonly boardMcPct: readonly number[];
  readonly closingOrder: readonly number[];
}

function planLine(line: PanelLine, context: LineContext): PlannedLine {
  const { build, climate, panel, clampSet, adhesive, boardMcPct } = context;
  const woods = [line.first, line.second];
  // The wetter board decides whether the glue is refused and how slowly it sets.
  const mcPct = Math.max(boardMcPct[line.index] ?? 0, boardMcPct[line.index + 1] ?? 0);
  const target = targetPressure(
    adhesive,
    woods.map(({ wood }) => wood.sg),
    build.school,
  );
  const crushMPa = Math.min(...woods.map(({ wood }) => wood.compPerpMPa));
  const pulls = clampSet.clamps.map(({ placed, forceN }) => ({ xMm: placed.xMm, forceN }));
  const pressure = linePressure({
    lengthMm: line.lengthMm,
    heightMm: line.heightMm,
    ...depthsOf(line, build, panel),
    stiffnessRatio: Math.min(
      ...panel.boards.map(({ board, wood }) => spreadingRatio({ wood, cut: board.cut })),
    ),
    pulls,
  });
  const own = build.glue.lines?.find((each) => each.line === line.index) ?? build.glue;
  const { faces } = own;
  const method = findSpreadMethod(own.method);
  const gapMm = build.dryFit.gaps.find((gap) => gap.line === line.index)?.gapMm ?? null;
  const closes = (order: readonly number[]): number =>
    gapMm === null
      ? 0
      : closingForceN({
          lengthMm: line.lengthMm,
          thicknessMm: line.heightMm,
          boards: boardsBehind(panel, line.index, order),
          gapMm,
          remainingMm: Math.min(adhesive.gapMm, 0.1),
          pulls,
        });
  const closingN = closes(context.closingOrder);
  const inTurn = panel.lines.map(({ index }) => index);
  return {
    line,
    mcPct,
    method,
    faces,
    spread: spread({
      areaMm2: line.areaMm2,
      lengthMm: line.lengthMm,
      faces,
      adhesive,
      method,
    }),
    window: adhesiveWindow(adhesive, {
      tempC: climate.tempC,
      rhPct: climate.rhPct,
      faces,
      traits: sharedTraits(woods),
      mcPct,
      woodTempC: build.wishes?.woodTempC ?? undefined,
      glueTempC: build.wishes?.glueTempC ?? undefined,
    }),
    target,
    crushMPa,
    pressure,
    lowestWord: pressureWord(pressure.minMPa, target, crushMPa),
    gapMm,
    closingForceN: closingN,
    closingInTurnN: sameBehind(panel, line.index, context.closingOrder, inTurn) ? closingN : closes(inTurn),
    closing: closingAdvice(closingN, clampSet.totalForceN),
  };
}

/** Depth between the nearer pad and a line, in its middle and at its ends. */
function depthsOf(line: PanelLine, build: PanelBuild, panel: Panel): { depthMm: number; endDepthMm: number } {
  const batten = build.edge.kind === 'battens' ? build.edge.thicknessMm : 0;
  if (panel.boards.length === 2) {
    const depthMm = line.depthMm * TWO_BOARD_DEPTH + batten;
    return { depthMm, endDepthMm: depthMm };
  }
  const depthMm = line.depthMm + batten;
  return { depthMm, endDepthMm: endDepthMm(depthMm, panel.widthMm / 2 + batten) };
}

function strutBoard({ board, wood }: Panel['boards'][number]): StrutBoard {
  return { widthMm: board.widthMm, wood, cut: board.cut };
}

/** Lines by what was read on them, the widest gap first. */
function worstFirst({ dryFit }: PanelBuild, panel: Panel): number[] {
  const read = (index: number) => Math.abs(dryFit.gaps.find(({ line }) => line === index)?.gapMm ?? 0);
  return panel.lines.map(({ index }) => index).sort((a, b) => read(b) - read(a) || a - b);
}

/** The two sides of a line when it is closed: each board with those it is already together with, as one deep beam. */
function boardsBehind(panel: Panel, line: number, order: readonly number[]): [StrutBoard, StrutBoard] {
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
    return { ...nearest, widthMm: sumOf(own, ({ board }) => board.widthMm) };
  };
  return [deep(line, reachOf(line, -1)), deep(line + 1, reachOf(line + 1, 1))];
}

/** Whether a line has the same boards behind it in two orders of closing, so that closing it takes the same. */
function sameBehind(panel: Panel, line: number, one: readonly number[], other: readonly number[]): boolean {
  const [a, b] = [boardsBehind(panel, line, one), boardsBehind(panel, line, other)];
  return a.every(({ widthMm }, i) => widthMm === b[i]?.widthMm);
}

/** Force-weighted mean distance of the pull from mid-thickness, + above. */
function meanOffset(build: PanelBuild, clampSet: PlanParts['clampSet']): number {
  const moment = sumOf(clampSet.clamps, ({ placed, forceN }) =>
    placed.side === 'above' ? forceN * build.pullOffsetMm : -forceN * build.pullOffsetMm,
  );
  return clampSet.totalForceN > 0 ? moment / clampSet.totalForceN : 0;
}

function strutOf(build: PanelBuild, panel: Panel, clampSet: PlanParts['clampSet']): PlanParts['strut'] {
  return panelStrut({
    boards: panel.boards.map(strutBoard),
    thicknessMm: panel.thicknessMm,
    lineLoadNPerMm: clampSet.totalForceN / panel.lengthMm,
    offsetMm: meanOffset(build, clampSet),
  });
}

/** Cauls must not be further apart than this to count as holding the panel [judgement]. */
const CAUL_REACH_MM = 600;

function heldBy(build: PanelBuild, panel: Panel, clampSet: PlanParts['clampSet']): PlanParts['heldBy'] {
  const sides = new Set(clampSet.clamps.map(({ placed }) => placed.side));
  const bars = build.holding.barsTouch && sides.size === 2;
  const cauls = build.holding.caulPairs > 0 && panel.lengthMm / build.holding.caulPairs <= CAUL_REACH_MM;
  return [...(bars ? (['bars'] as const) : []), ...(cauls ? (['cauls'] as const) : [])];
}

function sumOf<T>(items: readonly T[], value: (item: T) => number): number {
  return items.reduce((total, item) => total + value(item), 0);
}

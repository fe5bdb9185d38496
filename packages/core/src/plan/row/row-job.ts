import type { Adhesive } from '../../adhesives';
import {
  bearingMm2,
  type BoardsInBars,
  clampsOnPanel,
  longEnoughLots,
  type Panel,
  type PanelLine,
} from '../../assembly';
import { CRUSH_SHARE, EASED_TO, lotForceN, type TargetPressure, targetPressure } from '../../clamps';
import {
  type BuildDocument,
  MOST_CLAMPS,
  type PlacedClamp,
  type RackLot,
  type RowSection,
  type ShopDocument,
  USUAL_ROW,
} from '../../formats';
import { kindOf } from '../../kinds';
import { endDepthMm, linePressure, spreadingRatio } from '../../mechanics';
import { evenly, fittingOn, reachOf } from './even-places';
import { type RowStage, stageOfLine } from './stages';

/** An opening read at one line of a row, + hollow, − proud. */
export interface RowGap {
  readonly line: number;
  readonly gapMm: number;
}

/** How a row of boards is to be pulled together, with everything that was left out filled in. */
export interface RowJob extends Omit<RowSection, 'clamps'> {
  readonly clamps: readonly PlacedClamp[];
  readonly pullOffsetMm: number;
  readonly gaps: readonly RowGap[];
  /** Clamps were worked out from the rack rather than placed. */
  readonly workedOut: boolean;
}

/** Line of pull that a careful worker manages off mid-thickness, as a share of the thickness [judgement]. */
const PULL_OFFSET_SHARE = 0.08;

/**
 * The row section of a build; what its answers settle, such as the pairs of cauls that a slab asks for, comes before what the
 * document says.
 */
export function rowOf(build: BuildDocument): RowSection {
  const row = build.row ?? USUAL_ROW;
  const { caulPairs, edge } = rowByAnswers(build);
  return {
    ...row,
    edge: edge ?? row.edge,
    holding: { ...row.holding, caulPairs: caulPairs ?? row.holding.caulPairs },
  };
}

const rowByAnswers = ({ template, answers }: BuildDocument) => kindOf(template)?.row?.(answers) ?? {};

/** The build with its row changed; what its kind asks for is changed among its answers. */
export function withRow(build: BuildDocument, change: Partial<RowSection>): BuildDocument {
  const asked = rowByAnswers(build);
  const { holding } = change;
  return {
    ...build,
    row: { ...rowOf(build), ...change },
    ...(holding !== undefined && asked.caulPairs !== undefined
      ? { answers: { ...build.answers, caulPairs: holding.caulPairs } }
      : {}),
  };
}

/** A panel and what of it lies in the bars in each session. */
export interface StagedPanel {
  readonly panel: Panel;
  readonly stages: readonly RowStage[];
}

/** The row of a build on its panel; clamps that nobody has placed are worked out from the rack. */
export function rowJobOf(
  build: BuildDocument,
  { panel, stages }: StagedPanel,
  shop: ShopDocument,
  adhesive: Adhesive,
  gaps: readonly RowGap[],
): RowJob {
  const row = rowOf(build);
  const job: RowJob = {
    ...row,
    pullOffsetMm: row.pullOffsetMm ?? Math.round(PULL_OFFSET_SHARE * panel.thicknessMm * 10) / 10,
    gaps,
    workedOut: row.clamps.length === 0,
  };
  const wanted = build.squeeze?.counts?.find(({ pull }) => pull === ACROSS)?.count;
  const clamps = job.workedOut ? clampsWorkedOut(job, { panel, stages }, shop, adhesive, wanted) : job.clamps;
  return { ...job, clamps, pullPct: easedPct({ ...job, clamps }, panel, shop, adhesive) };
}

/** Pull in per cent of the most: as the build says, eased where the mean on any line would be more than its glue wants. */
function easedPct(job: RowJob, panel: Panel, shop: ShopDocument, adhesive: Adhesive): number {
  const { totalForceN } = clampsOnPanel(job, shop, panel);
  const overMost = Math.max(
    ...panel.lines.map((line) => totalForceN / line.areaMm2 / targetOn(line, adhesive, job.school).highMPa),
  );
  return overMost > EASED_TO ? (job.pullPct * EASED_TO) / overMost : job.pullPct;
}

/** Pressure that the glue wants on a line of a row. */
export const targetOn = (
  { first, second }: Pick<PanelLine, 'first' | 'second'>,
  adhesive: Adhesive,
  school: RowSection['school'],
): TargetPressure => targetPressure(adhesive, [first.wood.sg, second.wood.sg], school);

/** The one pull of a row. */
export const ACROSS = 'across';

/** Jaws stand no further apart than this unless somebody puts them there [judgement]. */
const MOST_APART_MM = 400;
/** Lowest pressure that clamps are worked out for, over what is wanted, so that elements find it too. */
const ROOM = 1.08;

/**
 * Clamps for a row from one lot of the rack: the fewest of any lot that bring every line to what its glue wants by the closed
 * form, at most 400 mm apart; weakest sufficient lot first. Failing that, all of the strongest. Spread evenly, bars above and
 * below in turn, and eased where their full pull is more than the glue wants.
 */
function clampsWorkedOut(
  job: RowJob,
  staged: StagedPanel,
  shop: ShopDocument,
  adhesive: Adhesive,
  wanted: number | undefined,
): readonly PlacedClamp[] {
  const tried = longEnoughLots(staged.panel, job, shop)
    .sort((a, b) => lotForceN(a) - lotForceN(b))
    .flatMap((lot) => bestOfLot(job, staged, shop, adhesive, lot, wanted));
  const enough = tried.filter(({ meets }) => meets);
  const [best] =
    enough.length > 0
      ? enough.sort((a, b) => a.clamps.length - b.clamps.length)
      : tried.sort((a, b) => b.share - a.share);
  return best?.clamps ?? [];
}

/** What a clamp of a lot may pull with, N: all that it can, or what its jaws press into no edge. */
export function uncrushedN(lot: RackLot, row: Pick<RowSection, 'edge'>, panel: Panel): number {
  const crushMPa = Math.min(...panel.outer.map(({ wood }) => wood.compPerpMPa));
  return Math.min(lotForceN(lot), CRUSH_SHARE * crushMPa * bearingMm2(lot, row, panel));
}

interface Tried {
  readonly clamps: readonly PlacedClamp[];
  readonly meets: boolean;
  /** Lowest pressure on any line over what is wanted there. */
  readonly share: number;
}

function bestOfLot(
  job: RowJob,
  staged: StagedPanel,
  shop: ShopDocument,
  adhesive: Adhesive,
  lot: RackLot,
  wanted: number | undefined,
): Tried[] {
  const { panel } = staged;
  // Bare jaws bite whoever is careful: blocks come before more clamps pulled less hard.
  const mostN = job.edge.kind === 'bare' ? lotForceN(lot) : uncrushedN(lot, job, panel);
  const most = Math.min(lot.count, MOST_CLAMPS, fittingOn(panel, lot));
  const [from, to] = reachOf(panel);
  const least = Math.min(most, wanted ?? Math.max(2, Math.ceil((to - from) / MOST_APART_MM)));
  const counts =
    wanted === undefined ? Array.from({ length: most - least + 1 }, (_, i) => least + i) : [least];
  const neededN = Math.max(
    ...panel.lines.map((line) => line.areaMm2 * targetOn(line, adhesive, job.school).lowMPa),
  );
  let best: Tried | null = null;
  for (const count of counts) {
    // No line is pressed more in its weakest place than on the whole: what falls short in all need not be looked at.
    if (count < 1 || (count < most && wanted === undefined && count * mostN < ROOM * neededN)) continue;
    const clamps = evenly(lot, count, panel, mostN);
    const full = pressed({ ...job, clamps, pullPct: 100 }, staged, shop, adhesive);
    const share = full.share * Math.min(1, EASED_TO / full.overMost);
    const found: Tried = { clamps, share, meets: share >= ROOM };
    if (best === null || found.share > best.share) best = found;
    if (found.meets) return [found];
  }
  return best === null ? [] : [best];
}

/** Lowest pressure over what is wanted, and highest mean over the most that is wanted, on any line. */
function pressed(job: RowJob, { panel, stages }: StagedPanel, shop: ShopDocument, adhesive: Adhesive) {
  const { clamps } = clampsOnPanel(job, shop, panel);
  const pulls = clamps.map(({ placed, forceN }) => ({ xMm: placed.xMm, forceN }));
  const lines = panel.lines.map((line) => {
    const target = targetOn(line, adhesive, job.school);
    const { stage, line: own } = stageOfLine(stages, line.id);
    const { minMPa, meanMPa } = pressureOn(own, job, stage.panel, pulls);
    return { share: minMPa / target.lowMPa, overMost: meanMPa / target.highMPa };
  });
  return {
    share: Math.min(...lines.map(({ share }) => share)),
    overMost: Math.max(...lines.map(({ overMost }) => overMost)),
  };
}

/** Pressure along one line in closed form. */
export function pressureOn(
  line: PanelLine,
  job: Pick<RowJob, 'edge'>,
  panel: BoardsInBars,
  pulls: readonly { readonly xMm: number; readonly forceN: number }[],
) {
  return linePressure({
    lengthMm: line.lengthMm,
    heightMm: line.heightMm,
    ...depthsOf(line, job, panel),
    stiffnessRatio: Math.min(
      ...panel.boards.map(({ board, wood }) => spreadingRatio({ wood, cut: board.cut })),
    ),
    pulls: pulls.map(({ xMm, forceN }) => ({ xMm: xMm - line.startMm, forceN })),
  });
}

/** Two-board panels spread worse than the fit: two thirds of the depth is on the safe side (docs/models.md). */
const TWO_BOARD_DEPTH = 2 / 3;

/** Depth between the nearer pad and a line, in its middle and at its ends. */
function depthsOf(
  line: PanelLine,
  { edge }: Pick<RowJob, 'edge'>,
  panel: BoardsInBars,
): { readonly depthMm: number; readonly endDepthMm: number } {
  const batten = edge.kind === 'battens' ? edge.thicknessMm : 0;
  if (panel.boards.length === 2) {
    const depthMm = line.depthMm * TWO_BOARD_DEPTH + batten;
    return { depthMm, endDepthMm: depthMm };
  }
  const depthMm = line.depthMm + batten;
  return { depthMm, endDepthMm: endDepthMm(depthMm, panel.widthMm / 2 + batten) };
}

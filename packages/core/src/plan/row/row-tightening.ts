import { panelOpeningMm } from '../../assembly';
import { leastBy } from '../../basics/least-by';
import { finding, type PlanFinding } from '../../findings';
import { noSecondSqueeze, secondSqueezeOf } from '../order/second-squeeze';
import { blocksHeld, cornerFindings } from '../squeeze/pull-tightening';
import type { Plan } from '../plan';
import type { RowPlan } from './row-plan';
import type { RowStage } from './stages';

/**
 * How the clamps of a panel are brought on, step by step, as it is said at the bench: snug cauls, light and full passes from
 * the centre out or from the worst gap, a relief so that a sprung line can slide, and what comes after.
 */
export function rowTightening(plan: Plan): PlanFinding[] {
  if (plan.row === null || plan.row.clampSet.clamps.length === 0) return [];
  const { job, clampSet, lines, cauls } = plan.row;
  const order = [...clampSet.clamps]
    .sort((a, b) => a.tightenAs - b.tightenAs)
    .map(({ number }) => number)
    .join(' · ');
  const gaps = lines.filter(({ gapMm }) => gapMm !== null && gapMm !== 0);
  const worst = gaps.reduce<(typeof gaps)[number] | null>(
    (most, line) => (most === null || Math.abs(line.gapMm ?? 0) > Math.abs(most.gapMm ?? 0) ? line : most),
    null,
  );
  const proud = (worst?.gapMm ?? 0) < 0;
  const school = job.firstClamp;
  return [
    ...blocksHeld(plan),
    ...stageFindings(plan.row),
    ...(cauls === null ? [] : [finding('tighten-snug-cauls', 'informs', { pairs: cauls.pairs })]),
    ...(worst === null || school === 'end' || school === 'centre'
      ? []
      : [
          finding('tighten-worst-first', 'informs', {
            line: worst.line.label,
            gapMm: Math.abs(worst.gapMm ?? 0),
            where: proud ? 'ends' : 'middle',
          }),
        ]),
    finding('tighten-light', 'informs', {
      order,
      from: school === 'end' ? 'end' : proud && school !== 'centre' ? 'ends' : 'centre',
    }),
    finding('tighten-look', 'informs'),
    ...(cauls !== null && worst !== null
      ? [finding('tighten-relieve', 'informs', { line: worst.line.label })]
      : []),
    finding('tighten-full', 'informs', {
      order,
      lowestN: Math.min(...clampSet.clamps.map(({ forceN }) => forceN)),
      highestN: Math.max(...clampSet.clamps.map(({ forceN }) => forceN)),
    }),
    ...(cauls === null ? [] : [finding('tighten-cauls', 'informs', { forceN: cauls.crown.endForceN })]),
    ...cornerFindings(plan),
    ...againFindings(plan),
  ];
}

/** How far bars open for one stage. */
const openingOf = ({ job }: Pick<RowPlan, 'job'>, { panel }: RowStage): number => panelOpeningMm(panel, job);

/** How far bars open in each session of a row; one figure where it is glued in one go. */
export const stageOpeningsMm = (row: RowPlan): number[] => row.stages.map((stage) => openingOf(row, stage));

/** What lies in the bars session by session; nothing where all is glued in one go. */
function stageFindings(row: RowPlan): PlanFinding[] {
  const { stages, lines } = row;
  if (stages.length < 2) return [];
  const named = (ids: readonly string[]) =>
    lines.flatMap(({ line }) => (ids.includes(line.id) ? [line.label] : [])).join(', ');
  return stages.map((stage) => {
    const { session, glued, panel } = stage;
    const before = stages.slice(0, session).flatMap((earlier) => earlier.glued);
    const dry = panel.lines.flatMap(({ id }) => (glued.includes(id) || before.includes(id) ? [] : [id]));
    return finding('row-stage', 'informs', {
      session: session + 1,
      of: stages.length,
      from: panel.outer[0]?.label ?? '',
      to: panel.outer.at(-1)?.label ?? '',
      glued: named(glued),
      dry: named(dry),
      openingMm: openingOf(row, stage),
    });
  });
}

/** The second squeeze where there is to be one, or that there is no room for it. */
function againFindings(plan: Plan): PlanFinding[] {
  const [session] = plan.order?.sessions ?? [];
  const second = session === undefined ? null : secondSqueezeOf(plan, session);
  if (session === undefined || second === null) return [];
  return second === 'no-room'
    ? [noSecondSqueeze()]
    : [finding('tighten-again', 'informs', { afterMin: second.startMin - session.handsOnMin })];
}

/** One row of what to open, and how far, before the first bead. */
export interface Opening {
  /** What it is for. */
  readonly use: 'cauls' | 'across' | 'spare';
  /** From 0, where a row is glued in several and its bars close to another width in each; else null. */
  readonly session: number | null;
  /** Kind of clamp; null where the rack has nothing that does. */
  readonly kind: string | null;
  readonly count: number;
  readonly openingMm: number;
  /** Numbers of the clamps, or empty. */
  readonly numbers: readonly number[];
}

/** Spares that stand open unassigned: one always turns out wrong. */
const SPARES = 2;

/** Clamps to open beforehand, in the order in which they are taken up. */
export function rowOpenings(row: RowPlan): Opening[] {
  const { clampSet, cauls, stages } = row;
  const inOrder = [...clampSet.clamps].sort((a, b) => a.tightenAs - b.tightenAs);
  const lots = [...new Set(inOrder.map(({ lot }) => lot.id))];
  const across = stages.flatMap((stage) =>
    lots.map((id): Opening => {
      const own = inOrder.filter(({ lot }) => lot.id === id);
      return {
        use: 'across',
        session: stages.length > 1 ? stage.session : null,
        kind: own[0]?.lot.kind ?? null,
        count: own.length,
        openingMm: openingOf(row, stage),
        numbers: own.map(({ number }) => number),
      };
    }),
  );
  // Spares are opened for the widest.
  const first = across.length === 0 ? undefined : leastBy(across, ({ openingMm }) => -openingMm);
  return [
    ...(cauls === null
      ? []
      : [
          {
            use: 'cauls' as const,
            session: null,
            kind: cauls.endClamps.lot?.kind ?? null,
            count: cauls.endClamps.count,
            openingMm: cauls.endClamps.openingMm,
            numbers: [],
          },
        ]),
    ...across,
    ...(first === undefined
      ? []
      : [{ ...first, use: 'spare' as const, session: null, count: SPARES, numbers: [] }]),
  ];
}

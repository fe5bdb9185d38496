import { type Finding, finding } from '../../findings';
import { noSecondSqueeze, secondSqueezeOf } from '../order/moments';
import type { Plan } from '../plan';
import type { RowPlan } from './row-plan';

/**
 * How the clamps of a panel are brought on, step by step, as it is said at the bench: snug cauls, light and full passes from
 * the centre out or from the worst gap, a relief so that a sprung line can slide, and what comes after.
 */
export function rowTightening(plan: Plan): Finding[] {
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
    ...againFindings(plan),
  ];
}

/** The second squeeze where there is to be one, or that there is no room for it. */
function againFindings(plan: Plan): Finding[] {
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
export function rowOpenings({ clampSet, cauls }: RowPlan): Opening[] {
  const inOrder = [...clampSet.clamps].sort((a, b) => a.tightenAs - b.tightenAs);
  const lots = [...new Set(inOrder.map(({ lot }) => lot.id))];
  const across = lots.map((id): Opening => {
    const own = inOrder.filter(({ lot }) => lot.id === id);
    return {
      use: 'across',
      kind: own[0]?.lot.kind ?? null,
      count: own.length,
      openingMm: own[0]?.openingNeededMm ?? 0,
      numbers: own.map(({ number }) => number),
    };
  });
  const [first] = across;
  return [
    ...(cauls === null
      ? []
      : [
          {
            use: 'cauls' as const,
            kind: cauls.endClamps.lot?.kind ?? null,
            count: cauls.endClamps.count,
            openingMm: cauls.endClamps.openingMm,
            numbers: [],
          },
        ]),
    ...across,
    ...(first === undefined ? [] : [{ ...first, use: 'spare' as const, count: SPARES, numbers: [] }]),
  ];
}

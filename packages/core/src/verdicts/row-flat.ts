import { type Finding, finding, type PlanFinding } from '../findings';
import { STRUT_SHARE } from '../mechanics';
import { clampBowMm, FLUSH_MM } from '../plan/row/clamp-bow';
import { moistureCupMm } from '../plan/row/moisture-cup';
import type { RowInPlan } from '../plan/row/row-plan';
import { cornersOfRow, STAYS_CLAMPED_DOWN } from '../plan/squeeze/corners-down';
import { CLOSE_SHARE, type RowPart } from './row-parts';
import { barShareOf, type Verdict, type VerdictState } from './verdict';

/** Share of a measured board bow or twist that stays in the panel after curing under cauls [judgement]. */
const STAYS_UNDER_CAULS = 0.3;
/**
 * Flat: how far the finished panel strays from a plane.
 *
 * Sum of the unfavourable ends: bow from an off-centre pull, steps between faces, cup as the moisture moves
 * between today's and the year's extremes, and the boards' own bow and twist as read at the dry fit. A free panel
 * past its strut load fails whatever the sum.
 */
export function judgeRowFlat(parts: RowInPlan): Verdict {
  const { build, strut, heldBy } = parts;
  const limit = build.goals.flatMm;
  const found = flatParts(parts);
  const pops = heldBy.length === 0 && strut.loadShare >= STRUT_SHARE.refuse;
  const figure = pops ? null : found.reduce((total, part) => total + part.mm, 0);
  const largest = found.reduce((a, b) => (b.mm > a.mm ? b : a));
  const margin = figure === null ? -1 : 1 - figure / limit;
  const nearStrut = heldBy.length === 0 && strut.loadShare >= STRUT_SHARE.warn;
  const caulTrouble = parts.cauls?.findings[0];
  const tightened = margin < CLOSE_SHARE || nearStrut || caulTrouble !== undefined;
  const state: VerdictState = margin < 0 ? 'fails' : tightened ? 'close' : 'holds';
  return {
    aspect: 'flat',
    state,
    kind: 'fine-length',
    figure,
    against: limit,
    sense: 'at-most',
    barShare: barShareOf(nearStrut || caulTrouble !== undefined ? Math.min(margin, CLOSE_SHARE / 2) : margin),
    cause: causeOf(parts, { pops, nearStrut, largest, margin, caulTrouble }),
    workings: [
      finding('how-strut', 'informs', {
        lineLoadNPerMm: parts.clampSet.totalForceN / parts.panel.lengthMm,
        bucklingNPerMm: strut.bucklingNPerMm,
        loadShare: strut.loadShare,
        thicknessMm: parts.panel.thicknessMm,
        widthMm: parts.panel.widthMm,
        heldBy: heldBy.length === 0 ? 'nothing' : heldBy.join('+'),
      }),
      ...(parts.cauls === null
        ? []
        : [
            finding('how-cauls', 'informs', {
              loadNPerMm: parts.cauls.load.totalNPerMm,
              pullNPerMm: parts.cauls.load.fromPullNPerMm,
              strutNPerMm: parts.cauls.load.fromStrutNPerMm,
              boardsNPerMm:
                parts.cauls.load.fromCupNPerMm +
                parts.cauls.load.fromBowNPerMm +
                parts.cauls.load.fromWindNPerMm,
              crownMm: parts.cauls.crown.crownMm,
              haveMm: parts.cauls.caul.crownMm,
              endForceN: parts.cauls.crown.endForceN,
            }),
          ]),
      ...(cornersOfRow(parts) === null ? [] : [howLift(clampBowMm(parts))]),
      finding('how-flat', 'informs', Object.fromEntries(found.map(({ code, mm }) => [code, mm]))),
    ],
  };
}

const howLift = (freeMm: number): Finding =>
  finding('how-lift', 'informs', { freeMm, downMm: freeMm * STAYS_CLAMPED_DOWN });

function causeOf(
  { strut, heldBy }: RowInPlan,
  {
    pops,
    nearStrut,
    largest,
    margin,
    caulTrouble,
  }: {
    readonly pops: boolean;
    readonly nearStrut: boolean;
    readonly largest: RowPart;
    readonly margin: number;
    readonly caulTrouble: PlanFinding | undefined;
  },
): PlanFinding {
  const values = { loadShare: strut.loadShare, mm: largest.mm };
  if (pops) return finding('panel-pops', 'refuses', values);
  if (nearStrut) return finding('panel-near-popping', 'warns', values);
  if (margin < CLOSE_SHARE) return finding(largest.code, margin < 0 ? 'refuses' : 'warns', values);
  if (caulTrouble !== undefined) return caulTrouble;
  // A plan that only holds because something restrains it must say so, whatever the largest part is.
  if (strut.loadShare >= STRUT_SHARE.warn) {
    return finding('held-from-popping', 'informs', { ...values, heldBy: heldBy.join('+') });
  }
  return finding(largest.code, 'informs', values);
}

function flatParts(parts: RowInPlan): readonly [RowPart, ...RowPart[]] {
  const { build, heldBy, panel } = parts;
  const underCauls = heldBy.includes('cauls');
  const thicknesses = panel.boards.map(({ board }) => board.thicknessMm);
  const steps = Math.max(0, ...thicknesses.slice(1).map((t, i) => Math.abs(t - (thicknesses[i] ?? t)) / 2));
  const held = underCauls ? FLUSH_MM.cauls : heldBy.includes('bars') ? FLUSH_MM.bars : FLUSH_MM.byHand;
  const flush = parts.job.holding.flushed === true ? Math.min(held, FLUSH_MM.flushed) : held;
  const down = cornersOfRow(parts) !== null;
  const stays = Math.min(underCauls ? STAYS_UNDER_CAULS : 1, down ? STAYS_CLAMPED_DOWN : 1);
  const bowMm = clampBowMm(parts) * (down ? STAYS_CLAMPED_DOWN : 1);
  return [
    { code: 'faces-not-flush', mm: flush + steps },
    // A panel that pops has no bow to add: the verdict fails before the sum.
    ...(Number.isFinite(bowMm) ? [{ code: 'bow-from-pull' as const, mm: bowMm }] : []),
    { code: 'moisture-cup', mm: moistureCupMm(parts) },
    ...(underCauls && (parts.cauls?.leavesMm ?? 0) > 0
      ? [{ code: 'cauls-bend' as const, mm: parts.cauls?.leavesMm ?? 0 }]
      : []),
    { code: 'boards-bowed', mm: Math.abs(build.dryFit.bowMm ?? 0) * stays },
    { code: 'boards-twisted', mm: Math.abs(build.dryFit.twistMm ?? 0) * stays },
  ];
}

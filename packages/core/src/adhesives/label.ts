import { combineRanges, type Range, scaleRange, subtractRanges } from '../basics/range';
import type { Adhesive } from './adhesive';

/** A figure with two ends as labels print it; one end alone stands for both. */
export interface LabelSpan {
  readonly low: number | null;
  readonly high: number | null;
}

/** What a person has read off the label of a bottle; null where it says nothing. */
export interface Label {
  readonly openMin: LabelSpan;
  readonly totalMin: LabelSpan;
  readonly clampMin: LabelSpan;
  readonly minTempC: number | null;
  readonly pressureMPa: LabelSpan;
  readonly gapMm: number | null;
  readonly spreadGPerM2: number | null;
  readonly potLifeMin: number | null;
}

/** A label that says nothing. */
export const BLANK_LABEL: Label = {
  openMin: { low: null, high: null },
  totalMin: { low: null, high: null },
  clampMin: { low: null, high: null },
  minTempC: null,
  pressureMPa: { low: null, high: null },
  gapMm: null,
  spreadGPerM2: null,
  potLifeMin: null,
};

/** The range that a label gives, its ends in order; null where it gives none. */
function rangeOf({ low, high }: LabelSpan): Range | null {
  const [a, b] = [low ?? high, high ?? low];
  if (a === null || b === null) return null;
  return { low: Math.min(a, b), likely: (a + b) / 2, high: Math.max(a, b) };
}

/**
 * A family with the figures of the person's own label in place of the catalogue's; `labelled` names them. A label that
 * gives only an open time keeps the catalogue's closed time after it; one that gives a total leaves closed = total − open.
 */
export function withLabel(adhesive: Adhesive, label: Label | null): Adhesive {
  if (label === null) return adhesive;
  const [openMin, totalMin, clampMin] = [label.openMin, label.totalMin, label.clampMin].map(rangeOf);
  const pressure = rangeOf(label.pressureMPa);
  const given = {
    ...(openMin ? { openMin } : {}),
    ...(totalMin ? { totalMin } : {}),
    ...(clampMin ? { clampMin } : {}),
    ...(label.minTempC === null ? {} : { minTempC: label.minTempC }),
    ...(pressure === null
      ? {}
      : { pressure: { kind: 'fixed' as const, lowMPa: pressure.low, highMPa: pressure.high } }),
    ...(label.gapMm === null ? {} : { gapMm: label.gapMm }),
    ...(label.spreadGPerM2 === null ? {} : { spreadGPerM2: label.spreadGPerM2 }),
    ...(label.potLifeMin === null ? {} : { potLifeMin: label.potLifeMin }),
  };
  const labelled = Object.keys(given);
  if (labelled.length === 0) return adhesive;
  return { ...adhesive, ...given, ...windowsOf(adhesive, openMin ?? null, totalMin ?? null), labelled };
}

/** Open, closed and total that agree: an open time alone keeps the catalogue's closed time, a total sets it. */
function windowsOf(
  adhesive: Adhesive,
  open: Range | null,
  total: Range | null,
): Pick<Adhesive, 'closedMin' | 'totalMin'> {
  if (open === null && total === null) return { closedMin: adhesive.closedMin, totalMin: adhesive.totalMin };
  if (total !== null) {
    return { closedMin: null, totalMin: combineRanges(total, open ?? adhesive.openMin, Math.max) };
  }
  const closed = adhesive.closedMin ?? subtractRanges(adhesive.totalMin, adhesive.openMin);
  return { closedMin: closed, totalMin: combineRanges(open ?? adhesive.openMin, closed, (a, b) => a + b) };
}

/**
 * A family with its times to full pressure as long as they really turned out at one's own bench: all three by one factor, since it is
 * one film that dries. Source: the log, see learning.
 */
export const asLearned = (adhesive: Adhesive, factor: number): Adhesive =>
  factor === 1
    ? adhesive
    : {
        ...adhesive,
        openMin: scaleRange(adhesive.openMin, factor),
        closedMin: adhesive.closedMin === null ? null : scaleRange(adhesive.closedMin, factor),
        totalMin: scaleRange(adhesive.totalMin, factor),
      };

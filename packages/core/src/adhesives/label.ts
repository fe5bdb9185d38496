import type { Range } from '../range';
import type { Adhesive } from './adhesive';

/** What a person has read off the label of a bottle; null where it says nothing. */
export interface Label {
  readonly openMin: { readonly low: number; readonly high: number } | null;
  readonly totalMin: { readonly low: number; readonly high: number } | null;
  readonly clampMin: { readonly low: number; readonly high: number } | null;
  readonly minTempC: number | null;
  readonly pressureMPa: { readonly low: number; readonly high: number } | null;
  readonly gapMm: number | null;
  readonly spreadGPerM2: number | null;
  readonly potLifeMin: number | null;
}

/** A label that says nothing. */
export const BLANK_LABEL: Label = {
  openMin: null,
  totalMin: null,
  clampMin: null,
  minTempC: null,
  pressureMPa: null,
  gapMm: null,
  spreadGPerM2: null,
  potLifeMin: null,
};

const rangeOf = ({ low, high }: { readonly low: number; readonly high: number }): Range => ({
  low,
  likely: (low + high) / 2,
  high,
});

/**
 * A family with the figures of the person's own label in place of the catalogue's; `labelled` names them. Where the
 * label gives open and total but the catalogue a closed time, closed becomes total − open, so that the three agree.
 */
export function withLabel(adhesive: Adhesive, label: Label | null): Adhesive {
  if (label === null) return adhesive;
  const { openMin, totalMin, clampMin, pressureMPa } = label;
  const given = {
    ...(openMin === null ? {} : { openMin: rangeOf(openMin) }),
    ...(totalMin === null ? {} : { totalMin: rangeOf(totalMin) }),
    ...(clampMin === null ? {} : { clampMin: rangeOf(clampMin) }),
    ...(label.minTempC === null ? {} : { minTempC: label.minTempC }),
    ...(pressureMPa === null
      ? {}
      : { pressure: { kind: 'fixed' as const, lowMPa: pressureMPa.low, highMPa: pressureMPa.high } }),
    ...(label.gapMm === null ? {} : { gapMm: label.gapMm }),
    ...(label.spreadGPerM2 === null ? {} : { spreadGPerM2: label.spreadGPerM2 }),
    ...(label.potLifeMin === null ? {} : { potLifeMin: label.potLifeMin }),
  };
  const labelled = Object.keys(given);
  if (labelled.length === 0) return adhesive;
  const closedMin = openMin === null && totalMin === null ? adhesive.closedMin : null;
  const merged = { ...adhesive, ...given, closedMin, labelled };
  return { ...merged, totalMin: notShorterThanOpen(merged.openMin, merged.totalMin) };
}

/** A label's open time may outrun the catalogue's total: the total then follows. */
function notShorterThanOpen(open: Range, total: Range): Range {
  return {
    low: Math.max(total.low, open.low),
    likely: Math.max(total.likely, open.likely),
    high: Math.max(total.high, open.high),
  };
}

import { findClampKind, lotForceN } from '../clamps';
import type { RackLot, ShopDocument } from '../formats';
import { robustMean } from './statistics';

/** What a lot of clamps was measured to pull, against what plans go by. */
export interface OwnPull {
  readonly lot: RackLot;
  /** Typical of its kind, and what plans go by now, N. */
  readonly typicalN: number;
  readonly nowN: number;
  /** Mean of what was measured, N, and the ends of its 95 % interval. */
  readonly forceN: number;
  readonly lowN: number;
  readonly highN: number;
  /** Mean pull that one turn adds, N; null for clamps without a handle to turn. */
  readonly perTurnN: number | null;
  /** Each time it was measured, the oldest first, with how much it counts. */
  readonly times: readonly (Measured & { readonly weight: number })[];
  /** Plans go by it. */
  readonly inUse: boolean;
}

/** One time that a lot was measured. */
export type Measured = NonNullable<RackLot['measured']>[number];

/** How far two pulls of one hand lie apart from day to day, over their mean, and as how many times of measuring that counts [judgement]. */
const HAND_CV = 0.1;
const HAND_COUNTS = 3;
const WIDE = 1.96;

/**
 * A clamp's pull out of the times it was measured: their mean, by Tukey's biweight, so that one misread scale does not carry it. How much
 * hands differ from day to day is taken as `HAND_CV` until enough times tell; each line's own error comes on top.
 * @returns null where nobody has measured.
 */
export function ownPull(lot: RackLot): OwnPull | null {
  const measured = lot.measured ?? [];
  const typicalN = findClampKind(lot.kind).forceN;
  if (measured.length === 0 || typicalN === null) return null;
  const { mean, weights } = robustMean(
    measured.map(({ forceN }) => forceN),
    HAND_CV * typicalN,
  );
  const times = measured.map((time, i) => ({ ...time, weight: weights[i] ?? 0 }));
  const weighed = (of: (time: Measured) => number) =>
    times.reduce((sum, time) => sum + time.weight * of(time), 0);
  const counts = weighed(() => 1);
  const apart = weighed(({ forceN }) => (forceN - mean) ** 2);
  const handVar = (HAND_COUNTS * (HAND_CV * mean) ** 2 + apart) / (HAND_COUNTS + Math.max(0, counts - 1));
  const lineVar = weighed(({ errorN }) => (errorN ?? 0) ** 2) / counts;
  const errorN = Math.sqrt((handVar + lineVar) / counts);
  const turned = weighed(({ perTurnN }) => (perTurnN === null ? 0 : 1));
  const forceN = Math.round(mean);
  const nowN = lotForceN(lot);
  return {
    lot,
    typicalN,
    nowN,
    forceN,
    lowN: Math.max(0, mean - WIDE * errorN),
    highN: mean + WIDE * errorN,
    perTurnN: turned === 0 ? null : Math.round(weighed(({ perTurnN }) => perTurnN ?? 0) / turned),
    times,
    inUse: nowN === forceN,
  };
}

/** A lot that goes by what it was measured to pull. */
export function asMeasured(lot: RackLot): RackLot {
  const own = ownPull(lot);
  if (own === null) return lot;
  return { ...lot, forceN: own.forceN, ...(own.perTurnN === null ? {} : { perTurnN: own.perTurnN }) };
}

/** Most times that a lot keeps; the oldest go first. */
const MOST_TIMES = 12;

/** A lot measured once more, which plans go by from then on. */
export const measuredAgain = (lot: RackLot, time: Measured): RackLot =>
  asMeasured({ ...lot, measured: [...(lot.measured ?? []), time].slice(-MOST_TIMES) });

/** A lot of which nobody has measured anything: plans go by what is typical of its kind. */
export function unmeasured(lot: RackLot): RackLot {
  const rest = { ...lot, forceN: null };
  delete rest.measured;
  delete rest.perTurnN;
  return rest;
}

/** What was measured of each lot on the rack. */
export const ownPulls = ({ rack }: Pick<ShopDocument, 'rack'>): OwnPull[] =>
  rack.flatMap((lot) => ownPull(lot) ?? []);

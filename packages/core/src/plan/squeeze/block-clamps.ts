import type { ClampsOnBlocks } from '../../assembly';
import { finding, type PlanFinding } from '../../findings';
import type { RackLot } from '../../formats';
import type { PlanParts } from '../plan';
import type { RowInPlan } from '../row/row-plan';
import { leftOnRack, type Used } from './left-on-rack';

/** Clamps that hold the blocks of a plan where they are, put on before the first bead. */
export interface BlockClamps {
  /** Null where the rack has none left that open so far and pull so hard. */
  readonly lot: RackLot | null;
  readonly count: number;
  /** Pull that each needs, so that its block stays, N. */
  readonly forceN: number;
  readonly openingMm: number;
  /** Where they and the jaws that press cannot both stand. */
  readonly fouls: { readonly apartMm: number; readonly neededMm: number } | null;
}

/** What presses in a plan of boards side by side, and what is left for its blocks. */
type OfRow = Pick<RowInPlan, 'shop' | 'panel' | 'clampSet'>;
/** The same of any plan. */
type OfPlan = Pick<PlanParts, 'shop' | 'facts' | 'pulls' | 'row'>;

/** What holds the blocks of a plan; null where they need no clamps of their own. */
export const blockClampsOf = ({ shop, facts, pulls, row }: OfPlan): BlockClamps | null =>
  row === null
    ? blockClamps(
        facts.assembly.blockClamps,
        shop,
        pulls.flatMap(({ taken }) => taken),
        most(pulls),
      )
    : blockClampsOfRow({ ...row, shop });

const most = (pulls: PlanParts['pulls']) => Math.max(0, ...pulls.map(({ reachN }) => reachN));

export const blockClampsOfRow = ({ shop, panel, clampSet }: OfRow): BlockClamps | null =>
  blockClamps(panel.blockClamps, shop, pressing(clampSet), clampSet.totalForceN);

const pressing = ({ clamps }: OfRow['clampSet']): Used[] => clamps.map(({ lot }) => ({ lot, count: 1 }));

function blockClamps(
  wanted: ClampsOnBlocks | undefined,
  shop: OfRow['shop'],
  used: readonly Used[],
  pullN: number,
): BlockClamps | null {
  if (wanted === undefined) return null;
  const { openingMm, fromJawMm } = wanted;
  const count = wanted.places.length;
  const forceN = wanted.forceN + wanted.shareOfPull * pullN;
  const lot = leftOnRack(shop, used, { count, openingMm, forceN });
  return { lot, count, forceN, openingMm, fouls: foulOf(fromJawMm, lot, used) };
}

/** Half of either pad lies between them at the closest. */
function foulOf(fromJawMm: number | null, lot: RackLot | null, used: readonly Used[]): BlockClamps['fouls'] {
  if (fromJawMm === null || lot === null) return null;
  const widest = Math.max(0, ...used.map((each) => each.lot.padWidthMm));
  const neededMm = (lot.padWidthMm + widest) / 2;
  return fromJawMm < neededMm ? { apartMm: fromJawMm, neededMm } : null;
}

/** Clamps of a plan that is no row that are at work before anything is held down, by lot. */
export const usedInPulls = (plan: Omit<OfPlan, 'row'>): Used[] => [
  ...plan.pulls.flatMap(({ taken }) => taken),
  ...onBlocks(blockClampsOf({ ...plan, row: null })),
];

/** The same of boards side by side. */
export const usedInRow = (row: OfRow): Used[] => [
  ...pressing(row.clampSet),
  ...onBlocks(blockClampsOfRow(row)),
];

const onBlocks = (held: BlockClamps | null): Used[] =>
  held === null || held.lot === null ? [] : [{ lot: held.lot, count: held.count }];

/** What is wrong with the clamps on the blocks; undefined where they hold them, or are not needed. */
export function blockClampTrouble(held: BlockClamps | null): PlanFinding | undefined {
  if (held === null) return undefined;
  const { lot, count, openingMm, forceN, fouls } = held;
  if (lot === null) return finding('blocks-not-held', 'warns', { count, openingMm, forceN });
  return fouls === null ? undefined : finding('block-clamp-fouls', 'warns', fouls);
}

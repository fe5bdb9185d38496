import { lotForceN } from '../../clamps';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { PACE } from '../../sequence';
import type { PlanParts } from '../plan';
import type { RowInPlan } from '../row/row-plan';
import { usedInPulls, usedInRow } from './block-clamps';
import { leftOnRack, type Used } from './left-on-rack';

/** What holds something flat down to a base while it cures, a clamp at each corner. */
export interface CornersDown {
  readonly lot: RackLot;
  readonly count: number;
  /** Pull of each: enough to lay a corner down, no more. */
  readonly forceN: number;
  readonly openingMm: number;
}

/** One at each corner; opposite ones in turn. */
export const CORNERS = 4;
/** A corner’s clamp bites so far in from it, mm [judgement]. */
export const CORNER_INSET_MM = 40;
/** A flat base and a pad, beside the work itself, mm [judgement]. */
const BASE_MM = 60;
/** What lays a corner down without bending the base, N [judgement]. */
const DOWN_N = 400;

/** Share of a twist, a bow or the lift from a low pull that stays once it has cured clamped down to a flat base [judgement]. */
export const STAYS_CLAMPED_DOWN = 0.3;

interface Asked {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  readonly thicknessMm: number;
  /** Clamps that are at work already, by lot. */
  readonly used: readonly Used[];
}

/** Clamps that are left on the rack for the corners; null where nobody asks for them, or the rack has none left that open so far. */
function cornersDown({ build, shop, thicknessMm, used }: Asked): CornersDown | null {
  if (build.squeeze?.clampedDown !== true) return null;
  const openingMm = thicknessMm + BASE_MM;
  const lot = leftOnRack(shop, used, { count: CORNERS, openingMm, forceN: 0 });
  return lot === null ? null : { lot, count: CORNERS, forceN: Math.min(DOWN_N, lotForceN(lot)), openingMm };
}

/** The corner clamps of a row, which lie over its thickest board. */
export const cornersOfRow = ({
  build,
  shop,
  panel,
  clampSet,
}: Pick<RowInPlan, 'build' | 'shop' | 'panel' | 'clampSet'>): CornersDown | null =>
  cornersDown({
    build,
    shop,
    thicknessMm: Math.max(...panel.boards.map(({ board }) => board.thicknessMm)),
    used: usedInRow({ shop, panel, clampSet }),
  });

/** The corner clamps of a plan of any kind. */
export const cornersOf = ({
  build,
  shop,
  facts,
  row,
  pulls,
}: Pick<PlanParts, 'build' | 'shop' | 'facts' | 'row' | 'pulls'>): CornersDown | null =>
  row === null
    ? cornersDown({
        build,
        shop,
        thicknessMm: facts.toMm[2] - facts.fromMm[2],
        used: usedInPulls({ shop, facts, pulls }),
      })
    : cornersOfRow({ ...row, build, shop });

/** Minutes to put them on and draw them, for one pair of hands at the built-in pace. */
export const CORNERS_MIN = CORNERS * (PACE.setClampMin + PACE.tightenClampMin);

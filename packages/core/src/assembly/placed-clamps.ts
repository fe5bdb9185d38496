import {
  type Clash,
  clashesOf,
  findClampKind,
  lotReachMm,
  lotForceN,
  openingFit,
  type OpeningFit,
  tighteningOrder,
} from '../clamps';
import type { PlacedClamp, RackLot, RowSection, ShopDocument } from '../formats';
import type { Panel } from './panel';
import { paddingOf, panelOpeningMm } from './panel-lots';

/** A placed clamp with what the rack says of it and what the panel asks of it. */
export interface ClampOnPanel {
  readonly placed: PlacedClamp;
  /** 1, 2, 3 … from the first end. */
  readonly number: number;
  readonly lot: RackLot;
  readonly kindName: string;
  /** Force it gives: what it can, times how hard it is pulled; nothing when it is too short to go on. */
  readonly forceN: number;
  readonly forceSource: 'measured' | 'typical';
  readonly openingNeededMm: number;
  readonly fit: OpeningFit;
  /** Pressure of its jaw on the wood under it. */
  readonly padPressureMPa: number;
  /** Lowest crushing limit under its two jaws. */
  readonly crushLimitMPa: number;
  /** Place in the tightening order, starting at 1: from the centre outward, or from the worst gap. */
  readonly tightenAs: number;
  /** Clamped edge at which its handle stands. */
  readonly handle: 'first' | 'last';
  /** Jaws reach at least to mid-thickness. */
  readonly reaches: boolean;
}

/** What there is to know of a row to put its clamps on. */
interface RowOfClamps extends Pick<RowSection, 'edge' | 'holding' | 'pullPct' | 'firstClamp'> {
  readonly clamps: readonly PlacedClamp[];
}

/** Clamps of a build, sorted along the panel, and what is wrong with the set as a whole. */
export interface ClampSet {
  readonly clamps: readonly ClampOnPanel[];
  /** Placed clamps whose lot is no longer on the rack. */
  readonly missingLots: readonly string[];
  /** Lots of which more are placed than exist. */
  readonly overdrawn: readonly { readonly lot: RackLot; readonly placed: number }[];
  readonly totalForceN: number;
  /** Jaws and handles in each other's way. */
  readonly clashes: readonly Clash[];
}

/** A block under a jaw spreads it this much wider than the jaw, each way, times its thickness (45°). */
const BLOCK_SPREAD = 1;

/**
 * Looks every placed clamp up on the rack and measures it against the panel.
 * @param gapsMm what was read at the dry fit, which may say where tightening begins.
 */
export function clampsOnPanel(
  row: RowOfClamps,
  shop: ShopDocument,
  panel: Panel,
  gapsMm: readonly number[] = [],
): ClampSet {
  const lots = new Map(shop.rack.map((lot) => [lot.id, lot]));
  const sorted = [...row.clamps].sort((a, b) => a.xMm - b.xMm);
  const known = sorted.filter((placed) => lots.has(placed.rackId));
  const order = tighteningOrder(
    known.map((placed) => placed.xMm),
    panel.lengthMm,
    gapsMm,
    row.firstClamp,
  );
  const clamps = known.map((placed, index) =>
    measure(placed, lots.get(placed.rackId) as RackLot, index, order.indexOf(index) + 1, row, panel),
  );
  return {
    clamps,
    missingLots: sorted.filter((placed) => !lots.has(placed.rackId)).map((placed) => placed.id),
    overdrawn: shop.rack.flatMap((lot) => {
      const placed = known.filter((clamp) => clamp.rackId === lot.id).length;
      return placed > lot.count ? [{ lot, placed }] : [];
    }),
    totalForceN: clamps.reduce((total, clamp) => total + clamp.forceN, 0),
    clashes: clashesOf(
      clamps.map(({ number, placed, lot, handle }) => ({
        number,
        xMm: placed.xMm,
        handle,
        padMm: lot.padWidthMm,
        handleMm: findClampKind(lot.kind).handleMm,
      })),
    ),
  };
}

function measure(
  placed: PlacedClamp,
  lot: RackLot,
  index: number,
  tightenAs: number,
  row: RowOfClamps,
  panel: Panel,
): ClampOnPanel {
  const kind = findClampKind(lot.kind, 'rack.kind');
  const needed = panelOpeningMm(panel, row);
  const fit = openingFit(lot.maxOpeningMm, needed);
  const givesN = lotForceN(lot);
  const forceN = fit === 'too-short' ? 0 : (Math.min(givesN, placed.mostN ?? givesN) * row.pullPct) / 100;
  const bearing = bearingMm2(lot, row, panel);
  return {
    placed,
    number: index + 1,
    lot,
    kindName: kind.name,
    forceN,
    forceSource: lot.forceN === null ? 'typical' : 'measured',
    openingNeededMm: needed,
    fit,
    padPressureMPa: forceN / bearing,
    crushLimitMPa: Math.min(...panel.outer.map(({ wood }) => wood.compPerpMPa)),
    tightenAs,
    handle: placed.handle ?? 'last',
    reaches: lotReachMm(lot) >= panel.thicknessMm / 2 + row.holding.barClearanceMm,
  };
}

/** Length of edge that a jaw presses, through its block where there is one, mm; less where it nears an end. */
export function padOnEdgeMm(lot: Pick<RackLot, 'padWidthMm'>, { edge }: Pick<RowSection, 'edge'>): number {
  return lot.padWidthMm + (edge.kind === 'blocks' ? 2 * BLOCK_SPREAD * edge.thicknessMm : 0);
}

/** Wood that bears one jaw, through the packing where there is some, mm²: the least of any edge. */
export function bearingMm2(lot: RackLot, row: Pick<RowSection, 'edge'>, panel: Panel): number {
  const spreadMm = 2 * BLOCK_SPREAD * paddingOf(row);
  return Math.min(
    ...panel.outer.map(
      ({ board }) => (lot.padWidthMm + spreadMm) * Math.min(lot.padHeightMm + spreadMm, board.thicknessMm),
    ),
  );
}

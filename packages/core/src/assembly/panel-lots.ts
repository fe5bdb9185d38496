import { findClampKind, openingNeededMm } from '../clamps';
import type { RackLot, RowSection, ShopDocument } from '../formats';
import type { Panel } from './panel';
import { LIMITS } from '../basics/limits';

/** Packing between each jaw and the edge, mm. */
export const paddingOf = ({ edge }: Pick<RowSection, 'edge'>): number =>
  edge.kind === 'bare' ? 0 : edge.thicknessMm;

/** How far clamps must open to span a panel with its packing and room to get them on, mm. */
export const panelOpeningMm = ({ widthMm }: Pick<Panel, 'widthMm'>, row: Pick<RowSection, 'edge'>): number =>
  openingNeededMm(widthMm, paddingOf(row));

/** Lots of the rack that span panels, long enough or not. */
export const panelLots = (shop: ShopDocument): RackLot[] =>
  shop.rack.filter((lot) => findClampKind(lot.kind).spansPanels && lot.count > 0);

/** Those of them that are long enough for a panel. */
export function longEnoughLots(panel: Panel, row: Pick<RowSection, 'edge'>, shop: ShopDocument): RackLot[] {
  const neededMm = panelOpeningMm(panel, row);
  return panelLots(shop).filter(({ maxOpeningMm }) => maxOpeningMm >= neededMm);
}

/** Clamps of a kind as they usually are, that open far enough: what could be borrowed. */
export function typicalLot(kindId: string, openingMm: number, count: number): RackLot {
  const { padWidthMm, padHeightMm } = findClampKind(kindId);
  const { min, max } = LIMITS.clampOpeningMm;
  return {
    id: 'borrowed',
    kind: kindId,
    count,
    maxOpeningMm: Math.min(max, Math.max(min, openingMm)),
    forceN: null,
    padWidthMm,
    padHeightMm,
  };
}

import type { Climate, ShopDocument } from '../formats';
import { balanceDays, type GluingTraits, inBalancePct } from '../materials';

/** A running mean: moisture content of wood that comes to balance within so many days, %. */
export type AirMean = NonNullable<ShopDocument['airMeans']>[number];

/**
 * Moisture content of wood that has lain in a shop's usual air, %: the mean over the hours that are noted of its day, else in balance
 * with the air that is noted for now.
 */
export function usualMoisturePct({ hours, climate }: Pick<ShopDocument, 'hours' | 'climate'>): number {
  const airs: readonly Climate[] = hours.length > 0 ? hours : [climate];
  return airs.reduce((sum, air) => sum + inBalancePct(air), 0) / airs.length;
}

/**
 * Moisture content of wood that nobody has metered, %: the running mean of the air over its own time constant, between the means that
 * are known by the logarithm of their days; without any, the shop's usual air. What the air does this hour moves it next to nothing.
 */
export function storedMoisturePct(
  thicknessMm: number,
  { openPored }: Pick<GluingTraits, 'openPored'>,
  shop: Pick<ShopDocument, 'hours' | 'climate' | 'airMeans'>,
): number {
  const means = [...(shop.airMeans ?? [])].sort((a, b) => a.days - b.days);
  const days = balanceDays(thicknessMm, openPored);
  const [above, below] = [
    means.find((mean) => mean.days >= days),
    means.findLast((mean) => mean.days <= days),
  ];
  if (above === undefined || below === undefined) return (above ?? below)?.mcPct ?? usualMoisturePct(shop);
  if (above.days === below.days) return above.mcPct;
  const share = Math.log(days / below.days) / Math.log(above.days / below.days);
  return below.mcPct + share * (above.mcPct - below.mcPct);
}

import { storedMoisturePct } from '@lean-clasp/core/air';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { type GluingTraits } from '@lean-clasp/core/materials';

/** A board as thick as most, mm: what the shop's wood is told for. */
export const USUAL_MM = 20;

/** What stands under an empty field for metered moisture: what the plan reckons instead. */
export const unmeteredHint = (thicknessMm: number, traits: GluingTraits, shop: ShopDocument): string =>
  `empty: ${storedMoisturePct(thicknessMm, traits, shop).toFixed(1)} %, by the air of weeks`;

import type { ShopDocument } from '../formats';

/** An empty-handed start for a real shop: a few common clamps that the person replaces by their own. */
export const STARTER_SHOP: ShopDocument = {
  format: 'lean-clasp/shop',
  version: 1,
  name: 'My shop',
  climate: { tempC: 20, rhPct: 50 },
  hours: [],
  crew: ['You'],
  rack: [
    {
      id: 'bars',
      kind: 'parallel-jaw',
      count: 6,
      maxOpeningMm: 1000,
      forceN: null,
      padWidthMm: 45,
      padHeightMm: 95,
    },
  ],
  caulPairs: 2,
  bottles: [{ id: 'glue1', adhesive: 'pva-interior', openedOn: null, remainingMl: 500 }],
  paceFactor: 1,
};

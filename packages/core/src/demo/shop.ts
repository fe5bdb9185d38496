import type { ShopDocument } from '../formats';

/** The made-up two-person shop that builds the Lantern Wagon. */
export const DEMO_SHOP: ShopDocument = {
  format: 'lean-clasp/shop',
  version: 1,
  name: 'The Wagon Shed',
  climate: { tempC: 18, rhPct: 45 },
  hours: [
    { hour: 8, tempC: 9, rhPct: 68 },
    { hour: 11, tempC: 15, rhPct: 55 },
    { hour: 14, tempC: 21, rhPct: 44 },
    { hour: 17, tempC: 18, rhPct: 47 },
  ],
  crew: ['Maud', 'Osric'],
  rack: [
    {
      id: 'tbar-long',
      kind: 't-bar',
      count: 6,
      maxOpeningMm: 1200,
      forceN: 5400,
      padWidthMm: 40,
      padHeightMm: 40,
    },
    { id: 'pipe', kind: 'pipe', count: 4, maxOpeningMm: 900, forceN: 4800, padWidthMm: 45, padHeightMm: 50 },
    {
      id: 'pj-600',
      kind: 'parallel-jaw',
      count: 8,
      maxOpeningMm: 600,
      forceN: null,
      padWidthMm: 45,
      padHeightMm: 95,
    },
    {
      id: 'f-800',
      kind: 'f-heavy',
      count: 6,
      maxOpeningMm: 800,
      forceN: null,
      padWidthMm: 38,
      padHeightMm: 38,
    },
    {
      id: 'trigger',
      kind: 'trigger',
      count: 4,
      maxOpeningMm: 760,
      forceN: null,
      padWidthMm: 40,
      padHeightMm: 60,
    },
  ],
  caulPairs: 3,
  bottles: [
    { id: 'pva', adhesive: 'pva-interior', openedOn: '2026-05-11', remainingMl: 380 },
    { id: 'ext', adhesive: 'pva-exterior', openedOn: '2026-09-02', remainingMl: 620 },
    { id: 'epoxy', adhesive: 'epoxy-slow', openedOn: null, remainingMl: 450 },
  ],
  paceFactor: 1.1,
};

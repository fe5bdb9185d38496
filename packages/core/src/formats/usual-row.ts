import type { RowSection } from './row';

/** A row of which nothing has been said: bars on both faces, stops at the ends, clamps worked out from the rack. */
export const USUAL_ROW: RowSection = {
  clamps: [],
  pullPct: 100,
  edge: { kind: 'bare', thicknessMm: 20 },
  holding: { barsTouch: true, barClearanceMm: 0.3, caulPairs: 0, endStops: true, heldFlatLater: false },
  trimMm: 0,
};

import { findClampKind } from '@lean-clasp/core/clamps';
import type { RackLot } from '@lean-clasp/core/formats';
import type { Format } from './format';

/** A lot on the rack in a few words. */
export const lotWords = (lot: RackLot, f: Format): string =>
  `${findClampKind(lot.kind).name}, ${f.length(lot.maxOpeningMm)} (${lot.count})`;

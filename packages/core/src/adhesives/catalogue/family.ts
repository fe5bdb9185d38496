import type { Range } from '../../basics/range';
import type { Adhesive, Aptitudes, PressureWanted } from '../adhesive';

/** Where the figures of the catalogue come from. */
const LABEL =
  'typical of makers’ published technical sheets for this generic family [label]; the label in hand wins';

/** Low, likely and high. */
export const range = (low: number, likely: number, high: number): Range => ({ low, likely, high });

/** By the density of the wood. */
export const BY_DENSITY: PressureWanted = { kind: 'by-density' };
/** The same for all woods, MPa. */
export const fixed = (lowMPa: number, highMPa: number): PressureWanted => ({
  kind: 'fixed',
  lowMPa,
  highMPa,
});

/** Behaviour of most white glues; families name what differs. */
export const USUAL: Aptitudes = {
  ironOn: false,
  veneer: 'fair',
  oilyWood: 'fair',
  endGrain: 'fair',
  rebondsToItself: false,
  finish: 'spots',
};

/** A family of the catalogue as it is before anybody's label. */
export function family(entry: Omit<Adhesive, 'source' | 'labelled'>): Adhesive {
  return { ...entry, source: LABEL, labelled: [] };
}

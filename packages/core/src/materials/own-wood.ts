import { InputError } from '../basics/checks';
import type { Species } from './species';
import { SPECIES_TABLE } from './species-table';

/** A wood of the person's own: what a scale, a rule and a year of watching tell of it, and a wood of the catalogue that it resembles. */
export interface OwnWood {
  readonly id: string;
  readonly name: string;
  /** Id of a wood of the catalogue; elastic ratios and whatever is not told are taken from it. */
  readonly like: string;
  /** Mass over volume as it lies in a dry shop, at about 12 % moisture content, kg/m³. */
  readonly densityKgPerM3: number;
  /** Radial and tangential change per per cent moisture; null: as the wood it is like. */
  readonly cR: number | null;
  readonly cT: number | null;
  readonly openPored: boolean;
  readonly resinous: boolean;
  readonly oily: boolean;
}

/** Weight of a wood at 12 % moisture content over that of the same volume of water: its specific gravity and the water in it. */
export const AT_TWELVE_PCT = 1.12;

/**
 * Powers of specific gravity by which a property grows over woods at 12 % moisture content.
 * Source: USDA Forest Products Laboratory, Wood Handbook, table 5-11a (recalled); stiffness and bearing across the grain of one
 * wood scatter by 20 to 30 % about such a line.
 */
const POWERS = {
  hardwood: { stiffness: 0.7, bearing: 2.09, shear: 1.13 },
  softwood: { stiffness: 0.84, bearing: 1.57, shear: 0.85 },
  // Sheets are pressed to what they are: taken to go with the weight [judgement].
  sheet: { stiffness: 1, bearing: 1, shear: 1 },
} as const;

/**
 * Properties of a wood by what is known of it: those of the wood it is like, taken up or down by weight.
 * @throws InputError `unknown-id` where the catalogue has no wood that it is said to be like.
 */
export function speciesOfOwn(own: OwnWood, field = 'woods'): Species {
  const like = SPECIES_TABLE.find(({ id }) => id === own.like);
  if (like === undefined) {
    throw new InputError(
      'unknown-id',
      `${field}.like`,
      `“${own.name}” is said to be like "${own.like}", which the catalogue does not hold.`,
      `one of ${SPECIES_TABLE.map(({ id }) => id).join(', ')}`,
    );
  }
  const { properties } = like;
  const sg = own.densityKgPerM3 / (1000 * AT_TWELVE_PCT);
  const heavier = sg / properties.sg;
  const powers = POWERS[like.kind];
  const stiffer = heavier ** powers.stiffness;
  return {
    ...like,
    id: own.id,
    name: own.name,
    properties: {
      ...properties,
      eLMPa: properties.eLMPa * stiffer,
      eRMPa: properties.eRMPa * stiffer,
      eTMPa: properties.eTMPa * stiffer,
      gLRMPa: properties.gLRMPa * stiffer,
      gLTMPa: properties.gLTMPa * stiffer,
      compPerpMPa: properties.compPerpMPa * heavier ** powers.bearing,
      sg,
      cR: own.cR ?? properties.cR,
      cT: own.cT ?? properties.cT,
    },
    shearParallelMPa: like.shearParallelMPa * heavier ** powers.shear,
    traits: { openPored: own.openPored, resinous: own.resinous, oily: own.oily },
    estimated: ['stiffness and strength (from its weight and the wood it is like)'],
    source: `own figures, else as ${like.name.toLowerCase()}`,
  };
}

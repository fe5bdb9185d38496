/**
 * Elastic, strength and movement properties of a wood at 12 % moisture content.
 * L along the grain, R radial, T tangential. Also accepted inline wherever a species id is.
 */
export interface WoodProperties {
  readonly eLMPa: number;
  readonly eRMPa: number;
  readonly eTMPa: number;
  readonly gLRMPa: number;
  readonly gLTMPa: number;
  readonly nuLR: number;
  readonly nuLT: number;
  /** Compression perpendicular to grain, fibre stress at proportional limit. */
  readonly compPerpMPa: number;
  /** Specific gravity, oven-dry mass over volume at 12 % moisture content. */
  readonly sg: number;
  /** Radial dimensional change per per cent moisture, valid from 6 to 14 % MC. */
  readonly cR: number;
  /** Tangential dimensional change per per cent moisture, valid from 6 to 14 % MC. */
  readonly cT: number;
}

/** Traits of a wood that change how it takes glue. */
export interface GluingTraits {
  readonly openPored: boolean;
  readonly resinous: boolean;
  readonly oily: boolean;
}

/** A wood without anything special about it. */
export const PLAIN_TRAITS: GluingTraits = Object.freeze({ openPored: false, resinous: false, oily: false });

/** Traits of woods that meet in one joint: what any of them has counts. */
export function sharedTraits(woods: readonly { readonly traits: GluingTraits }[]): GluingTraits {
  return {
    openPored: woods.some(({ traits }) => traits.openPored),
    resinous: woods.some(({ traits }) => traits.resinous),
    oily: woods.some(({ traits }) => traits.oily),
  };
}

/** A catalogue entry: a wood or sheet material under its shop name. */
export interface Species {
  readonly id: string;
  readonly name: string;
  readonly kind: 'hardwood' | 'softwood' | 'sheet';
  readonly properties: WoodProperties;
  readonly shearParallelMPa: number;
  readonly traits: GluingTraits;
  /** Groups of values that are our estimate rather than a tabulated figure. */
  readonly estimated: readonly string[];
  readonly source: string;
}

/** A species by catalogue id, or its properties given in full. */
export type SpeciesInput = string | WoodProperties;

/** How the board was sawn: which direction runs across its width. Rift is taken as the mean of the two. */
export type Cut = 'flat' | 'quarter' | 'rift';

/** Young's modulus across the width of a board in MPa, by the way it was sawn. */
export function modulusAcross(wood: WoodProperties, cut: Cut): number {
  return byCut(cut, wood.eTMPa, wood.eRMPa);
}

/** In-plane shear modulus of a board's face in MPa, by the way it was sawn. */
export function shearModulusInFace(wood: WoodProperties, cut: Cut): number {
  return byCut(cut, wood.gLTMPa, wood.gLRMPa);
}

/** Major Poisson's ratio in a board's face, by the way it was sawn. */
export function poissonInFace(wood: WoodProperties, cut: Cut): number {
  return byCut(cut, wood.nuLT, wood.nuLR);
}

/** Picks the tangential value for flat-sawn, the radial for quarter-sawn, their mean for rift. */
export function byCut(cut: Cut, tangential: number, radial: number): number {
  switch (cut) {
    case 'flat':
      return tangential;
    case 'quarter':
      return radial;
    case 'rift':
      return (tangential + radial) / 2;
  }
}

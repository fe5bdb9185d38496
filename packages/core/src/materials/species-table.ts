import type { Species } from './species';

/**
 * Woods in common use at 12 % moisture content.
 *
 * Source: USDA Forest Products Laboratory, Wood Handbook (public domain), table 5-1 (elastic ratios and
 * Poisson's ratios), table 5-3a (bending modulus, compression perpendicular, shear), table 13-5
 * (coefficients of dimensional change). Recalled from the printed tables and rounded as there; check a
 * value against the tables before a structural use. What is our own estimate is named in `estimated`.
 * Sheet goods are isotropic-in-plane stand-ins with typical trade values.
 */
interface Row {
  readonly id: string;
  readonly name: string;
  readonly kind: Species['kind'];
  /** Modulus from bending tests. Shear deflection lowers it by about a tenth, so E_L = 1.1 × this. */
  readonly bendingModulusGPa: number;
  /** E_R, E_T, G_LR, G_LT over E_L. */
  readonly ratios: readonly [number, number, number, number];
  /** ν_LR, ν_LT. */
  readonly poisson: readonly [number, number];
  readonly compPerpMPa: number;
  readonly sg: number;
  readonly shearMPa: number;
  /** C_R, C_T per % MC. */
  readonly change: readonly [number, number];
  readonly traits: readonly ('open-pored' | 'resinous' | 'oily')[];
  readonly estimated: readonly string[];
}

// One wood a line, as in the printed tables.
// prettier-ignore
const ROWS: readonly Row[] = [
  { id: 'hard-maple', name: 'Hard maple', kind: 'hardwood', bendingModulusGPa: 12.6, ratios: [0.132, 0.065, 0.111, 0.063], poisson: [0.424, 0.476], compPerpMPa: 10.1, sg: 0.63, shearMPa: 16.1, change: [0.00165, 0.00353], traits: [], estimated: [] },
  { id: 'soft-maple', name: 'Soft maple', kind: 'hardwood', bendingModulusGPa: 11.3, ratios: [0.14, 0.067, 0.133, 0.074], poisson: [0.434, 0.509], compPerpMPa: 6.9, sg: 0.54, shearMPa: 12.8, change: [0.00137, 0.00289], traits: [], estimated: [] },
  { id: 'red-oak', name: 'Red oak', kind: 'hardwood', bendingModulusGPa: 12.5, ratios: [0.154, 0.082, 0.089, 0.081], poisson: [0.35, 0.448], compPerpMPa: 7, sg: 0.63, shearMPa: 12.3, change: [0.00158, 0.00369], traits: ['open-pored'], estimated: [] },
  { id: 'white-oak', name: 'White oak', kind: 'hardwood', bendingModulusGPa: 12.3, ratios: [0.163, 0.072, 0.086, 0.081], poisson: [0.369, 0.428], compPerpMPa: 7.4, sg: 0.68, shearMPa: 13.8, change: [0.0018, 0.00365], traits: ['open-pored'], estimated: ['shear modulus in the LT plane (taken from red oak)'] },
  { id: 'white-ash', name: 'White ash', kind: 'hardwood', bendingModulusGPa: 12, ratios: [0.125, 0.08, 0.109, 0.077], poisson: [0.371, 0.44], compPerpMPa: 8, sg: 0.6, shearMPa: 13.2, change: [0.00169, 0.00274], traits: ['open-pored'], estimated: [] },
  { id: 'beech', name: 'Beech', kind: 'hardwood', bendingModulusGPa: 11.9, ratios: [0.132, 0.065, 0.111, 0.063], poisson: [0.424, 0.476], compPerpMPa: 7, sg: 0.64, shearMPa: 13.9, change: [0.0019, 0.00431], traits: [], estimated: ['elastic ratios (taken from hard maple)'] },
  { id: 'yellow-birch', name: 'Yellow birch', kind: 'hardwood', bendingModulusGPa: 13.9, ratios: [0.078, 0.05, 0.074, 0.068], poisson: [0.426, 0.451], compPerpMPa: 6.7, sg: 0.62, shearMPa: 13, change: [0.00256, 0.00338], traits: [], estimated: [] },
  { id: 'cherry', name: 'Cherry', kind: 'hardwood', bendingModulusGPa: 10.3, ratios: [0.197, 0.086, 0.147, 0.097], poisson: [0.392, 0.428], compPerpMPa: 4.8, sg: 0.5, shearMPa: 11.7, change: [0.00126, 0.00248], traits: [], estimated: [] },
  { id: 'black-walnut', name: 'Black walnut', kind: 'hardwood', bendingModulusGPa: 11.6, ratios: [0.106, 0.056, 0.085, 0.062], poisson: [0.495, 0.632], compPerpMPa: 7, sg: 0.55, shearMPa: 9.4, change: [0.0019, 0.00274], traits: ['open-pored'], estimated: [] },
  { id: 'mahogany', name: 'Mahogany', kind: 'hardwood', bendingModulusGPa: 10.3, ratios: [0.107, 0.064, 0.066, 0.086], poisson: [0.314, 0.533], compPerpMPa: 6.9, sg: 0.45, shearMPa: 8.5, change: [0.00172, 0.00238], traits: ['open-pored'], estimated: ['compression across the grain'] },
  { id: 'teak', name: 'Teak', kind: 'hardwood', bendingModulusGPa: 10.7, ratios: [0.107, 0.064, 0.066, 0.086], poisson: [0.314, 0.533], compPerpMPa: 8, sg: 0.55, shearMPa: 13, change: [0.00101, 0.00186], traits: ['open-pored', 'oily'], estimated: ['elastic ratios (taken from mahogany)', 'compression across the grain'] },
  { id: 'hickory', name: 'Hickory', kind: 'hardwood', bendingModulusGPa: 14.9, ratios: [0.125, 0.08, 0.109, 0.077], poisson: [0.371, 0.44], compPerpMPa: 12.1, sg: 0.72, shearMPa: 16.8, change: [0.00259, 0.00411], traits: ['open-pored'], estimated: ['elastic ratios (taken from white ash)'] },
  { id: 'red-alder', name: 'Red alder', kind: 'hardwood', bendingModulusGPa: 9.5, ratios: [0.092, 0.043, 0.075, 0.069], poisson: [0.318, 0.392], compPerpMPa: 3, sg: 0.41, shearMPa: 7.4, change: [0.00151, 0.00256], traits: [], estimated: ['elastic ratios (taken from yellow-poplar)'] },
  { id: 'basswood', name: 'Basswood', kind: 'hardwood', bendingModulusGPa: 10.1, ratios: [0.066, 0.027, 0.056, 0.046], poisson: [0.364, 0.406], compPerpMPa: 2.6, sg: 0.37, shearMPa: 6.8, change: [0.0023, 0.0033], traits: [], estimated: [] },
  { id: 'aspen', name: 'Aspen', kind: 'hardwood', bendingModulusGPa: 8.1, ratios: [0.083, 0.047, 0.076, 0.052], poisson: [0.344, 0.42], compPerpMPa: 2.6, sg: 0.38, shearMPa: 5.9, change: [0.00119, 0.00234], traits: [], estimated: ['elastic ratios (taken from cottonwood)'] },
  { id: 'sweetgum', name: 'Sweetgum', kind: 'hardwood', bendingModulusGPa: 11.3, ratios: [0.115, 0.05, 0.089, 0.061], poisson: [0.325, 0.403], compPerpMPa: 4.3, sg: 0.52, shearMPa: 11, change: [0.00183, 0.00365], traits: [], estimated: [] },
  { id: 'yellow-poplar', name: 'Yellow-poplar', kind: 'hardwood', bendingModulusGPa: 10.9, ratios: [0.092, 0.043, 0.075, 0.069], poisson: [0.318, 0.392], compPerpMPa: 3.4, sg: 0.42, shearMPa: 8.2, change: [0.00158, 0.00289], traits: [], estimated: [] },
  { id: 'douglas-fir', name: 'Douglas-fir', kind: 'softwood', bendingModulusGPa: 13.4, ratios: [0.068, 0.05, 0.064, 0.078], poisson: [0.292, 0.449], compPerpMPa: 5.5, sg: 0.48, shearMPa: 7.8, change: [0.00165, 0.00267], traits: ['resinous'], estimated: [] },
  { id: 'southern-pine', name: 'Southern pine', kind: 'softwood', bendingModulusGPa: 12.3, ratios: [0.113, 0.078, 0.082, 0.081], poisson: [0.328, 0.292], compPerpMPa: 5.4, sg: 0.51, shearMPa: 9.6, change: [0.00165, 0.00259], traits: ['resinous'], estimated: [] },
  { id: 'eastern-white-pine', name: 'Eastern white pine', kind: 'softwood', bendingModulusGPa: 8.5, ratios: [0.078, 0.038, 0.052, 0.048], poisson: [0.329, 0.344], compPerpMPa: 3, sg: 0.35, shearMPa: 6.2, change: [0.00071, 0.00212], traits: [], estimated: ['elastic ratios (taken from western white pine)'] },
  { id: 'ponderosa-pine', name: 'Ponderosa pine', kind: 'softwood', bendingModulusGPa: 8.9, ratios: [0.122, 0.083, 0.138, 0.115], poisson: [0.337, 0.4], compPerpMPa: 4, sg: 0.4, shearMPa: 7.8, change: [0.00133, 0.00216], traits: ['resinous'], estimated: [] },
  { id: 'western-redcedar', name: 'Western redcedar', kind: 'softwood', bendingModulusGPa: 7.7, ratios: [0.081, 0.055, 0.087, 0.086], poisson: [0.378, 0.296], compPerpMPa: 3.2, sg: 0.32, shearMPa: 6.8, change: [0.00111, 0.00234], traits: [], estimated: [] },
  { id: 'sitka-spruce', name: 'Spruce', kind: 'softwood', bendingModulusGPa: 10.8, ratios: [0.078, 0.043, 0.064, 0.061], poisson: [0.372, 0.467], compPerpMPa: 4, sg: 0.4, shearMPa: 7.9, change: [0.00148, 0.00263], traits: [], estimated: [] },
  { id: 'baldcypress', name: 'Baldcypress', kind: 'softwood', bendingModulusGPa: 9.9, ratios: [0.084, 0.039, 0.063, 0.054], poisson: [0.338, 0.326], compPerpMPa: 5, sg: 0.46, shearMPa: 6.9, change: [0.0013, 0.00216], traits: [], estimated: [] },
  { id: 'redwood', name: 'Redwood', kind: 'softwood', bendingModulusGPa: 9.2, ratios: [0.087, 0.089, 0.066, 0.077], poisson: [0.36, 0.346], compPerpMPa: 4.8, sg: 0.4, shearMPa: 6.5, change: [0.0012, 0.00205], traits: [], estimated: [] },
  { id: 'birch-plywood', name: 'Birch plywood', kind: 'sheet', bendingModulusGPa: 8.4, ratios: [0.7, 0.7, 0.08, 0.08], poisson: [0.1, 0.1], compPerpMPa: 6, sg: 0.68, shearMPa: 9, change: [0.0002, 0.0002], traits: [], estimated: ['all values'] },
  { id: 'mdf-faced-plywood', name: 'MDF-faced plywood', kind: 'sheet', bendingModulusGPa: 6, ratios: [0.8, 0.8, 0.15, 0.15], poisson: [0.15, 0.15], compPerpMPa: 5, sg: 0.66, shearMPa: 5, change: [0.00025, 0.00025], traits: [], estimated: ['all values'] },
  { id: 'mdf', name: 'MDF', kind: 'sheet', bendingModulusGPa: 3.2, ratios: [1, 1, 0.4, 0.4], poisson: [0.25, 0.25], compPerpMPa: 6, sg: 0.75, shearMPa: 3, change: [0.0003, 0.0003], traits: [], estimated: ['all values'] },
  { id: 'particleboard', name: 'Particleboard', kind: 'sheet', bendingModulusGPa: 2.5, ratios: [1, 1, 0.4, 0.4], poisson: [0.25, 0.25], compPerpMPa: 4, sg: 0.65, shearMPa: 2, change: [0.00035, 0.00035], traits: [], estimated: ['all values'] },
];

/** Table 5-1 gives ratios to the true E_L, which the bending modulus understates by a tenth. */
const TRUE_OVER_BENDING_MODULUS = 1.1;

/** Significant figures that the sources support; more would only be floating-point dust. */
function rounded(valueMPa: number): number {
  return Number(valueMPa.toPrecision(5));
}

function toSpecies(row: Row): Species {
  const eL = row.bendingModulusGPa * 1000 * (row.kind === 'sheet' ? 1 : TRUE_OVER_BENDING_MODULUS);
  const [eR, eT, gLR, gLT] = row.ratios;
  return {
    id: row.id,
    name: row.name,
    kind: row.kind,
    properties: {
      eLMPa: rounded(eL),
      eRMPa: rounded(eL * eR),
      eTMPa: rounded(eL * eT),
      gLRMPa: rounded(eL * gLR),
      gLTMPa: rounded(eL * gLT),
      nuLR: row.poisson[0],
      nuLT: row.poisson[1],
      compPerpMPa: row.compPerpMPa,
      sg: row.sg,
      cR: row.change[0],
      cT: row.change[1],
    },
    shearParallelMPa: row.shearMPa,
    traits: {
      openPored: row.traits.includes('open-pored'),
      resinous: row.traits.includes('resinous'),
      oily: row.traits.includes('oily'),
    },
    estimated: row.estimated,
    source:
      row.kind === 'sheet'
        ? 'typical trade values [judgement]'
        : 'USDA FPL Wood Handbook, tables 5-1, 5-3a, 13-5',
  };
}

/** The whole catalogue of woods and sheet goods. */
export const SPECIES_TABLE: readonly Species[] = ROWS.map(toSpecies);

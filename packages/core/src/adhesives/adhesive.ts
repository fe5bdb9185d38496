import type { Range } from '../range';

/** Where the finished joint will live, from mildest to hardest. */
export const SERVICES = ['dry', 'damp', 'exterior', 'wet'] as const;
/** One of `SERVICES`. */
export type Service = (typeof SERVICES)[number];

/** What makes a family set, which decides how climate moves its times. */
export type Chemistry = 'water-borne' | 'reactive-resin';

/** Pressure a family wants on a long-grain line: by the density of the wood, or the same for all. */
export type PressureWanted =
  | { readonly kind: 'by-density' }
  | { readonly kind: 'fixed'; readonly lowMPa: number; readonly highMPa: number };

/** Dangers that must be said where the step is. */
export type Hazard = 'skin-sensitiser' | 'hot-cup' | 'dust-when-sanded' | 'hot-pot';

/**
 * A generic adhesive family with typical label values at 20 °C, 50 % RH, 9 % MC and one wetted face.
 * Times in minutes. The label on the person's own bottle always wins over these.
 */
export interface Adhesive {
  readonly id: string;
  readonly name: string;
  readonly chemistry: Chemistry;
  /** From first bead to faces together. */
  readonly openMin: Range;
  /** From faces together to full pressure; null where the label gives only open and total. */
  readonly closedMin: Range | null;
  /** From first bead to full pressure. */
  readonly totalMin: Range;
  /** Coldest glue, wood and air at which it still forms a sound line. */
  readonly minTempC: number;
  /** Moisture content of the wood it bonds soundly. */
  readonly moisturePct: { readonly min: number; readonly max: number };
  readonly pressure: PressureWanted;
  /** Thickest line that keeps useful strength. */
  readonly gapMm: number;
  /** In clamps, joint not stressed meanwhile. */
  readonly clampMin: Range;
  readonly machineMin: number;
  readonly fullCureMin: number;
  /** Working life of a 100 g cup; null when nothing is mixed. */
  readonly potLifeMin: number | null;
  /** Grams per square metre of glue line. */
  readonly spreadGPerM2: number;
  readonly densityGPerMl: number;
  /** Hardest service it is made for. */
  readonly service: Service;
  readonly durabilityClass: string;
  /** Slow slip under a load that never goes away. */
  readonly creep: 'low' | 'some';
  readonly line: 'clear' | 'pale' | 'amber';
  readonly cleanUp: 'water' | 'warm-water' | 'vinegar-then-scrape';
  readonly reversible: boolean;
  readonly hazards: readonly Hazard[];
  readonly source: string;
}

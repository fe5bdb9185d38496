import type { Range } from '../basics/range';

/** Where the finished joint will live, from mildest to hardest. */
export const SERVICES = ['dry', 'damp', 'exterior', 'wet'] as const;
/** One of `SERVICES`. */
export type Service = (typeof SERVICES)[number];

/**
 * What makes a family set, which decides how climate moves its times: water leaving, a gel cooling, resin and
 * hardener, moisture of air and wood, a melt cooling and then curing, a film that sets between close faces, or one that was left to
 * dry and melts again under an iron.
 */
export type Chemistry =
  'water-borne' | 'gel' | 'reactive-resin' | 'moisture-cure' | 'hot-melt' | 'instant' | 'dried-film';

/** Pressure a family wants on a long-grain line: by the density of the wood, or the same for all. */
export type PressureWanted =
  | { readonly kind: 'by-density' }
  | { readonly kind: 'fixed'; readonly lowMPa: number; readonly highMPa: number };

/** Dangers that must be said where the step is. */
export const HAZARDS = [
  'skin-sensitiser',
  'hot-cup',
  'dust-when-sanded',
  'hot-pot',
  'isocyanate',
  'hot-nozzle',
  'bonds-skin',
  'formaldehyde',
] as const;
/** One of `HAZARDS`. */
export type Hazard = (typeof HAZARDS)[number];

/** Those that make skin or lungs allergic. */
export const SENSITISERS: readonly Hazard[] = ['skin-sensitiser', 'isocyanate', 'formaldehyde'];

/** How a family behaves in the uses that ask something special of it. */
export interface Aptitudes {
  /** Dried coats stick again under an iron. */
  readonly ironOn: boolean;
  /** How it does under sheet veneer: gets hard and stays back, or creeps and bleeds. */
  readonly veneer: 'good' | 'fair' | 'poor';
  /** How it bonds oily or resinous wood. */
  readonly oilyWood: 'good' | 'fair' | 'poor';
  /** Bonds end grain better than most when it is sized first. */
  readonly endGrain: 'good' | 'fair' | 'poor';
  /** New glue holds on its own old remains. */
  readonly rebondsToItself: boolean;
  /** How it leaves the surface for a clear finish. */
  readonly finish: 'clean' | 'spots' | 'stains';
}

/** Thinning, sizing, heating or damping that a family asks for, each a step with a wait of its own. */
export type GlueStepKind =
  | 'size-end-grain'
  | 'prime-thin'
  | 'heat-pot'
  | 'heat-nozzle'
  | 'dampen-one-face'
  | 'warm-parts'
  | 'activator'
  | 'dry-coats';

/** One such step. */
export interface GlueStep {
  readonly kind: GlueStepKind;
  /** Wait before the real coat, min. */
  readonly waitMin: Range;
}

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
  /** Lasting warmth at which the line goes soft, °C; null where wood chars first. */
  readonly softensC: number | null;
  readonly line: 'clear' | 'pale' | 'amber' | 'brown';
  readonly cleanUp: 'water' | 'warm-water' | 'vinegar-then-scrape' | 'scrape-only' | 'acetone';
  readonly sandable: 'clean' | 'gums' | 'hard';
  readonly reversible: boolean;
  /** From opening, kept as the label says. */
  readonly shelfLifeMonths: number;
  readonly aptitudes: Aptitudes;
  readonly steps: readonly GlueStep[];
  readonly hazards: readonly Hazard[];
  readonly source: string;
  /** Names of the fields that the person's own label has replaced. */
  readonly labelled: readonly string[];
}

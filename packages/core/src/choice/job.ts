import type { Hazard, Service } from '../adhesives';
import type { Finish } from '../formats';
import { type GluingTraits, PLAIN_TRAITS } from '../materials';

/** A bottle as far as the choice is concerned. */
export interface ShelfBottle {
  readonly adhesive: string;
  readonly remainingMl: number;
  /** Since it was opened; null when nobody knows. */
  readonly ageMonths: number | null;
  readonly pricePerLitre: number | null;
}

/** Everything about a job that bears on which glue suits it. */
export interface GlueJob {
  readonly service: Service;
  readonly tempC: number;
  readonly rhPct: number;
  /** Of the wood, where it is not as warm as the air. */
  readonly woodTempC: number | null;
  readonly mcPct: number;
  readonly faces: 1 | 2;
  /** From the first bead of a line to its faces together, and from there to full pressure, as planned, min. */
  readonly openNeedMin: number;
  readonly closedNeedMin: number;
  /** Widest gap that stays at the dry fit. */
  readonly gapMm: number;
  /** Softest wood's specific gravity. */
  readonly sg: number;
  readonly traits: GluingTraits;
  /** Wood pale enough for a dark line to show. */
  readonly paleWood: boolean;
  /** Share of the glued area that is end grain on one side at least. */
  readonly endGrainShare: number;
  readonly lastingLoad: boolean;
  readonly warmC: number | null;
  readonly veneer: 'none' | 'sheet' | 'iron-on';
  readonly finish: Finish;
  readonly repairable: boolean;
  /** What the joint was glued with before. */
  readonly oldGlue: 'none' | 'hide' | 'other';
  /** The person must have the clamps back by then, min; null for whenever. */
  readonly clampsOffWithinMin: number | null;
  /** The next piece of a set wants them by then, min: what is slower holds the set up. Null for a piece by itself. */
  readonly freeForNextMin: number | null;
  readonly avoid: readonly Hazard[];
  /** Area to be glued, for amount and cost, mm². */
  readonly areaMm2: number;
  readonly shelf: readonly ShelfBottle[];
}

/** An ordinary long-grain joint indoors, with nothing special about it. */
export const PLAIN_JOB: GlueJob = {
  service: 'dry',
  tempC: 20,
  rhPct: 50,
  woodTempC: null,
  mcPct: 9,
  faces: 1,
  openNeedMin: 2,
  closedNeedMin: 2,
  gapMm: 0,
  sg: 0.6,
  traits: PLAIN_TRAITS,
  paleWood: false,
  endGrainShare: 0,
  lastingLoad: false,
  warmC: null,
  veneer: 'none',
  finish: 'clear',
  repairable: false,
  oldGlue: 'none',
  clampsOffWithinMin: null,
  freeForNextMin: null,
  avoid: [],
  areaMm2: 60000,
  shelf: [],
};

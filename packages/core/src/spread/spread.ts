import type { Adhesive } from '../adhesives';
import { InputError, within } from '../basics/checks';
import { LIMITS } from '../basics/limits';
import { type SpreadMethod, TAKE_UP_MIN } from './methods';

/** What is to be spread. */
export interface SpreadJob {
  readonly areaMm2: number;
  /** Length of the line, needed by methods that lay a bead. */
  readonly lengthMm?: number | undefined;
  readonly faces: 1 | 2;
  /** Mean opening that the glue has to fill, mm. */
  readonly openMm?: number | undefined;
  readonly adhesive: Adhesive;
  readonly method: SpreadMethod;
  readonly hands?: number | undefined;
}

/** One cup of a mixed resin. */
export interface Batch {
  readonly massG: number;
  readonly useWithinMin: number;
}

/** Glue and minutes for a job. */
export interface Spread {
  readonly volumeMl: number;
  readonly massG: number;
  readonly minutes: number;
  /** Empty unless the family is mixed. */
  readonly batches: readonly Batch[];
  readonly used: Readonly<Record<string, number | string>>;
}

/** A mixed cup is planned to be empty by this share of its pot life [judgement]. */
const POT_LIFE_SHARE = 0.6;
/** Mass for which labels state the pot life. */
const POT_LIFE_MASS_G = 100;
/** More cups than this and the job wants another glue; also bounds the search below. */
const MOST_BATCHES = 200;

/** Both faces take so many times the glue of one. */
const TWO_FACES = 1.6;
/** Less than this cannot be mixed in the right proportion [judgement]. */
export const LEAST_CUP_ML = 10;

/**
 * Amount of glue and time to spread it.
 *
 * Mass = area × spread rate × (1 + waste of the method) × 1.6 for two faces, and what fills a line that stays open. Minutes of a
 * face = 0.1 + length/bead + max(length/along, area/rate), times the faces and the coats, over the hands on it; methods that lay a bead and
 * leave it end after the bead. A face whose length is not given is taken as a square.
 * Range: areas up to 100 m², 1 to 6 hands. Rates and wastes [judgement], spread rate [label].
 * @throws InputError `missing` when a bead method is asked without a length.
 */
export function spread(job: SpreadJob): Spread {
  const areaMm2 = within(job.areaMm2, 'areaMm2', LIMITS.areaMm2);
  const hands = within(job.hands ?? 1, 'hands', LIMITS.hands);
  const openMm = within(job.openMm ?? 0, 'openMm', LIMITS.gapMm);
  const { adhesive, method, faces } = job;
  const areaM2 = areaMm2 / 1e6;
  const filmG = areaM2 * adhesive.spreadGPerM2 * (1 + method.waste) * (faces === 2 ? TWO_FACES : 1);
  const massG = filmG + (openMm * areaMm2 * adhesive.densityGPerMl) / 1000;
  const lengthM = lengthOf(job) / 1000;
  const { beadMPerMin, alongMPerMin, areaM2PerMin } = method;
  const workedMin =
    alongMPerMin === null || areaM2PerMin === null
      ? 0
      : Math.max(lengthM / alongMPerMin, areaM2 / areaM2PerMin);
  const minutes = (method.coats * faces * (TAKE_UP_MIN + lengthM / beadMPerMin + workedMin)) / hands;
  return {
    volumeMl: massG / adhesive.densityGPerMl,
    massG,
    minutes,
    batches: batchesFor(adhesive, massG, minutes),
    used: {
      spreadGPerM2: adhesive.spreadGPerM2,
      densityGPerMl: adhesive.densityGPerMl,
      waste: method.waste,
      takeUpMin: TAKE_UP_MIN,
      ...(method.coats === 1 ? {} : { coats: method.coats }),
      beadMPerMin,
      ...(alongMPerMin === null || areaM2PerMin === null ? {} : { alongMPerMin, areaM2PerMin }),
      lengthMm: 1000 * lengthM,
      openMm,
      hands,
      faces,
      ...(adhesive.potLifeMin === null
        ? {}
        : {
            potLifeMin: adhesive.potLifeMin,
            potLifeMassG: POT_LIFE_MASS_G,
            potLifeShare: POT_LIFE_SHARE,
            leastCupMl: LEAST_CUP_ML,
          }),
    },
  };
}

function lengthOf({ lengthMm, areaMm2, method }: SpreadJob): number {
  if (lengthMm !== undefined) return within(lengthMm, 'lengthMm', LIMITS.lineLengthMm);
  if (method.areaM2PerMin !== null) return Math.sqrt(areaMm2);
  throw new InputError(
    'missing',
    'lengthMm',
    `Spreading by ${method.name} is timed along the line, so lengthMm is needed.`,
    'a length in mm',
  );
}

/**
 * Fewest equal cups that are each used up within 60 % of their life. A cup's life halves for every doubling
 * of mass beyond 100 g, because a full cup cannot shed its heat [judgement]. No cup holds less than can be mixed.
 */
function batchesFor(adhesive: Adhesive, massG: number, minutes: number): Batch[] {
  if (adhesive.potLifeMin === null || massG === 0) return [];
  const leastG = LEAST_CUP_ML * adhesive.densityGPerMl;
  for (let count = 1; ; count += 1) {
    const cupG = Math.max(leastG, massG / count);
    const life = adhesive.potLifeMin * Math.min(1, POT_LIFE_MASS_G / cupG);
    const useWithinMin = POT_LIFE_SHARE * life;
    if (minutes / count <= useWithinMin || count === MOST_BATCHES) {
      return Array.from({ length: count }, () => ({ massG: cupG, useWithinMin }));
    }
  }
}

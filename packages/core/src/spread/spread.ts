import type { Adhesive } from '../adhesives';
import { InputError, within } from '../basics/checks';
import { LIMITS } from '../basics/limits';
import type { SpreadMethod } from './methods';

/** What is to be spread. */
export interface SpreadJob {
  readonly areaMm2: number;
  /** Length of the line, needed by methods that lay a bead. */
  readonly lengthMm?: number | undefined;
  readonly faces: 1 | 2;
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

/**
 * Amount of glue and time to spread it.
 *
 * Mass = area × spread rate × (1 + waste of the method), whatever the number of faces. Minutes = set-up +
 * area·faces/(rate·hands), or length·faces/(rate·hands) for methods that lay a bead.
 * Range: areas up to 100 m², 1 to 6 hands. Rates and wastes [judgement], spread rate [label].
 * @throws InputError `missing` when a bead method is asked without a length.
 */
export function spread(job: SpreadJob): Spread {
  const areaMm2 = within(job.areaMm2, 'areaMm2', LIMITS.areaMm2);
  const hands = within(job.hands ?? 1, 'hands', LIMITS.hands);
  const { adhesive, method, faces } = job;
  const areaM2 = areaMm2 / 1e6;
  const massG = areaM2 * adhesive.spreadGPerM2 * (1 + method.waste);
  const minutes = method.setUpMin + (quantityToCover(job, areaM2) * faces) / (method.ratePerMin * hands);
  return {
    volumeMl: massG / adhesive.densityGPerMl,
    massG,
    minutes,
    batches: batchesFor(adhesive, massG, minutes),
    used: {
      spreadGPerM2: adhesive.spreadGPerM2,
      densityGPerMl: adhesive.densityGPerMl,
      waste: method.waste,
      setUpMin: method.setUpMin,
      ratePerMin: method.ratePerMin,
      rateBasis: method.basis,
      hands,
      faces,
      ...(adhesive.potLifeMin === null
        ? {}
        : {
            potLifeMin: adhesive.potLifeMin,
            potLifeMassG: POT_LIFE_MASS_G,
            potLifeShare: POT_LIFE_SHARE,
          }),
    },
  };
}

function quantityToCover(job: SpreadJob, areaM2: number): number {
  if (job.method.basis === 'area') return areaM2;
  if (job.lengthMm === undefined) {
    throw new InputError(
      'missing',
      'lengthMm',
      `Spreading by ${job.method.name} is timed along the line, so lengthMm is needed.`,
      'a length in mm',
    );
  }
  return within(job.lengthMm, 'lengthMm', LIMITS.lineLengthMm) / 1000;
}

/**
 * Fewest equal cups that are each used up within 60 % of their life. A cup's life halves for every doubling
 * of mass beyond 100 g, because a full cup cannot shed its heat [judgement].
 */
function batchesFor(adhesive: Adhesive, massG: number, minutes: number): Batch[] {
  if (adhesive.potLifeMin === null || massG === 0) return [];
  for (let count = 1; ; count += 1) {
    const cupG = massG / count;
    const life = adhesive.potLifeMin * Math.min(1, POT_LIFE_MASS_G / cupG);
    const useWithinMin = POT_LIFE_SHARE * life;
    if (minutes / count <= useWithinMin || count === MOST_BATCHES) {
      return Array.from({ length: count }, () => ({ massG: cupG, useWithinMin }));
    }
  }
}

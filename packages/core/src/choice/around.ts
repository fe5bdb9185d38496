import { type Adhesive, type AdhesiveWindow, coatDriesMin, DRIED_COATS, type GlueStep } from '../adhesives';
import { type Range, scaleRange } from '../basics/range';
import type { GlueJob } from './job';

/** What the steps before the real coat go by. */
export type StepsJob = Pick<GlueJob, 'endGrainShare' | 'tempC' | 'rhPct' | 'mcPct' | 'veneer'>;

/** End grain below this share of the glued area is not worth a coat of its own [judgement]. */
const WORTH_SIZING = 0.1;
/** Air and wood drier than this leave moisture-curing glue too little to set with [judgement]. */
const DRY = Object.freeze({ rhPct: 45, mcPct: 8 });

/** All thinned coats in this air, each dry to the touch before the next and before the iron. */
const driedCoats = (job: StepsJob): GlueStep => ({
  kind: 'dry-coats',
  waitMin: scaleRange(coatDriesMin(job), DRIED_COATS),
});

/** What has to be done to glue or wood before the real coat on this job, each with its own wait. */
export function stepsBefore(adhesive: Adhesive, job: StepsJob): readonly GlueStep[] {
  const own = adhesive.steps.filter(({ kind }) => {
    switch (kind) {
      case 'size-end-grain':
      case 'prime-thin':
        return job.endGrainShare >= WORTH_SIZING;
      case 'dampen-one-face':
        return job.rhPct < DRY.rhPct || job.mcPct < DRY.mcPct;
      case 'heat-pot':
      case 'heat-nozzle':
      case 'warm-parts':
      case 'activator':
      case 'dry-coats':
        return true;
    }
  });
  return job.veneer === 'iron-on' ? [...own, driedCoats(job)] : own;
}

/** Wait before the first bead, min: the longest of all, since wood, pot and nozzle wait side by side. */
export function leadMin(steps: readonly GlueStep[]): number {
  return Math.max(0, ...steps.map(({ waitMin }) => waitMin.likely));
}

/** Ways to get rid of squeeze-out. */
export type CleanUpMethod = 'scrape-wet' | 'damp-wipe' | 'peel-masking' | 'skin-and-peel' | 'leave-and-plane';

/** How and when squeeze-out is best taken off. */
export interface CleanUp {
  readonly method: CleanUpMethod;
  /** Minutes after clamping. */
  readonly atMin: Range;
}

/** Share of the clamp time at which water-borne squeeze-out is rubbery [judgement]. */
const RUBBERY = Object.freeze({ low: 0.35, likely: 0.6, high: 0.9 });

/** What happens to faces with squeeze-out: left as they are, planed anyway, or inside corners hard to reach. */
export type SqueezeOutAccess = 'open' | 'planed' | 'inside';

/**
 * How squeeze-out is taken off, by what comes over the wood and whether the surfaces are planed afterwards.
 * Inside a corner there is no room for a putty knife: a damp rag where it is painted, else masking laid at the dry fit.
 * Source: shop practice; minutes [judgement].
 * @param access `planed` where the faces are planed or sanded after the glue-up anyway, `inside` for inside corners.
 */
export function cleanUpOf(
  { cleanUp }: Adhesive,
  { clampMin, machineMin }: Pick<AdhesiveWindow, 'clampMin' | 'machineMin'>,
  { finish }: Pick<GlueJob, 'finish'>,
  access: SqueezeOutAccess,
): CleanUp | null {
  if (clampMin === null || machineMin === null) return null;
  if (access === 'planed') {
    return { method: 'leave-and-plane', atMin: { low: machineMin, likely: machineMin, high: machineMin } };
  }
  const atOnce = { low: 0, likely: 1, high: 3 };
  if (finish === 'paint' && (cleanUp === 'water' || cleanUp === 'warm-water')) {
    return { method: 'damp-wipe', atMin: atOnce };
  }
  if (access === 'inside') {
    return { method: 'peel-masking', atMin: scaleRange(RUBBERY, clampMin.likely) };
  }
  if (finish === 'stain' && cleanUp !== 'scrape-only') return { method: 'scrape-wet', atMin: atOnce };
  return { method: 'skin-and-peel', atMin: scaleRange(RUBBERY, clampMin.likely) };
}

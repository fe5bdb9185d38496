import { type Adhesive, findAdhesive } from '../adhesives';
import { type GlueJob, rankAdhesives, type RankedGlue } from '../choice';
import { finding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import { familiesOf } from '../plan';
import type { Candidate } from './rank';

/** Best few families that are proposed; each is planned for real, so that more would only cost time. */
const BEST_FEW = 3;
/** What a fix may still improve without the glue making it outright. */
const ONLY_TIME: readonly string[] = ['open-too-short', 'closed-too-short'];
/** Families that go by density want at least this, MPa. */
const LEAST_BY_DENSITY = 0.7;

/**
 * Families worth proposing in place of the chosen one: the best few of those that can do the job, and the one that asks
 * least of the clamps. Where none makes it in time, the best of those that fail on nothing else.
 */
export function otherGlues(job: GlueJob, chosen: string, shop: ShopDocument): Adhesive[] {
  const ranked = rankAdhesives(job, familiesOf(shop)).glues.filter(({ adhesive }) => adhesive.id !== chosen);
  const usable = ranked.filter(({ refusals }) => refusals.length === 0);
  const pool = usable.length > 0 ? usable : ranked.filter(failsOnTimeOnly);
  const gentlest = [...pool].sort((a, b) => leastPressure(a) - leastPressure(b))[0];
  return [...new Set([...pool.slice(0, BEST_FEW), ...(gentlest === undefined ? [] : [gentlest])])].map(
    ({ adhesive }) => adhesive,
  );
}

const failsOnTimeOnly = ({ refusals }: RankedGlue): boolean =>
  refusals.every(({ code }) => ONLY_TIME.includes(code));

const leastPressure = ({ adhesive: { pressure } }: RankedGlue): number =>
  pressure.kind === 'fixed' ? pressure.lowMPa : LEAST_BY_DENSITY;

/** The build with each of those glues in turn. */
export function glueCandidates(build: BuildDocument, job: GlueJob, shop: ShopDocument): Candidate[] {
  return otherGlues(job, build.glue.adhesive, shop).map(({ id }) => {
    const onShelf = shop.bottles.some(({ adhesive, remainingMl }) => adhesive === id && remainingMl > 0);
    return {
      change: finding('use-glue', 'informs', {
        adhesive: id,
        onShelf: onShelf ? 'yes' : 'no',
        mixed: findAdhesive(id).potLifeMin === null ? 'no' : 'yes',
      }),
      build: { ...build, glue: { ...build.glue, adhesive: id } },
    };
  });
}

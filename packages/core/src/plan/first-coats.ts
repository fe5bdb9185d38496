import { stepsBefore } from '../choice';
import { endGrainOf } from './end-grain';
import { glueJobOf } from './glue-job';
import type { PlanParts } from './plan';

/** A thin coat that soaks in takes this share of a film on each face that drinks [judgement]. */
const COAT_SHARE = 0.6;

/**
 * Glue for the coat that end grain gets before the real one, g for one of the set: sizing of mitres and butts, the priming of
 * scarfs; nothing where the glue asks for neither. 60 % of a film on each face that drinks [judgement].
 */
export function firstCoatG(parts: PlanParts): number {
  const { adhesive, joints } = parts;
  const drinksMm2 = joints.reduce((sum, { facts }) => sum + endGrainOf(facts).drinksMm2, 0);
  if (drinksMm2 === 0) return 0;
  const coated = stepsBefore(adhesive, glueJobOf(parts, null)).some(
    ({ kind }) => kind === 'size-end-grain' || kind === 'prime-thin',
  );
  return coated ? (drinksMm2 / 1e6) * adhesive.spreadGPerM2 * COAT_SHARE : 0;
}

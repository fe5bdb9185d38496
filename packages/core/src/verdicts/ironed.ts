import { finding } from '../findings';
import { leastBy } from '../basics/least-by';
import type { PlanParts } from '../plan/plan';
import { against, type Judged } from './judged';

/** Heat comes through a strip as thick as this in a few passes of a warm iron [judgement], mm. */
const HEATS_THROUGH_MM = 2;
/** Past this the face scorches before the film behind it melts [judgement], mm. */
const NEVER_HEATS_MM = 4;
/** How fast heat spreads through wood across its grain, mm²/s. Source: wood handbooks, 0.13–0.17. */
const DIFFUSIVITY = 0.15;

/** Whether the iron's heat comes through what lies on the film: the thinnest of the two parts of each joint. */
export function ironed({ joints, facts, adhesive }: PlanParts): Judged {
  const thinnest = (id: string) =>
    Math.min(...(facts.parts.find(({ part }) => part.id === id)?.part.blankMm ?? []));
  const worst = leastBy(joints, ({ facts: { joint } }) => -Math.min(thinnest(joint.a), thinnest(joint.b)));
  const { a, b } = worst.facts.joint;
  const mm = Math.min(thinnest(a), thinnest(b));
  // Heat goes so far in this time: t = x²/(2·diffusivity).
  const values = {
    line: worst.facts.label,
    mm,
    seconds: mm ** 2 / (2 * DIFFUSIVITY),
    mostMm: HEATS_THROUGH_MM,
  };
  const melts = adhesive.aptitudes.ironOn;
  const cause = (over: boolean) =>
    over
      ? finding('too-thick-to-iron', mm > NEVER_HEATS_MM ? 'refuses' : 'warns', values)
      : finding('iron-presses', 'informs', values);
  const judged = against(mm, HEATS_THROUGH_MM, cause, [finding('how-ironed', 'informs', values)]);
  return melts
    ? { ...judged, kind: 'fine-length' }
    : {
        ...judged,
        kind: 'fine-length',
        state: 'fails',
        margin: -0.5,
        cause: finding('no-iron-on', 'refuses'),
      };
}

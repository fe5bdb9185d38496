import type { Finding } from '../findings';
import type { Plan } from '../plan';
import { ASPECTS } from '../verdicts';

/** Causes that make starting pointless: the joint could not hold, or a clamp could not go on. */
const FORBIDS: ReadonlySet<string> = new Set([
  'too-cold',
  'wood-too-wet',
  'service-too-hard',
  'softens-there',
  'no-clamps',
  'clamp-too-short',
  'not-enough-on-rack',
  'clamp-off-end',
  'jaws-foul',
  'jaw-crushes',
  'pull-crushes',
  'line-starves',
  'nothing-to-pull-with',
  'no-bag',
  'order-captive',
  'no-iron-on',
  'too-thick-to-iron',
]);

/** Whether a plan may be run: what forbids it, and failing verdicts that a person may choose to run with. */
export interface Readiness {
  readonly forbids: readonly Finding[];
  readonly warns: readonly Finding[];
}

/** Sorts the limiting causes of failing verdicts by whether the clock may be started all the same. */
export function readinessOf(plan: Plan): Readiness {
  const failing = ASPECTS.map((aspect) => plan.verdicts[aspect])
    .filter(({ state }) => state === 'fails')
    .map(({ cause }) => cause);
  const distinct = failing.filter((cause, i) => failing.findIndex(({ code }) => code === cause.code) === i);
  return {
    forbids: distinct.filter(({ code }) => FORBIDS.has(code)),
    warns: distinct.filter(({ code }) => !FORBIDS.has(code)),
  };
}

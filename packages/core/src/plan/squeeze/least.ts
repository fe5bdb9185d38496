import { leastBy } from '../../basics/least-by';
import type { PlannedPull } from '../pulls/planned-pull';
import type { Squeeze } from './squeezed';

/** A pull with the least that any of its joints gets: from the clamps in their places, else on the whole. */
export function leastOf(planned: PlannedPull, squeeze: Squeeze | null): PlannedPull {
  const own = squeeze?.pulls.find(({ planned: { pull } }) => pull.id === planned.pull.id);
  if (own === undefined || own.joints.length === 0) return planned;
  const least = leastBy(own.joints, ({ minMPa }) => minMPa);
  const reachMPa = Math.min(...own.joints.map(({ minMPa }) => minMPa));
  const leastMet = { ...planned.leastMet, label: least.label };
  return { ...planned, joint: least.label, leastMet, reachMPa, word: least.word };
}

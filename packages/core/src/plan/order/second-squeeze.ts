import { LIGHT_SQUEEZE } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import { PACE } from '../../sequence';
import { COMFORTABLE_MARGIN } from '../../verdicts/in-time';
import type { PlanParts } from '../plan';
import type { OrderedSession } from './ordered-sessions';
import { workforceOf } from './workforce';

/** When a second squeeze begins and ends, from the session's first bead, min. */
export interface SecondSqueeze {
  readonly startMin: number;
  readonly endMin: number;
}

/**
 * The second squeeze of the light school: once the glue drags, and done before the shortest assembly time is up, less the usual
 * margin. Null where nothing asks for one.
 * @returns `no-room` where the glue leaves no time between dragging and setting.
 */
export function secondSqueezeOf(
  parts: Pick<PlanParts, 'joints' | 'row' | 'pulls' | 'shop' | 'build' | 'times'>,
  session: OrderedSession,
): SecondSqueeze | 'no-room' | null {
  const { joints, shop, build, times } = parts;
  const clamps = drawnAgain(parts).length;
  if (clamps === 0) return null;
  const { crew, pace } = workforceOf({ build, shop });
  const takesMin = Math.ceil(clamps / crew) * PACE.tightenClampMin * pace('tighten');
  const closedMin = session.handsOnMin;
  const latestMin = Math.min(
    ...joints.flatMap(({ facts, window: { totalMin } }, i) =>
      totalMin === null || !session.joints.includes(facts.joint.id)
        ? []
        : [(times[i]?.spreadStartMin ?? 0) + (1 - COMFORTABLE_MARGIN) * totalMin.low],
    ),
  );
  const startMin = Math.min(closedMin + LIGHT_SQUEEZE.secondAfterMin.low, latestMin - takesMin);
  return startMin < closedMin + LIGHT_SQUEEZE.soonestMin
    ? 'no-room'
    : { startMin, endMin: startMin + takesMin };
}

/** Numbers of the clamps that the light school draws a second time; none where nothing is pressed lightly. */
export function drawnAgain({ row, pulls, build }: Pick<PlanParts, 'row' | 'pulls' | 'build'>): number[] {
  if (row !== null) {
    return row.job.school === 'light' ? row.clampSet.clamps.map(({ number }) => number) : [];
  }
  if (build.squeeze?.school !== 'light') return [];
  const taken = pulls.flatMap((pull) => (pull.pull.need === 'line' ? pull.taken : []));
  return Array.from({ length: taken.reduce((sum, { count }) => sum + count, 0) }, (_, i) => i + 1);
}

/** Said where a glue sets before it drags. */
export const noSecondSqueeze = (): PlanFinding =>
  finding('no-second-squeeze', 'warns', { soonestMin: LIGHT_SQUEEZE.soonestMin });

import { PACE, type SessionOperation } from '../../sequence';
import type { PlannedJoint } from '../joints/planned-joint';
import { byJoint } from './joint-times';
import type { OrderJob } from './order-problem';
import { workforceOf } from './workforce';
import { passesOf, pressing } from '../pulls/passes';
import type { PlannedPull } from '../pulls/planned-pull';
import type { OrderedSession } from './ordered-sessions';
import { pressSteps } from './press-steps';

interface Task {
  readonly operation: Pick<SessionOperation, 'kind' | 'joints'>;
  readonly minutes: number;
  readonly hands: number;
  readonly notBefore: () => number;
}

/**
 * One session of joints that are spread and closed one after the other as they lie: boards, layers, plies, faces; or in groups that
 * close at once. Each task goes
 * to whoever is free first, never before what it depends on: no more than one closing is spread for ahead, each comes after the
 * one before, and what presses comes on once all are closed.
 */
export function lineByLine(job: OrderJob, groups: readonly (readonly PlannedJoint[])[]): OrderedSession {
  const own = groups.flat();
  const { pace, crew } = workforceOf(job);
  const free = Array.from({ length: crew }, () => 0);
  const spreadAt: number[] = [];
  const closedAt: number[] = [];
  const operations: SessionOperation[] = [];
  const run = ({ operation, minutes, hands, notBefore }: Task): number => {
    const first = free
      .map((minute, hand) => ({ minute, hand }))
      .sort((a, b) => a.minute - b.minute || a.hand - b.hand)
      .slice(0, Math.min(hands, crew));
    const startMin = Math.max(notBefore(), ...first.map(({ minute }) => minute));
    const endMin = startMin + minutes;
    for (const { hand } of first) free[hand] = endMin;
    operations.push({ ...operation, hands: first.map(({ hand }) => hand).sort(), startMin, endMin });
    return endMin;
  };
  groups.forEach((group, i) => {
    for (const { facts, spread, method } of group) {
      spreadAt[i] = run({
        operation: { kind: 'spread', joints: [facts.joint.id] },
        minutes: spread.minutes * pace('spread', method.id),
        hands: 1,
        // Spreading further ahead than one closing only burns open time.
        notBefore: () => closedAt[i - 2] ?? 0,
      });
    }
    closedAt[i] = run({
      operation: { kind: 'close', joints: group.map(({ facts }) => facts.joint.id) },
      minutes: Math.max(...group.map(({ closeMin }) => closeMin)) * pace('close'),
      hands: Math.max(...group.map(({ closeHands }) => closeHands)),
      notBefore: () => Math.max(spreadAt[i] ?? 0, closedAt[i - 1] ?? 0),
    });
  });
  const ids = own.map(({ facts }) => facts.joint.id);
  const here = new Set(ids);
  for (const pass of passesOf(job.pulls)) {
    const joints = pass.joints.filter((id) => here.has(id));
    if (joints.length === 0) continue;
    const minutesOf = (planned: PlannedPull): number => {
      const { minutes } = pressSteps(planned, job.row, workforceOf(job));
      const { stacked, joints: all } = planned.pull;
      // A pull that is one stack takes all its clamps; else as many as its share of the joints.
      return stacked ? minutes : (minutes * joints.length) / all.length;
    };
    run({
      operation: { kind: 'clamp', joints },
      minutes: pressing(pass, joints).reduce((sum, planned) => sum + minutesOf(planned), 0),
      hands: crew,
      notBefore: () => Math.max(0, ...closedAt),
    });
  }
  const handsOnMin = Math.max(0, ...operations.map(({ endMin }) => endMin));
  return {
    joints: ids,
    operations: [...operations].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin),
    worstMargin: worstMargin(own, operations),
    handsOnMin,
    closings: operations
      .filter(({ kind }) => kind === 'close')
      .map(({ joints, startMin }) => ({ joints, startMin })),
    dryJig: null,
    workMin: handsOnMin + PACE.checkMin * pace('check'),
  };
}

/** Least share of any window that is left over. */
function worstMargin(own: readonly PlannedJoint[], operations: readonly SessionOperation[]): number {
  const of = byJoint(operations);
  return Math.min(
    1,
    ...own.flatMap(({ facts, window }) => {
      const { id } = facts.joint;
      const [spread, close, clamp] = [of('spread', id), of('close', id), of('clamp', id) ?? of('close', id)];
      const used: [number, number][] = [
        [(close?.endMin ?? 0) - (spread?.startMin ?? 0), window.openMin?.low ?? Infinity],
        [(clamp?.endMin ?? 0) - (close?.endMin ?? 0), window.closedMin?.low ?? Infinity],
        [(clamp?.endMin ?? 0) - (spread?.startMin ?? 0), window.totalMin?.low ?? Infinity],
      ];
      return used.map(([minutes, windowMin]) => 1 - minutes / windowMin);
    }),
  );
}

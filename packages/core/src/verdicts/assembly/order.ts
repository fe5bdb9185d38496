import { type GivenSessions, givenSessions, PACE, sessionOf } from '../../sequence';
import type { AssemblyBuild } from '../../formats';
import type { PlannedJoint } from './assembly-parts';
import type { JointTimes } from './joint-times';
import { type OrderJob, orderProblem } from './order-problem';
import type { DryJig, Order, OrderedSession } from './ordered-sessions';

/** Sessions as a build orders them. */
export type BuildOrder = NonNullable<AssemblyBuild['order']>;

/**
 * Puts the sessions that a build names on the clock. Joints that no session names go into the last; names that no
 * joint has are passed over.
 * @returns null where the glue has no window in this air.
 */
export function orderOf(job: OrderJob, { sessions, dryJig }: BuildOrder): Order | null {
  const problem = orderProblem(job);
  if (problem === null) return null;
  const indexes = sessionIndexes(job.joints, sessions);
  const strict = givenSessions(problem, indexes);
  // Blocks around slanted parts can seem to hold each other; then only joints count.
  const given =
    strict.kind === 'impossible' && strict.why.code === 'captive'
      ? givenSessions({ ...problem, runsInto: null }, indexes)
      : strict;
  if (given.kind === 'impossible') return blocked(job.joints, given);
  const check = PACE.checkMin * job.shop.paceFactor;
  const jigs = dryJig === true && job.facts.assembly.dryJig ? dryJigs(job, indexes) : [];
  const laid = given.sessions.map((session, i): OrderedSession => {
    const named = sessionOf(problem, session);
    const jig = jigs[i] ?? null;
    const closings = named.operations
      .filter(({ kind }) => kind === 'close')
      .map(({ joints, startMin }) => ({ joints, startMin }));
    return { ...named, closings, dryJig: jig, workMin: named.handsOnMin + check + (jig?.minutes ?? 0) };
  });
  return {
    sessions: laid,
    times: job.joints.map(({ facts }) => timesOf(facts.joint.id, laid)),
    handsOnMin: laid.reduce((sum, { workMin }) => sum + workMin, 0),
    impossible: null,
  };
}

/** What is still to be glued stands dry around every session but the last, to hold it in its place. */
function dryJigs({ joints, shop }: OrderJob, sessions: readonly (readonly number[])[]): (DryJig | null)[] {
  return sessions.map((_, i) => {
    const later = sessions.slice(i + 1).flat();
    if (later.length === 0) return null;
    const minutes = later.reduce((sum, joint) => sum + (joints[joint]?.closeMin ?? 0), 0) * shop.paceFactor;
    return { joints: later.length, minutes };
  });
}

/** Every joint in exactly one session, and no session empty. */
export function sessionIndexes(
  joints: readonly PlannedJoint[],
  sessions: readonly (readonly string[])[],
): number[][] {
  const indexOf = new Map(joints.map(({ facts }, i) => [facts.joint.id, i]));
  const left = new Set(indexOf.values());
  const taken = sessions.map((ids) =>
    ids.flatMap((id) => {
      const i = indexOf.get(id);
      return i !== undefined && left.delete(i) ? [i] : [];
    }),
  );
  const rest = [...left];
  const last = taken.pop() ?? [];
  return [...taken, [...last, ...rest]].filter((session) => session.length > 0);
}

function blocked(
  joints: readonly PlannedJoint[],
  { session, why }: Extract<GivenSessions, { kind: 'impossible' }>,
): Order {
  const names = why.joints.flatMap((i) => joints[i]?.facts.label ?? []);
  return { sessions: [], times: [], handsOnMin: 0, impossible: { session, code: why.code, joints: names } };
}

function timesOf(joint: string, sessions: readonly OrderedSession[]): JointTimes {
  const own = sessions.find(({ joints }) => joints.includes(joint))?.operations ?? [];
  const of = (kind: string) => own.find((each) => each.kind === kind && each.joints.includes(joint));
  return {
    spreadStartMin: of('spread')?.startMin ?? 0,
    closedAtMin: of('close')?.endMin ?? 0,
    pressedAtMin: of('clamp')?.endMin ?? 0,
  };
}

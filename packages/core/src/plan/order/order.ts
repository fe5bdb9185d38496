import {
  type GivenSessions,
  givenSessions,
  PACE,
  sessionOf,
  type SequenceProblem,
  type SessionPlan,
} from '../../sequence';
import type { PlannedJoint } from '../joints/planned-joint';
import { byJoint, type JointTimes } from './joint-times';
import { lineByLine } from './line-by-line';
import type { OrderJob } from './order-problem';
import { paceOf } from './paces';
import { partByPart } from './part-by-part';
import { pegsAfterMin } from './pegs';
import { sessionIndexes } from './session-indexes';
import type { DryJig, Order, OrderedSession } from './ordered-sessions';

/**
 * Puts sessions on the clock. Joints that no session names go into the last; names that no joint has are passed over.
 * @param problemOf what the sequence is asked, which looks at every solid: not called for lines that go in turn.
 */
export function orderOfSessions(
  job: OrderJob,
  problemOf: () => SequenceProblem,
  sessions: readonly (readonly string[])[],
  dryJig: boolean,
): Order {
  const indexes = sessionIndexes(idsOf(job), sessions);
  if (job.facts.assembly.inTurn) {
    return orderOfLaid(
      job,
      indexes.map((own) =>
        lineByLine(
          job,
          own.flatMap((i) => (job.joints[i] === undefined ? [] : [[job.joints[i]]])),
        ),
      ),
    );
  }
  const problem = problemOf();
  const large = largeOrder(job, problem, indexes);
  if (large !== null) return orderOfLaid(job, large);
  const strict = givenSessions(problem, indexes);
  // Blocks around slanted parts can seem to hold each other; then only joints count.
  const given =
    strict.kind === 'impossible' && strict.why.code === 'captive'
      ? givenSessions({ ...problem, runsInto: null }, indexes)
      : strict;
  if (given.kind === 'impossible') return blocked(job.joints, given);
  return orderOfPlans(job, problem, given.sessions, dryJig ? dryJigs(job, indexes) : []);
}

/** Sessions that are laid out in time, in the words of a build. */
export function orderOfPlans(
  job: OrderJob,
  problem: SequenceProblem,
  plans: readonly SessionPlan[],
  jigs: readonly (DryJig | null)[] = [],
): Order {
  const check = PACE.checkMin * paceOf(job.shop)('check');
  const laid = plans.map((session, i): OrderedSession => {
    const named = sessionOf(problem, session);
    const jig = jigs[i] ?? null;
    const closings = named.operations
      .filter(({ kind }) => kind === 'close')
      .map(({ joints, startMin }) => ({ joints, startMin }));
    return { ...named, closings, dryJig: jig, workMin: named.handsOnMin + check + (jig?.minutes ?? 0) };
  });
  return orderOfLaid(job, laid);
}

/** With more joints than this in a session, ways of putting it together are not compared. */
const MOST_COMPARED = 12;

/** Sessions of many joints, part by part; null where none is large, or one does not come apart that way. */
function largeOrder(
  job: OrderJob,
  problem: SequenceProblem,
  sessions: readonly (readonly number[])[],
): OrderedSession[] | null {
  if (sessions.every((own) => own.length <= MOST_COMPARED)) return null;
  const laid: OrderedSession[] = [];
  for (const [i, own] of sessions.entries()) {
    const made = sessions.slice(0, i).flat();
    const groups = partByPart(problem, own, made) ?? partByPart({ ...problem, runsInto: null }, own, made);
    if (groups === null) return null;
    laid.push(
      lineByLine(
        job,
        groups.map((group) => group.flatMap((joint) => job.joints[joint] ?? [])),
      ),
    );
  }
  return laid;
}

const idsOf = ({ joints }: Pick<OrderJob, 'joints'>): string[] => joints.map(({ facts }) => facts.joint.id);

/** Sessions however they were laid out, with what is still driven once their clamps are at full pull. */
function orderOfLaid(job: OrderJob, laid: readonly OrderedSession[]): Order {
  const sessions = laid.map((session) => ({
    ...session,
    workMin: session.workMin + pegsAfterMin(job, session.joints),
  }));
  return {
    sessions,
    times: timesOf(job.joints, sessions),
    handsOnMin: sessions.reduce((sum, { workMin }) => sum + workMin, 0),
    impossible: null,
  };
}

/** What is still to be glued stands dry around every session but the last, to hold it in its place. */
function dryJigs(
  { joints, shop, facts }: OrderJob,
  sessions: readonly (readonly number[])[],
): (DryJig | null)[] {
  if (!facts.assembly.dryJig) return [];
  return sessions.map((_, i) => {
    const later = sessions.slice(i + 1).flat();
    if (later.length === 0) return null;
    const minutes =
      later.reduce((sum, joint) => sum + (joints[joint]?.closeMin ?? 0), 0) * paceOf(shop)('close');
    return { joints: later.length, minutes };
  });
}

function blocked(
  joints: readonly PlannedJoint[],
  { session, why }: Extract<GivenSessions, { kind: 'impossible' }>,
): Order {
  const names = why.joints.flatMap((i) => joints[i]?.facts.label ?? []);
  return { sessions: [], times: [], handsOnMin: 0, impossible: { session, code: why.code, joints: names } };
}

function timesOf(joints: readonly PlannedJoint[], sessions: readonly OrderedSession[]): JointTimes[] {
  const doneIn = sessions.map(({ joints: own, operations }) => ({
    own: new Set(own),
    of: byJoint(operations),
  }));
  return joints.map(({ facts }) => {
    const { id } = facts.joint;
    const of = doneIn.find(({ own }) => own.has(id))?.of;
    return {
      spreadStartMin: of?.('spread', id)?.startMin ?? 0,
      closedAtMin: of?.('close', id)?.endMin ?? 0,
      pressedAtMin: of?.('clamp', id)?.endMin ?? 0,
    };
  });
}

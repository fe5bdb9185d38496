import { remembered } from '../../basics/remembered';
import { type SequenceEffort, type SequenceProblem, solveSequence } from '../../sequence';
import { COMFORTABLE_MARGIN } from '../../verdicts';
import { orderOfPlans, orderOfSessions } from './order';
import { type OrderJob, orderProblemAnyhow } from './order-problem';
import type { Order } from './ordered-sessions';

/**
 * A few ways side by side, one alone where presses tie closings together, until windows are comfortable, and a short proof, as far as a
 * keystroke can pay for them; the worker refines it on demand.
 */
const AT_A_KEYSTROKE: SequenceEffort = {
  exactJoints: 6,
  marginSteps: 300,
  handsOnSteps: 100,
  width: 4,
  widthWhereTied: 1,
  rounds: 4,
  enough: 1 - COMFORTABLE_MARGIN,
  proofSteps: 2_000,
  mostSets: 60,
  swaps: 1_000,
  lists: 20,
};
/** A few ways there as well, before it is said that the rack does not do. */
const ONCE_MORE: SequenceEffort = { ...AT_A_KEYSTROKE, widthWhereTied: 4, mostSets: 300, lists: 30_000 };
/** As many as the changes that are tried for fixes: most of them leave the order as it is. */
const MOST_REMEMBERED = 40;
const atAKeystroke = remembered((problem: SequenceProblem) => {
  const answer = solveSequence(problem, AT_A_KEYSTROKE);
  return answer.status === 'infeasible' ? solveSequence(problem, ONCE_MORE) : answer;
}, MOST_REMEMBERED);

/** With more joints than this a page does not wait for sessions that it did not ask for. */
const MOST_JOINTS_UNASKED = 24;

/** An order and whether it had to count on more clamps than the rack holds. */
export interface UsualOrder {
  readonly order: Order | null;
  readonly beyondRack: boolean;
}

/**
 * The order that a plan goes by: as the build names its sessions; else one that could be recommended. Rows, stacks, sheets and what
 * is banded are glued in one go; everything else in the fewest sessions found in which every window holds, comfortably where that
 * is to be had. Where none holds, one go tells by how much.
 */
export function usualOrder(job: OrderJob): UsualOrder {
  const { build, joints, facts } = job;
  if (joints.length === 0) return { order: null, beyondRack: false };
  let made: SequenceProblem | null = null;
  const problemOf = () => (made ??= orderProblemAnyhow(job));
  if (build.order !== undefined && build.order.sessions.length > 0) {
    const { sessions, dryJig } = build.order;
    return { order: orderOfSessions(job, problemOf, sessions, dryJig === true), beyondRack: false };
  }
  const all = [joints.map(({ facts: own }) => own.joint.id)];
  const oneGo = orderOfSessions(job, problemOf, all, false);
  if (facts.assembly.oneGo || joints.length === 1 || joints.length > MOST_JOINTS_UNASKED) {
    return { order: oneGo, beyondRack: false };
  }
  const problem = problemOf();
  const fits = oneGo.impossible === null && holds(oneGo) && withinRack(oneGo, problem);
  // Where all of it fits into one session, only a small one without room to spare is worth a better order.
  if (fits && (joints.length > AT_A_KEYSTROKE.exactJoints || leastMargin(oneGo) >= COMFORTABLE_MARGIN)) {
    return { order: oneGo, beyondRack: false };
  }
  const attempts = [
    { problem, beyondRack: false },
    { problem: { ...problem, rack: null }, beyondRack: true },
    // Blocks around slanted parts can seem to hold each other; then only joints count.
    { problem: { ...problem, rack: null, runsInto: null }, beyondRack: true },
  ];
  for (const each of attempts) {
    const answer = atAKeystroke(each.problem);
    if (answer.status === 'infeasible') continue;
    return { order: orderOfPlans(job, each.problem, answer.sessions), beyondRack: each.beyondRack };
  }
  return { order: oneGo, beyondRack: false };
}

const leastMargin = ({ sessions }: Order): number =>
  Math.min(...sessions.map(({ worstMargin }) => worstMargin));
const holds = (order: Order): boolean => leastMargin(order) >= 0;

/** Whether all presses together find their clamps on the rack. */
function withinRack({ sessions }: Order, { presses, rack }: SequenceProblem): boolean {
  if (rack === null || sessions.length !== 1) return true;
  const wanted: Record<string, number> = {};
  for (const { clamps } of presses) {
    for (const [id, count] of Object.entries(clamps)) wanted[id] = (wanted[id] ?? 0) + count;
  }
  return Object.entries(wanted).every(([id, count]) => count <= (rack[id] ?? 0));
}

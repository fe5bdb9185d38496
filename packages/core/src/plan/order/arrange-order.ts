import type { BuildDocument } from '../../formats';
import { FULL_EFFORT, improvingSequence, type SequenceEffort, type SequenceProblem } from '../../sequence';
import type { PlanParts } from '../plan';
import { arrangedInTurn } from './arrange-in-turn';
import type { Arranged } from './arranged';

import { ASKED_MARGIN, type OrderJob, orderProblem, withMargin } from './order-problem';
import { sessionIndexes } from './session-indexes';

/** A build glued in these sessions; pins and the rest of its order stay. */
export function withSessions(build: BuildDocument, sessions: readonly (readonly string[])[]): BuildDocument {
  return { ...build, order: { pinned: [], ...build.order, sessions: sessions.map((ids) => [...ids]) } };
}

/** Effort that a page waits for: large assemblies get fewer attempts. */
function pageEffort(joints: number): SequenceEffort {
  const large = joints > 60;
  return {
    ...FULL_EFFORT,
    marginSteps: 4_000,
    handsOnSteps: 4_000,
    width: large ? 4 : 20,
    rounds: large ? 3 : 8,
    proofSteps: large ? 0 : 100_000,
    mostSets: large ? 300 : 4_000,
  };
}

/**
 * Arranges a build anew around its pinned joints, best so far after each step. A margin for a fumble is asked for
 * first; where that cannot be had, the windows themselves; where the rack is too small, clamps are left to the
 * verdict on pressure.
 */
export function* arrangements(
  parts: OrderJob,
  effort: SequenceEffort = pageEffort(parts.joints.length),
): Generator<Arranged, void> {
  const { joints } = parts;
  const pins = pinsOf(parts);
  const problem = orderProblem(parts);
  if (problem === null) return;
  if (parts.facts.assembly.inTurn) {
    yield arrangedInTurn(parts, pins);
    return;
  }
  const attempt = (marginShare: number, change: Partial<SequenceProblem>) => ({
    marginShare,
    problem: { ...withMargin(problem, marginShare), pins, ...change },
  });
  const attempts = [
    attempt(ASKED_MARGIN, {}),
    attempt(0, {}),
    attempt(0, { rack: null }),
    // Blocks around slanted parts can seem to hold each other; then only joints count.
    attempt(0, { rack: null, runsInto: null }),
  ];
  for (const each of attempts) {
    let infeasible = false;
    for (const { answer, done, of } of improvingSequence(each.problem, effort)) {
      infeasible = answer.status === 'infeasible';
      if (infeasible && each !== attempts.at(-1)) break;
      yield {
        status: answer.status,
        sessions: answer.sessions.map(({ merges }) => named(merges.flatMap((merge) => merge.joints))),
        askedMargin: each.marginShare,
        leastSessions: answer.bound.sessions,
        why: answer.bound.why,
        impossible: answer.impossible.map(({ code, joints: held }) => ({
          code,
          joints: held.flatMap((i) => joints[i]?.facts.label ?? []),
        })),
        done,
        of,
      };
    }
    if (!infeasible) return;
  }
  function named(list: readonly number[]): string[] {
    return list.flatMap((i) => joints[i]?.facts.joint.id ?? []);
  }
}

/** Sessions of pinned joints, as the build has them now. */
function pinsOf({ joints, build }: Pick<PlanParts, 'joints' | 'build'>): (number | null)[] {
  const { sessions = [], pinned = [] } = build.order ?? {};
  const at = sessionIndexes(
    joints.map(({ facts }) => facts.joint.id),
    sessions,
  );
  return joints.map(({ facts }, i) =>
    pinned.includes(facts.joint.id) ? at.findIndex((session) => session.includes(i)) : null,
  );
}

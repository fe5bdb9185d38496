import type { PanelBuild, ShopDocument } from '../formats';
import type { Finding } from '../finding';
import { type Aspect, ASPECTS, type Plan, planBuild, stateRank, type Verdict } from '../verdicts';
import { type Candidate, CANDIDATE_SOURCES } from './candidates';

/** A candidate edit with its computed effect on one verdict. */
export interface Fix {
  readonly aspect: Aspect;
  /** What would be changed. */
  readonly change: Finding;
  readonly before: Verdict;
  readonly after: Verdict;
  /** States of all four verdicts after the edit. */
  readonly states: Readonly<Record<Aspect, Verdict['state']>>;
  /** The build after the edit; applied like any other edit. */
  readonly build: PanelBuild;
}

/** Up to three fixes for each verdict that wants one, best first. */
export type Fixes = Readonly<Record<Aspect, readonly Fix[]>>;

/** Most fixes shown for one verdict. */
const MOST_FIXES = 3;
/** A verdict whose bar is fuller than this needs no advice. */
const COMFORTABLE_BAR = 0.8;
/** Least gain in bar length that is worth a person's attention. */
const LEAST_GAIN = 0.02;

/**
 * Tries every candidate edit, plans each for real, and keeps for each verdict the three that help most without
 * making another verdict worse. Deterministic. Costs one `planBuild` per candidate.
 */
export function findFixes(plan: Plan, shop: ShopDocument): Fixes {
  const wanting = ASPECTS.filter((aspect) => wantsFix(plan.verdicts[aspect]));
  const none: Fixes = { inTime: [], tight: [], square: [], flat: [] };
  if (wanting.length === 0) return none;
  const tried = CANDIDATE_SOURCES.flatMap((source) => source(plan, shop)).map((candidate) => ({
    candidate,
    plan: planBuild(candidate.build, shop),
  }));
  return wanting.reduce<Fixes>(
    (fixes, aspect) => ({ ...fixes, [aspect]: bestFor(aspect, plan, tried) }),
    none,
  );
}

function wantsFix({ state, barShare }: Verdict): boolean {
  return state !== 'holds' || barShare < COMFORTABLE_BAR;
}

interface Tried {
  readonly candidate: Candidate;
  readonly plan: Plan;
}

function bestFor(aspect: Aspect, plan: Plan, tried: readonly Tried[]): Fix[] {
  const helping = tried
    .filter((attempt) => helps(aspect, plan, attempt.plan))
    .sort((a, b) => score(aspect, b) - score(aspect, a));
  const chosen: Tried[] = [];
  for (const attempt of helping) {
    const sameKind = chosen.some(({ candidate }) => candidate.change.code === attempt.candidate.change.code);
    if (!sameKind && chosen.length < MOST_FIXES) chosen.push(attempt);
  }
  return chosen.map(({ candidate, plan: after }) => ({
    aspect,
    change: candidate.change,
    before: plan.verdicts[aspect],
    after: after.verdicts[aspect],
    states: {
      inTime: after.verdicts.inTime.state,
      tight: after.verdicts.tight.state,
      square: after.verdicts.square.state,
      flat: after.verdicts.flat.state,
    },
    build: candidate.build,
  }));
}

function helps(aspect: Aspect, before: Plan, after: Plan): boolean {
  const worsens = ASPECTS.some(
    (other) => stateRank(after.verdicts[other].state) < stateRank(before.verdicts[other].state),
  );
  if (worsens) return false;
  const was = before.verdicts[aspect];
  const is = after.verdicts[aspect];
  return stateRank(is.state) > stateRank(was.state) || is.barShare >= was.barShare + LEAST_GAIN;
}

/** State first, then bar length, less what the edit asks of the person. */
function score(aspect: Aspect, { candidate, plan }: Tried): number {
  const total = ASPECTS.reduce((sum, each) => sum + stateRank(plan.verdicts[each].state), 0);
  const { state, barShare } = plan.verdicts[aspect];
  return 100 * stateRank(state) + 10 * total + 4 * barShare - candidate.effort;
}

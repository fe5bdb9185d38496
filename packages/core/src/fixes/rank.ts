import type { PlanFinding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import { type Aspect, ASPECTS, stateRank, type Verdict } from '../verdicts';
import { effortOf } from './efforts';

/** What has to be done outside before the build may be changed: work on the wood and a new reading, or clamps fetched for the rack. */
export type DoneFirst = 'reading' | 'rack';

/** A whole edited build under a code that says what was changed. Nothing is promised about its effect yet. */
export interface Candidate {
  readonly change: PlanFinding;
  readonly build: BuildDocument;
  /** Left out where the edit is all there is to it. */
  readonly first?: DoneFirst;
  /** The shop once it has what is to be fetched. */
  readonly shop?: ShopDocument;
}

/** A candidate edit with its computed effect on one verdict. */
export interface Fix {
  readonly aspect: Aspect;
  /** What would be changed. */
  readonly change: PlanFinding;
  readonly before: Verdict;
  readonly after: Verdict;
  /** States of all four verdicts after the edit. */
  readonly states: Readonly<Record<Aspect, Verdict['state']>>;
  /** Other verdicts that hold now and come close by it. */
  readonly costs: readonly Aspect[];
  /** The build after the edit; applied like any other edit, unless something has to be done first. */
  readonly build: BuildDocument;
  /** What the effect takes for granted, and only the person can do; null where the edit is all there is to it. */
  readonly first: DoneFirst | null;
}

/** Up to three fixes for each verdict that wants one, best first. */
export type Fixes = Readonly<Record<Aspect, readonly Fix[]>>;

/** The four verdicts of a plan. */
export type Verdicts = Readonly<Record<Aspect, Verdict>>;

/** Most fixes shown for one verdict. */
const MOST_FIXES = 3;
/** Candidates for one verdict that are worked out for real before three are shown, and where the estimate does not see what is wrong. */
const MOST_SETTLED = 5;
const MOST_SETTLED_BLIND = 20;
/** A verdict whose bar is fuller than this needs no advice. */
const COMFORTABLE_BAR = 0.8;
/** Least gain in bar length that is worth a person's attention. */
const LEAST_GAIN = 0.02;

/** Verdicts that want a fix. */
export const wantingFixes = (verdicts: Verdicts): Aspect[] =>
  ASPECTS.filter((aspect) => wantsFix(verdicts[aspect]));

/** Places of candidates in their list, for each verdict. */
export type Likely = Readonly<Record<Aspect, readonly number[]>>;

/** Every place that it names, once: what helps several verdicts is worked out once. */
export const placesOf = (likely: Likely): number[] => [
  ...new Set(ASPECTS.flatMap((aspect) => likely[aspect])),
];

/** Nothing for any verdict. */
export const NO_FIXES = { inTime: [], tight: [], square: [], flat: [] } as const satisfies Fixes & Likely;

/**
 * Candidates that look best in the estimate, for each verdict that wants a fix: worth working out in full, and only of those anything is
 * shown. Deterministic.
 * @param verdicts verdicts of the build by estimates.
 * @param tried candidates by estimates.
 * @param settled verdicts of the build as they come out in full.
 */
export function likelyFixes(verdicts: Verdicts, tried: readonly Tried[], settled: Verdicts): Likely {
  const likelyFor = (aspect: Aspect) =>
    stateRank(settled[aspect].state) < stateRank(verdicts[aspect].state)
      ? bestOf(aspect, tried, MOST_SETTLED_BLIND)
      : bestFor(aspect, verdicts, tried, MOST_SETTLED);
  const likely = wantingFixes(settled).map((aspect) => [aspect, likelyFor(aspect).map(({ place }) => place)]);
  return { ...NO_FIXES, ...(Object.fromEntries(likely) as Partial<Likely>) };
}

/**
 * For each verdict that wants a fix the three that help most without making another verdict worse; only what mends a failure may bring
 * another from *holds* to *close*. Deterministic.
 * @param now verdicts of the build.
 * @param tried what was worked out for a verdict.
 */
export function rankFixes(now: Verdicts, tried: (aspect: Aspect) => readonly Tried[]): Fixes {
  const ranked = wantingFixes(now).map((aspect) => [
    aspect,
    fixesOf(aspect, now, bestFor(aspect, now, tried(aspect), MOST_FIXES)),
  ]);
  return { ...NO_FIXES, ...(Object.fromEntries(ranked) as Partial<Fixes>) };
}

function wantsFix({ state, barShare }: Verdict): boolean {
  return state !== 'holds' || barShare < COMFORTABLE_BAR;
}

/** A candidate at its place in the list, with what it comes to. */
export interface Tried {
  readonly place: number;
  readonly candidate: Candidate;
  readonly verdicts: Verdicts;
}

/** Those that help. */
const bestFor = (aspect: Aspect, before: Verdicts, tried: readonly Tried[], most: number): Tried[] =>
  bestOf(
    aspect,
    tried.filter((attempt) => helps(aspect, before, attempt.verdicts)),
    most,
  );

/** One of each kind of change. */
function bestOf(aspect: Aspect, tried: readonly Tried[], most: number): Tried[] {
  const chosen: Tried[] = [];
  for (const attempt of [...tried].sort((a, b) => score(aspect, b) - score(aspect, a))) {
    const sameKind = chosen.some(({ candidate }) => candidate.change.code === attempt.candidate.change.code);
    if (!sameKind && chosen.length < most) chosen.push(attempt);
  }
  return chosen;
}

function fixesOf(aspect: Aspect, before: Verdicts, chosen: readonly Tried[]): Fix[] {
  return chosen.map(({ candidate, verdicts: after }) => ({
    aspect,
    change: candidate.change,
    before: before[aspect],
    after: after[aspect],
    states: {
      inTime: after.inTime.state,
      tight: after.tight.state,
      square: after.square.state,
      flat: after.flat.state,
    },
    costs: worsened(before, after),
    build: candidate.build,
    first: candidate.first ?? null,
  }));
}

/** Verdicts that come out in a worse state. */
const worsened = (before: Verdicts, after: Verdicts): Aspect[] =>
  ASPECTS.filter((aspect) => stateRank(after[aspect].state) < stateRank(before[aspect].state));

function helps(aspect: Aspect, before: Verdicts, after: Verdicts): boolean {
  const was = before[aspect];
  const is = after[aspect];
  const mends = was.state === 'fails' && is.state !== 'fails';
  // What mends a failure may leave less room elsewhere, but breaks nothing; all else costs nothing.
  if (worsened(before, after).some((other) => !mends || after[other].state === 'fails')) return false;
  return stateRank(is.state) > stateRank(was.state) || is.barShare >= was.barShare + LEAST_GAIN;
}

/** State first, then bar length, less what the edit asks of the person. */
function score(aspect: Aspect, { candidate, verdicts }: Tried): number {
  const total = ASPECTS.reduce((sum, each) => sum + stateRank(verdicts[each].state), 0);
  const { state, barShare } = verdicts[aspect];
  return 100 * stateRank(state) + 10 * total + 4 * barShare - effortOf(candidate.change);
}

import {
  type Learned,
  type Measure,
  MEASURES,
  NOTHING_LEARNED,
  type ShopDocument,
  type Work,
  WORKS,
} from '../formats';
import { paceOf, USUAL_SCATTER, WINDOW_CV } from '../plan';
import type { RunEvidence } from './run-evidence';
import { median, robustMean, robustSd, shrunk } from './statistics';
import { windowFactor } from './window-factor';

/** One glue-up behind something learned, and how much it counted: 0 for one that was spoilt. */
export interface Behind {
  readonly runId: string;
  readonly buildName: string;
  readonly atMs: number;
  readonly value: number;
  readonly weight: number;
}

/** What it is about. */
export type Subject =
  | { readonly kind: 'pace'; readonly work: Work; readonly method: string }
  | { readonly kind: 'scatter' }
  | { readonly kind: 'window'; readonly adhesive: string }
  | { readonly kind: 'reached'; readonly measure: Measure; readonly template: string };

/** Something that the log teaches, with what plans go by now, what it comes to, and how sure that is. */
export interface Lore {
  readonly key: string;
  readonly subject: Subject;
  /** What plans go by today; null where they go by nothing of the kind. */
  readonly before: number | null;
  readonly after: number;
  /** Ends of the 95 % interval of `after`. */
  readonly low: number;
  readonly high: number;
  /** A second figure: from day to day beside from step to step; the poor end beside the usual. Null where there is none. */
  readonly second: number | null;
  readonly runs: number;
  readonly behind: readonly Behind[];
  readonly state: 'proposed' | 'in-use' | 'refused' | 'too-little';
}

/** Fewest glue-ups that teach a pace or a window, what is usual, and how much it scatters. */
const ENOUGH = { pace: 3, window: 4, scatter: 6, reached: 5 };
/** A change smaller than this is not worth anybody's attention. */
const WORTH = 0.05;
/** Glue-ups of one person differ from day to day by at least so much [judgement]. */
const LEAST_DAY_SD = 0.08;
const WIDE = 1.96;

const clamped = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value));

/** Everything that some glue-ups teach a shop, whether it is in use, refused, or still to be decided. */
export function learn(evidence: readonly RunEvidence[], shop: ShopDocument): Lore[] {
  const learned = shop.learned ?? NOTHING_LEARNED;
  return [
    ...paces(evidence, shop, learned),
    ...scatter(evidence, learned),
    ...windows(evidence, learned),
    ...reached(evidence, learned),
  ];
}

/** Logarithm of taken over built-in minutes of one work in one run; null where it had none. */
function workLog({ works }: RunEvidence, work: Work, person: string | null = null): number | null {
  const own = works.filter((each) => each.work === work && (person === null || each.person === person));
  const sum = (of: 'takenMin' | 'builtInMin') => own.reduce((total, each) => total + each[of], 0);
  return own.length === 0 ? null : Math.log(sum('takenMin') / sum('builtInMin'));
}

const valued = (
  evidence: readonly RunEvidence[],
  valueOf: (run: RunEvidence) => number | null,
): { readonly run: RunEvidence; readonly value: number }[] =>
  evidence.flatMap((run) => {
    const value = valueOf(run);
    return value === null ? [] : [{ run, value }];
  });

/** A pace out of the runs that show it. */
function paceFrom(own: readonly { readonly run: RunEvidence; readonly value: number }[]) {
  const found = robustMean(
    own.map(({ value }) => value),
    LEAST_DAY_SD,
  );
  const known = shrunk(found, LEAST_DAY_SD);
  return {
    after: Math.exp(known.mean),
    low: Math.exp(known.mean - WIDE * known.sd),
    high: Math.exp(known.mean + WIDE * known.sd),
    behind: own.map(({ run, value }, i) => behind(run, Math.exp(value), found.weights[i] ?? 0)),
  };
}

const behind = ({ runId, buildName, atMs }: RunEvidence, value: number, weight: number): Behind => ({
  runId,
  buildName,
  atMs,
  value,
  weight,
});

function paces(evidence: readonly RunEvidence[], shop: ShopDocument, learned: Learned): Lore[] {
  const pace = paceOf(shop);
  return WORKS.flatMap((work) => {
    const methods = work === 'spread' ? [...new Set(evidence.map(({ method }) => method))] : [''];
    return methods.flatMap((method): Lore[] => {
      const own = valued(
        evidence.filter((run) => method === '' || run.method === method),
        (run) => workLog(run, work),
      );
      if (own.length === 0) return [];
      const key = `pace:${work}:${method}`;
      const { after, ...rest } = paceFrom(own);
      const entry = learned.pace.find((each) => each.work === work && each.method === method);
      const standing = { key, before: pace(work, method), after, inUse: entry !== undefined };
      return [
        {
          key,
          subject: { kind: 'pace', work, method },
          before: standing.before,
          after,
          ...rest,
          second: null,
          runs: own.length,
          state: stateOf({ ...standing, ...rest, runs: own.length }, ENOUGH.pace, learned),
        },
      ];
    });
  });
}

/** Pace of each person by work, against the built-in one, for those who were named. */
export interface PersonPace {
  readonly person: string;
  readonly work: Work;
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  readonly runs: number;
}

/** How fast each of a crew works, as far as it was written down who did what. */
export function pacesByPerson(evidence: readonly RunEvidence[]): PersonPace[] {
  const people = [
    ...new Set(evidence.flatMap(({ works }) => works.flatMap(({ person }) => person ?? []))),
  ].sort();
  return people.flatMap((person) =>
    WORKS.flatMap((work): PersonPace[] => {
      const own = valued(evidence, (run) => workLog(run, work, person));
      if (own.length < ENOUGH.pace) return [];
      const { after, low, high } = paceFrom(own);
      return [{ person, work, factor: after, low, high, runs: own.length }];
    }),
  );
}

/** How much one step differs from another like it, and one day from another. */
function scatter(evidence: readonly RunEvidence[], learned: Learned): Lore[] {
  const means = new Map(
    WORKS.map((work) => [work, median(evidence.flatMap((run) => workLog(run, work) ?? []))] as const),
  );
  const days = evidence.flatMap((run) => {
    const own = run.works.filter(({ work }) => Number.isFinite(means.get(work)));
    const steps = own.reduce((sum, each) => sum + each.steps, 0);
    const taken = own.reduce((sum, { takenMin }) => sum + takenMin, 0);
    const usual = own.reduce(
      (sum, { work, builtInMin }) => sum + builtInMin * Math.exp(means.get(work) ?? 0),
      0,
    );
    return run.stepSd === null || steps === 0
      ? []
      : [{ run, steps, stepSd: run.stepSd, value: Math.log(taken / usual) }];
  });
  if (days.length === 0) return [];
  const stepSd = median(days.map((day) => day.stepSd));
  // What is left of the scatter of days once that of their steps is taken off.
  const chance = stepSd / Math.sqrt(median(days.map(({ steps }) => steps)));
  const daySd = Math.sqrt(Math.max(0, robustSd(days.map(({ value }) => value)) ** 2 - chance ** 2));
  const cv = (sd: number) => clamped(Math.sqrt(Math.exp(sd * sd) - 1), 0.02, 2);
  const after = cv(stepSd);
  const unsure = (1.25 * robustSd(days.map((day) => day.stepSd))) / Math.sqrt(days.length);
  const inUse = learned.scatter !== null;
  const before = learned.scatter?.stepCv ?? USUAL_SCATTER.stepCv;
  const rest = { low: Math.max(0, after - WIDE * unsure), high: after + WIDE * unsure };
  return [
    {
      key: 'scatter',
      subject: { kind: 'scatter' },
      before,
      after,
      ...rest,
      second: cv(daySd),
      runs: days.length,
      behind: days.map(({ run, value }) => behind(run, Math.exp(value), 1)),
      state: stateOf(
        { key: 'scatter', before, after, inUse, ...rest, runs: days.length },
        ENOUGH.scatter,
        learned,
      ),
    },
  ];
}

function windows(evidence: readonly RunEvidence[], learned: Learned): Lore[] {
  const families = [...new Set(evidence.flatMap((run) => (run.windows.length > 0 ? [run.adhesive] : [])))];
  return families.map((adhesive): Lore => {
    const told = evidence.filter((run) => run.adhesive === adhesive && run.windows.length > 0);
    const { mean, sd } = windowFactor(told.flatMap((run) => run.windows));
    const entry = learned.windows.find((each) => each.adhesive === adhesive);
    const key = `window:${adhesive}`;
    const after = Math.exp(mean);
    const rest = { low: Math.exp(mean - WIDE * sd), high: Math.exp(mean + WIDE * sd) };
    const before = entry?.factor ?? 1;
    return {
      key,
      subject: { kind: 'window', adhesive },
      before,
      after,
      ...rest,
      second: WINDOW_CV,
      runs: told.length,
      behind: told.map((run) => behind(run, Math.max(...run.windows.map(({ share }) => share)), 1)),
      state: stateOf(
        { key, before, after, inUse: entry !== undefined, ...rest, runs: told.length },
        ENOUGH.window,
        learned,
      ),
    };
  });
}

/** One of ten is poorer than so many standard deviations above the usual. */
const POOR = 1.28;

const MEASURED: Readonly<Record<Measure, (run: RunEvidence) => number | null | undefined>> = {
  square: ({ squareMm }) => squareMm,
  flat: ({ flatMm }) => flatMm,
  gap: ({ gapMm }) => gapMm,
};

function reached(evidence: readonly RunEvidence[], learned: Learned): Lore[] {
  const templates = [...new Set(evidence.map(({ template }) => template))];
  return templates.flatMap((template) =>
    MEASURES.flatMap((measure): Lore[] => {
      const own = valued(
        evidence.filter((run) => run.template === template),
        (run) => MEASURED[measure](run) ?? null,
      );
      if (own.length === 0) return [];
      const values = own.map(({ value }) => value);
      const typical = median(values);
      const sd = Math.max(robustSd(values), typical / 4);
      const unsure = (1.25 * sd) / Math.sqrt(own.length);
      const entry = learned.reached.find((each) => each.measure === measure && each.template === template);
      const key = `reached:${measure}:${template}`;
      const rest = { low: Math.max(0, typical - WIDE * unsure), high: typical + WIDE * unsure };
      const before = entry?.typicalMm ?? null;
      return [
        {
          key,
          subject: { kind: 'reached', measure, template },
          before,
          after: typical,
          ...rest,
          second: typical + POOR * sd,
          runs: own.length,
          behind: own.map(({ run, value }) => behind(run, value, 1)),
          state: stateOf(
            { key, before, after: typical, inUse: entry !== undefined, ...rest, runs: own.length },
            ENOUGH.reached,
            learned,
          ),
        },
      ];
    }),
  );
}

/** Whether something is put forward. What is in use is put forward anew once the log says something else for sure. */
function stateOf(
  {
    key,
    before,
    after,
    low,
    high,
    runs,
    inUse,
  }: Pick<Lore, 'key' | 'before' | 'after' | 'low' | 'high' | 'runs'> & { readonly inUse: boolean },
  enough: number,
  { refused }: Learned,
): Lore['state'] {
  if (refused.includes(key)) return 'refused';
  const differs =
    before === null || ((before < low || before > high) && Math.abs(Math.log(after / before)) >= WORTH);
  if (runs >= enough && differs) return 'proposed';
  return inUse ? 'in-use' : 'too-little';
}

import { positionOf, type RunPosition, type ScriptOperation, scriptOfRun, windowsUsed } from '../bench';
import { type ClosedAs, type RunDocument, type RunEvent, type Work, WORKS } from '../formats';
import { readAfterwards, readRun } from '../runs';
import { median, robustSd } from './statistics';

/** Steps of one work as they were worked, against what the built-in pace has for them. */
export interface WorkEvidence {
  readonly work: Work;
  /** Who did them; null where nobody wrote that down, or several were at it together. */
  readonly person: string | null;
  readonly steps: number;
  readonly builtInMin: number;
  readonly takenMin: number;
}

/** How much of its likely windows a joint used up, and how its glue was then. */
export interface WindowEvidence {
  readonly joint: string;
  /** Largest share used of the catalogue's likely open, closed and total times. */
  readonly share: number;
  readonly how: ClosedAs;
}

/** What one glue-up has to teach. */
export interface RunEvidence {
  readonly runId: string;
  readonly buildName: string;
  readonly atMs: number;
  readonly template: string;
  readonly adhesive: string;
  readonly method: string;
  readonly works: readonly WorkEvidence[];
  /** How much steps of one work differ from each other, as standard deviation of the logarithm; null where too few tell. */
  readonly stepSd: number | null;
  readonly windows: readonly WindowEvidence[];
  /** The largest share of any joint's windows that was used up, whether anybody told how its glue was; null where none burned. */
  readonly used: number | null;
  /** The largest share of any fuse that was burnt, by the short ends of its windows; left out by evidence from before. */
  readonly fuseUsed?: number | null;
  /** Half the difference of the diagonals, and the gap under a straightedge; null where nobody read them. */
  readonly squareMm: number | null;
  readonly flatMm: number | null;
  /** Widest gap left in any line; null where nobody looked. Left out by evidence from before. */
  readonly gapMm?: number | null;
  /** Promised share of glue-ups whose windows hold; null where none was. */
  readonly likely: number | null;
  /** Whether its windows held: by how the glue was where that was told, else by the clock. Null where neither tells. */
  readonly kept: boolean | null;
}

const WORK_OF: Readonly<Partial<Record<string, Work>>> = {
  spread: 'spread',
  coat: 'spread',
  close: 'close',
  'set-clamp': 'press',
  caul: 'press',
  tape: 'press',
  wrap: 'press',
  bag: 'press',
  tap: 'press',
  iron: 'press',
  tighten: 'tighten',
  check: 'check',
};

/** Which work a kind of step counts as; null for what no pace is learned of. */
export const workOf = (kind: string): Work | null => WORK_OF[kind] ?? null;

const MS_PER_MIN = 60_000;
/** Shorter steps are not told apart from the pressing of a key, min. */
const SHORT_MIN = 0.05;
/** What happens in a step and makes it tell nothing of the pace. */
const SPOILS: ReadonlySet<RunEvent['kind']> = new Set([
  'mishap',
  'fresh-bead',
  'back',
  'order',
  'helper-in',
  'helper-out',
  'clock-set',
  'taken-over',
]);

/**
 * What a run has to teach. Null for one that was given up, that still goes on, or that was begun before runs kept their script and the
 * pace it was planned by.
 */
export function evidenceOf(run: RunDocument): RunEvidence | null {
  const { state, record } = readRun(run);
  const { job, paces, likely } = run.promise;
  if (state !== 'clamped' || run.script === null || job === undefined || paces === undefined) return null;
  const script = scriptOfRun(run.script);
  const position = positionOf(script, run.startedAtMs, run.events);
  const windows = windowsOf(run);
  const steps = script.operations.flatMap((operation) => stepOf(run, operation, position) ?? []);
  return {
    runId: run.id,
    buildName: run.buildName,
    atMs: run.startedAtMs,
    template: job.template,
    adhesive: run.promise.adhesive,
    method: job.method,
    works: worksOf(steps),
    stepSd: stepSdOf(steps),
    windows: windows.flatMap(({ joint, share, how }) => (how === null ? [] : [{ joint, share, how }])),
    used: windows.length === 0 ? null : Math.max(...windows.map(({ share }) => share)),
    fuseUsed: windows.length === 0 ? null : Math.max(...windows.map(({ short }) => short)),
    squareMm: record.diagonalDifferenceMm === null ? null : record.diagonalDifferenceMm / 2,
    flatMm: record.flatnessMm,
    gapMm: record.widestGapMm,
    likely: likely ?? null,
    kept: keptOf(windows, run),
  };
}

/** One step as it was worked. */
type Step = Omit<WorkEvidence, 'steps'>;

/** Steps by their work and by who did them. */
function worksOf(steps: readonly Step[]): WorkEvidence[] {
  const byWork = new Map<string, WorkEvidence>();
  for (const { work, person, builtInMin, takenMin } of steps) {
    const key = `${work} ${person ?? ''}`;
    const before = byWork.get(key) ?? { work, person, steps: 0, builtInMin: 0, takenMin: 0 };
    byWork.set(key, {
      ...before,
      steps: before.steps + 1,
      builtInMin: before.builtInMin + builtInMin,
      takenMin: before.takenMin + takenMin,
    });
  }
  return [...byWork.values()];
}

/** Fewest steps of which a scatter is told. */
const ENOUGH_STEPS = 6;

/** Steps against the middle of their own work that day; works of a single step tell nothing. */
function stepSdOf(steps: readonly Step[]): number | null {
  const residuals = WORKS.flatMap((work) => {
    const logs = steps.flatMap((step) =>
      step.work === work ? [Math.log(step.takenMin / step.builtInMin)] : [],
    );
    const middle = median(logs);
    // The middle is one of them, or lies between two: n − 1 of n are free.
    const widened = Math.sqrt(logs.length / Math.max(1, logs.length - 1));
    return logs.length < 3 ? [] : logs.map((log) => (log - middle) * widened);
  });
  return residuals.length < ENOUGH_STEPS ? null : robustSd(residuals);
}

function stepOf(run: RunDocument, operation: ScriptOperation, position: RunPosition): Step | null {
  const { id, kind, startMin, endMin, wait, hands } = operation;
  const work = workOf(kind);
  const [begunMs, doneMs] = [position.begunAtMs.get(id), position.done.get(id)];
  if (work === null || wait !== null || begunMs === undefined || doneMs === undefined) return null;
  if (run.events.some((event) => SPOILS.has(event.kind) && event.atMs >= begunMs && event.atMs <= doneMs)) {
    return null;
  }
  const factor = run.promise.paces?.find((pace) => pace.work === work)?.factor ?? 1;
  const builtInMin = (endMin - startMin) / factor;
  const takenMin = (doneMs - begunMs) / MS_PER_MIN;
  if (builtInMin < SHORT_MIN || takenMin <= 0) return null;
  const [hand] = hands;
  const person = hands.length === 1 && hand !== undefined ? (run.promise.people?.[hand] ?? null) : null;
  return { work, builtInMin, takenMin, person };
}

interface UsedWindow {
  readonly joint: string;
  readonly share: number;
  /** Of the windows' short ends. */
  readonly short: number;
  readonly how: ClosedAs | null;
}

/** How each joint used its windows, the catalogue's likely ones. */
function windowsOf(run: RunDocument): UsedWindow[] {
  const told = readAfterwards(run).closed;
  const factor = run.promise.window?.factor ?? 1;
  return windowsUsed(run).map(({ joint, open, press, short }) => ({
    joint,
    share: factor * Math.max(open, press),
    short,
    how: told.get(joint) ?? null,
  }));
}

/** The joint that used most of its windows is the one to ask about; null where none burned. */
export function closestJoint(run: RunDocument): string | null {
  return [...windowsOf(run)].sort((a, b) => b.share - a.share)[0]?.joint ?? null;
}

function keptOf(windows: readonly UsedWindow[], { events, promise }: RunDocument): boolean | null {
  if (windows.length === 0) return null;
  if (windows.some(({ how }) => how === 'skinned')) return false;
  if (events.some(({ payload }) => payload?.mishap?.what === 'grabs-early')) return false;
  const closest = [...windows].sort((a, b) => b.share - a.share)[0];
  if (closest?.how === 'wet' || closest?.how === 'tacky') return true;
  return windows.every(({ share }) => share <= (promise.window?.factor ?? 1));
}

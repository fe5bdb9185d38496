import { type BenchScript, positionOf, type RunPosition, type ScriptOperation, scriptOfRun } from '../bench';
import type { ClosedAs, RunDocument, RunEvent, Work } from '../formats';
import { readRun } from '../runs';

/** One step as it was worked, against what the built-in pace has for it. */
export interface StepEvidence {
  readonly work: Work;
  /** Logarithm of taken over built-in minutes. */
  readonly log: number;
  readonly builtInMin: number;
  readonly takenMin: number;
  /** Who did it; null where nobody wrote that down. */
  readonly person: string | null;
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
  readonly steps: readonly StepEvidence[];
  readonly windows: readonly WindowEvidence[];
  /** Half the difference of the diagonals, and the gap under a straightedge; null where nobody read them. */
  readonly squareMm: number | null;
  readonly flatMm: number | null;
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
  const windows = windowsOf(run, script, position);
  return {
    runId: run.id,
    buildName: run.buildName,
    atMs: run.startedAtMs,
    template: job.template,
    adhesive: run.promise.adhesive,
    method: job.method,
    steps: script.operations.flatMap((operation) => stepOf(run, operation, position) ?? []),
    windows: windows.flatMap(({ how, ...rest }) => (how === null ? [] : [{ ...rest, how }])),
    squareMm: record.diagonalDifferenceMm === null ? null : record.diagonalDifferenceMm / 2,
    flatMm: record.flatnessMm,
    likely: likely ?? null,
    kept: keptOf(windows, run),
  };
}

function stepOf(run: RunDocument, operation: ScriptOperation, position: RunPosition): StepEvidence | null {
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
  return { work, log: Math.log(takenMin / builtInMin), builtInMin, takenMin, person };
}

interface UsedWindow {
  readonly joint: string;
  readonly share: number;
  readonly how: ClosedAs | null;
}

/** How each joint used its windows, the catalogue's likely ones. */
function windowsOf(run: RunDocument, { fuses }: BenchScript, position: RunPosition): UsedWindow[] {
  const {
    factor,
    open,
    closed: shut,
    total,
  } = run.promise.window ?? { factor: 1, open: 1, closed: 1, total: 1 };
  const told = new Map<string, ClosedAs>();
  for (const { joint, payload } of run.events) {
    if (joint !== undefined && payload?.closed !== undefined) told.set(joint, payload.closed);
  }
  return fuses.flatMap(({ joint, lit, closed, holds, openMin, closedMin, totalMin }): UsedWindow[] => {
    const [litMs, closedMs] = [position.begunAtMs.get(lit), position.done.get(closed)];
    const outs = holds.map((id) => position.done.get(id) ?? Infinity);
    const outMs = Math.max(...outs);
    if (litMs === undefined || closedMs === undefined || !Number.isFinite(outMs)) return [];
    const used = (ms: number, min: number) => (ms / MS_PER_MIN / min) * factor;
    const share = Math.max(
      used(closedMs - litMs, openMin * open),
      used(outMs - closedMs, closedMin * shut),
      used(outMs - litMs, totalMin * total),
    );
    return Number.isFinite(share) ? [{ joint, share, how: told.get(joint) ?? null }] : [];
  });
}

/** The joint that used most of its windows is the one to ask about; null where none burned. */
export function closestJoint(run: RunDocument): string | null {
  if (run.script === null) return null;
  const script = scriptOfRun(run.script);
  const windows = windowsOf(run, script, positionOf(script, run.startedAtMs, run.events));
  return [...windows].sort((a, b) => b.share - a.share)[0]?.joint ?? null;
}

function keptOf(windows: readonly UsedWindow[], { events, promise }: RunDocument): boolean | null {
  if (windows.length === 0) return null;
  if (windows.some(({ how }) => how === 'skinned')) return false;
  if (events.some(({ payload }) => payload?.mishap?.what === 'grabs-early')) return false;
  const closest = [...windows].sort((a, b) => b.share - a.share)[0];
  if (closest?.how === 'wet' || closest?.how === 'tacky') return true;
  return windows.every(({ share }) => share <= (promise.window?.factor ?? 1));
}

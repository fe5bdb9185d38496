import { availableParallelism } from 'node:os';
import type { PaperFile } from '@lean-clasp/paper';
import { Piscina } from 'piscina';
import { HttpError, httpError } from '../http/errors';
import type { FileTask, Task, TaskOutcome } from './task';

/** Workers beside the thread that answers. */
export interface WorkPool {
  /**
   * Works a task out.
   * @param gone ends it when whoever asked has left.
   * @returns JSON, ready to be sent.
   * @throws HttpError 422 for input that is refused or takes more time or memory than there is, 503 when too many wait.
   */
  readonly run: (task: Task, gone: AbortSignal) => Promise<string>;
  /** Makes a file, likewise. */
  readonly file: (task: FileTask, gone: AbortSignal) => Promise<PaperFile>;
  readonly close: () => Promise<void>;
}

/** The program that workers run. */
export interface WorkerProgram {
  readonly file: string;
  readonly execArgv?: readonly string[];
}

/** A calculation answers or is refused within this, a whole plan with all of its fixes, or a file of it, within those, ms. */
const LIMITS_MS: Readonly<Record<Task['kind'], number>> = {
  calc: 4200,
  plan: 20_000,
  paper: 30_000,
  'shop-list': 60_000,
  warm: 60_000,
};
/** Memory of one worker, MB. */
const MOST_MB = 768;
/** Questions that may wait for a worker. */
const MOST_WAITING = 64;
const IDLE_MS = 60_000;

/** Starts workers once something is asked of them, as many as are needed, up to one fewer than there are processors. */
export function workPool(program: WorkerProgram): WorkPool {
  let started: Promise<Workers> | undefined;
  const outcomeOf = async (task: Task, gone: AbortSignal): Promise<TaskOutcome> => {
    started ??= startWorkers(program);
    const pool = await started;
    const late = AbortSignal.timeout(LIMITS_MS[task.kind]);
    try {
      const outcome = await pool.run(task, { signal: AbortSignal.any([gone, late]) });
      if (outcome.kind !== 'refused') return outcome;
      throw new HttpError(422, { ...outcome.body });
    } catch (error) {
      throw late.aborted ? tooLong(LIMITS_MS[task.kind]) : (refusalOf(error) ?? error);
    }
  };
  return {
    run: async (task, gone) => {
      const outcome = await outcomeOf(task, gone);
      if (outcome.kind !== 'answer') throw new Error(`${task.kind} was not answered in JSON`);
      return outcome.json;
    },
    file: async (task, gone) => {
      const outcome = await outcomeOf(task, gone);
      if (outcome.kind !== 'file') throw new Error('no file was made');
      return outcome.file;
    },
    close: async () => (await started)?.destroy(),
  };
}

type Workers = Piscina<Task, TaskOutcome>;

/** Limits count from when there is a worker, not from when its program is first read: it has been by the time this answers. */
async function startWorkers({ file, execArgv = [] }: WorkerProgram): Promise<Workers> {
  const pool: Workers = new Piscina({
    filename: file,
    execArgv: [...execArgv],
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  });
  await pool.run({ kind: 'warm' }).catch(() => undefined);
  return pool;
}

const tooLong = (limitMs: number): HttpError =>
  httpError(
    422,
    'too-long',
    `This takes more than ${limitMs / 1000} s here.`,
    'less at once: fewer joints, boards, parts or places; the page itself has no such limit',
  );

function refusalOf(error: unknown): HttpError | undefined {
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  const message = error instanceof Error ? error.message : '';
  if (code === 'ERR_WORKER_OUT_OF_MEMORY') {
    return httpError(422, 'too-large', 'This takes more memory than there is.', 'less at once');
  }
  if (message.includes('Task queue is at limit')) {
    return httpError(503, 'busy', 'Too many calculations wait already.', 'the same again in a moment');
  }
  return undefined;
}

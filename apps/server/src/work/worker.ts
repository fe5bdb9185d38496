import { InputError } from '@lean-clasp/core/basics';
import { type PaperFile, PaperAskSchema, paperOf } from '@lean-clasp/paper';
import { askedPlan, createCalculator, createValidator, errorBody, planReply } from '@lean-clasp/validation';
import { formatFor, saidPlan } from '@lean-clasp/words';
import type { Task, TaskOutcome } from './task';

const validator = createValidator();
const calculator = createCalculator(validator);

/** Works one task out, off the thread that answers; what comes back is ready to be sent. */
export default async function work(task: Task): Promise<TaskOutcome> {
  try {
    if (task.kind === 'paper') return { kind: 'file', file: await fileFor(task) };
    return { kind: 'answer', json: JSON.stringify(answerTo(task), finite) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { kind: 'refused', body: errorBody(error) };
  }
}

function fileFor({ ask, input }: Extract<Task, { kind: 'paper' }>): Promise<PaperFile> {
  return paperOf(askedPlan(input, validator), validator.check(PaperAskSchema, ask));
}

function answerTo(task: Exclude<Task, { kind: 'paper' }>): unknown {
  switch (task.kind) {
    case 'calc':
      return calculator.run(task.name, task.input);
    case 'plan':
      return saidPlan(planReply(task.input, validator), formatFor('metric'));
    case 'warm':
      return null;
  }
}

/** A number that is none would go out as null, and be taken for something that was not asked. */
function finite(field: string, value: unknown): unknown {
  if (typeof value === 'number' && !Number.isFinite(value)) {
    throw new InputError(
      'out-of-range',
      field,
      'These figures together have no finite answer.',
      'sizes and forces nearer to each other',
    );
  }
  return value;
}

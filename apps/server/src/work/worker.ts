import { InputError } from '@lean-clasp/core/basics';
import { type BuildDocument, ShopDocumentSchema } from '@lean-clasp/core/formats';
import type { Plan } from '@lean-clasp/core/plan';
import { shopList } from '@lean-clasp/core/shop-list';
import { type PaperFile, PaperAskSchema, paperOf, shopListPdf } from '@lean-clasp/paper';
import { askedPlan, createCalculator, createValidator, errorBody, planReply } from '@lean-clasp/validation';
import { formatFor, saidPlan } from '@lean-clasp/words';
import type { FileTask, Task, TaskOutcome } from './task';

const validator = createValidator();
const calculator = createCalculator(validator);

/** Works one task out, off the thread that answers; what comes back is ready to be sent. */
export default async function work(task: Task): Promise<TaskOutcome> {
  try {
    if (task.kind === 'paper' || task.kind === 'shop-list')
      return { kind: 'file', file: await fileFor(task) };
    return { kind: 'answer', json: JSON.stringify(answerTo(task), finite) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { kind: 'refused', body: errorBody(error) };
  }
}

async function fileFor(task: FileTask): Promise<PaperFile> {
  if (task.kind === 'paper') {
    return paperOf(askedPlan(task.input, validator), validator.check(PaperAskSchema, task.ask));
  }
  const shop = validator.check(ShopDocumentSchema, task.shop);
  const plans: Plan[] = [];
  const left: { build: string; why: string }[] = [];
  for (const build of task.builds) {
    try {
      plans.push(askedPlan({ build, shop }, validator));
    } catch (error) {
      // One that cannot be planned does not keep the others from their list.
      if (!(error instanceof InputError)) throw error;
      left.push({ build: (build as BuildDocument).name, why: error.message });
    }
  }
  const { paper, units } = task.ask;
  return {
    bytes: await shopListPdf(shopList(plans, shop, left), paper, units),
    type: 'application/pdf',
    ending: 'pdf',
  };
}

function answerTo(task: Exclude<Task, FileTask>): unknown {
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

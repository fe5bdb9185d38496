import type { Finding } from '@lean-clasp/core/findings';
import { gatherList } from '@lean-clasp/core/bench';
import { drawingOf, type Figure } from '@lean-clasp/core/drawing';
import { findFixes, type Fix } from '@lean-clasp/core/fixes';
import {
  type BuildDocument,
  BuildDocumentSchema,
  type ShopDocument,
  ShopDocumentSchema,
} from '@lean-clasp/core/formats';
import { panelPressure } from '@lean-clasp/core/mechanics';
import {
  type Plan,
  planAnswer,
  type PlanAnswer,
  planBuild,
  type PlanInput,
  planQuestion,
  settlePlan,
} from '@lean-clasp/core/plan';
import { Type } from '@sinclair/typebox';
import { createValidator, type Validator } from './validator';

/** Loosely what may be asked; the build that comes of it is checked against its own schema. */
export const PlanInputSchema = Type.Unsafe<PlanInput>({
  type: 'object',
  additionalProperties: false,
  properties: {
    build: { type: 'object' },
    shop: { type: 'object' },
    template: { type: 'string' },
    answers: { type: 'object' },
    ...Object.fromEntries(
      Object.keys(BuildDocumentSchema.properties)
        .filter((name) => !['format', 'version', 'template', 'answers'].includes(name))
        .map((name) => [name, {}]),
    ),
  },
});

/** A settled plan with what to gather and what would help. */
export interface PlanReply extends PlanAnswer {
  readonly gather: readonly Finding[];
  readonly fixes: readonly Fix[];
  readonly drawing: Figure;
}

/** A build and a shop that unchecked input asks to be planned. */
function checkedQuestion(
  input: unknown,
  validator: Validator,
): { readonly build: BuildDocument; readonly shop: ShopDocument } {
  const question = planQuestion(validator.check(PlanInputSchema, input));
  const shop = validator.check(ShopDocumentSchema, question.shop);
  const build = validator.check(BuildDocumentSchema, question.build);
  return { build, shop };
}

/**
 * The settled plan that unchecked input asks for.
 * @throws InputError for input that the schemas, the kind or the models refuse.
 */
export function askedPlan(input: unknown, validator: Validator = createValidator()): Plan {
  const { build, shop } = checkedQuestion(input, validator);
  return settlePlan(planBuild(build, shop));
}

/**
 * Plans what unchecked input asks for, clamps in their places and fixes pressed for real.
 * @throws InputError for input that the schemas, the kind or the models refuse.
 */
export function planReply(input: unknown, validator: Validator = createValidator()): PlanReply {
  const { build, shop } = checkedQuestion(input, validator);
  const estimate = planBuild(build, shop);
  const plan = settlePlan(estimate);
  const fixes = findFixes(estimate, shop, panelPressure);
  return {
    ...planAnswer(plan),
    gather: gatherList(plan),
    fixes: Object.values(fixes).flat(),
    drawing: drawingOf(plan),
  };
}

import type { Finding } from '@lean-clasp/core/findings';
import { gatherList } from '@lean-clasp/core/bench';
import { drawingOf, type Figure } from '@lean-clasp/core/drawing';
import { findFixes, type Fix } from '@lean-clasp/core/fixes';
import { BuildDocumentSchema, ShopDocumentSchema } from '@lean-clasp/core/formats';
import { panelPressure } from '@lean-clasp/core/mechanics';
import {
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
const PlanInputSchema = Type.Unsafe<PlanInput>({
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

/**
 * Plans what unchecked input asks for, clamps in their places and fixes pressed for real.
 * @throws InputError for input that the schemas, the kind or the models refuse.
 */
export function planReply(input: unknown, validator: Validator = createValidator()): PlanReply {
  const question = planQuestion(validator.check(PlanInputSchema, input));
  const shop = validator.check(ShopDocumentSchema, question.shop);
  const build = validator.check(BuildDocumentSchema, question.build);
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

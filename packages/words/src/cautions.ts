import { kindOf } from '@lean-clasp/core/kinds';
import type { Plan } from '@lean-clasp/core/plan';
import { CLAMP_CAUTION, hazardWords } from './catalogue';
import { KIND_CAUTIONS } from './kind-words';

/** What can hurt in a glue-up: its kind of work, its glue, and clamps where there are any. */
export function cautionWords({
  build,
  adhesive,
  facts,
}: Pick<Plan, 'build' | 'adhesive' | 'facts'>): string[] {
  return [
    ...(kindOf(build.template)?.cautions ?? []).map((caution) => KIND_CAUTIONS[caution]),
    ...(facts.assembly.pressedBy === 'iron' ? [] : [CLAMP_CAUTION]),
    hazardWords(adhesive.hazards),
  ];
}

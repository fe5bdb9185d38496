import type { PlanFinding, PlanFindingValues } from '@lean-clasp/core/findings';
import { CAUSES, CHANGES, COMES_OUT } from './causes';
import type { Format } from './format';
import { KIND_FINDINGS } from './kind-findings';
import { PULL_CAUSES, PULL_CHANGES, PULL_TIGHTENING } from './pulls';
import { PLACING_WORDS, ROW_CAUSES, ROW_CHANGES, ROW_TIGHTENING } from './rows';
import type { Say, Words } from './values';

/** What a plan is judged by and told with, as sentences. */
export const PLAN_SENTENCES: Words<PlanFindingValues> = {
  ...CAUSES,
  ...COMES_OUT,
  ...ROW_CAUSES,
  ...PULL_CAUSES,
  ...CHANGES,
  ...ROW_CHANGES,
  ...PULL_CHANGES,
  ...PLACING_WORDS,
  ...ROW_TIGHTENING,
  ...PULL_TIGHTENING,
  ...KIND_FINDINGS,
};

/** A finding of a plan as a sentence. Words of the bench and of lessons are not needed for it, and wait until they are. */
export const planSays = ({ code, values }: PlanFinding, f: Format): string =>
  (PLAN_SENTENCES[code] as Say<PlanFinding['values']>)(values, f);

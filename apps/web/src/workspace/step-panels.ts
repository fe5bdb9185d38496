import { type ReadIn, readIn } from '../parts/read-in';
import { STEP_LOADERS } from './step-loaders';
import type { StepId } from './steps-list';

/** What each step asks, beside the drawing. */
export const STEP_PANELS: Readonly<Record<StepId, ReadIn>> = {
  fit: readIn(STEP_LOADERS.fit),
  glue: readIn(STEP_LOADERS.glue),
  order: readIn(STEP_LOADERS.order),
  squeeze: readIn(STEP_LOADERS.squeeze),
  rehearse: readIn(STEP_LOADERS.rehearse),
  'glue-up': readIn(STEP_LOADERS['glue-up']),
  record: readIn(STEP_LOADERS.record),
};

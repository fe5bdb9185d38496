import { type ComponentType, lazy } from 'react';
import { STEP_LOADERS } from './step-loaders';
import type { StepId } from './steps-list';

/** What each step asks, beside the drawing. */
export const STEP_PANELS: Readonly<Record<StepId, ComponentType>> = {
  fit: lazy(STEP_LOADERS.fit),
  glue: lazy(STEP_LOADERS.glue),
  order: lazy(STEP_LOADERS.order),
  squeeze: lazy(STEP_LOADERS.squeeze),
  rehearse: lazy(STEP_LOADERS.rehearse),
  'glue-up': lazy(STEP_LOADERS['glue-up']),
  record: lazy(STEP_LOADERS.record),
};

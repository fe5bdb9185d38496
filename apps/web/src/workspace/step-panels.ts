import { type ComponentType, lazy } from 'react';
import type { StepId } from './steps-list';

const LOADERS: Readonly<Record<StepId, () => Promise<{ default: ComponentType }>>> = {
  fit: () => import('./steps/FitStep').then((m) => ({ default: m.FitStep })),
  glue: () => import('./steps/GlueStep').then((m) => ({ default: m.GlueStep })),
  order: () => import('../order/OrderStep').then((m) => ({ default: m.OrderStep })),
  squeeze: () => import('./steps/SqueezeStep').then((m) => ({ default: m.SqueezeStep })),
  rehearse: () => import('./steps/RehearseStep').then((m) => ({ default: m.RehearseStep })),
  'glue-up': () => import('./steps/GlueUpStep').then((m) => ({ default: m.GlueUpStep })),
  record: () => import('./steps/RecordStep').then((m) => ({ default: m.RecordStep })),
};

/** What each step asks, beside the drawing. */
export const STEP_PANELS: Readonly<Record<StepId, ComponentType>> = {
  fit: lazy(LOADERS.fit),
  glue: lazy(LOADERS.glue),
  order: lazy(LOADERS.order),
  squeeze: lazy(LOADERS.squeeze),
  rehearse: lazy(LOADERS.rehearse),
  'glue-up': lazy(LOADERS['glue-up']),
  record: lazy(LOADERS.record),
};

/** Fetches a step's panel ahead of its turn. */
export function preloadStep(step: StepId): void {
  // A failure shows when the step is really opened; here it is only a head start.
  LOADERS[step]().catch(() => undefined);
}

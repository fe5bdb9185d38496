import type { ComponentType } from 'react';
import type { StepId } from './steps-list';

/** What each step asks, beside the drawing; read in when first opened. */
export const STEP_LOADERS: Readonly<Record<StepId, () => Promise<{ default: ComponentType }>>> = {
  fit: () => import('./steps/FitStep').then((m) => ({ default: m.FitStep })),
  glue: () => import('./steps/GlueStep').then((m) => ({ default: m.GlueStep })),
  order: () => import('../order/OrderStep').then((m) => ({ default: m.OrderStep })),
  squeeze: () => import('./steps/SqueezeStep').then((m) => ({ default: m.SqueezeStep })),
  rehearse: () => import('./steps/RehearseStep').then((m) => ({ default: m.RehearseStep })),
  'glue-up': () => import('./steps/GlueUpStep').then((m) => ({ default: m.GlueUpStep })),
  record: () => import('./steps/RecordStep').then((m) => ({ default: m.RecordStep })),
};

/** Fetches a step's panel ahead of its turn. */
export function preloadStep(step: StepId): void {
  // A failure shows when the step is really opened; here it is only a head start.
  STEP_LOADERS[step]().catch(() => undefined);
}

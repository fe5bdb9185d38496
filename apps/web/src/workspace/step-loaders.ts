import type { ComponentType } from 'react';
import type { StepId } from './steps-list';

/** What each step asks, beside the drawing; read in when first opened. */
export const STEP_LOADERS: Readonly<Record<StepId, () => Promise<ComponentType>>> = {
  fit: () => import('./steps/FitStep').then((m) => m.FitStep),
  glue: () => import('./steps/GlueStep').then((m) => m.GlueStep),
  order: () => import('../order/OrderStep').then((m) => m.OrderStep),
  squeeze: () => import('./steps/SqueezeStep').then((m) => m.SqueezeStep),
  rehearse: () => import('./steps/RehearseStep').then((m) => m.RehearseStep),
  'glue-up': () => import('./steps/GlueUpStep').then((m) => m.GlueUpStep),
  record: () => import('./steps/RecordStep').then((m) => m.RecordStep),
};

import type { Plan } from '@lean-clasp/core/plan';

/** What pressures by finite elements change in a plan. */
export interface Settled extends Pick<Plan, 'row' | 'squeeze' | 'verdicts'> {
  /** Null where they are as they were. */
  readonly joints: Plan['joints'] | null;
}

/** The plan with it. */
export const withSettled = (plan: Plan, { joints, ...settled }: Settled): Plan => ({
  ...plan,
  ...settled,
  joints: joints ?? plan.joints,
});

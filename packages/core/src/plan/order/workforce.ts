import type { PlanParts } from '../plan';
import { type Pace, paceOf } from './paces';

/** Clearing the bench and laying out for the next session, min [judgement]. */
export const SET_UP_MIN = 10;

/** Who does it, how fast, and whether clamps are laid out beforehand. */
export interface Workforce {
  readonly crew: number;
  readonly pace: Pace;
  readonly preSet: boolean;
}

/** Hands, their pace, and whether clamps are laid out beforehand, which is the rule unless a build says no. */
export function workforceOf({ build, shop }: Pick<PlanParts, 'build' | 'shop'>): Workforce {
  return { crew: build.crew, pace: paceOf(shop), preSet: build.preSet ?? true };
}

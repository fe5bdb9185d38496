import type { AdhesiveWindow } from '../../adhesives';
import type { GapReading, JointFacts } from '../../assembly';
import type { TargetPressure } from '../../clamps';
import type { Spread, SpreadMethod } from '../../spread';
import type { ClosingAdvice } from './closing';

/** What a joint wants of clamps: pressure along it, a force that brings it home, contact, or nothing. */
export type JointNeed = 'press' | 'seat' | 'touch' | 'none';

/** Everything worked out for one joint, whatever presses it. */
export interface PlannedJoint {
  readonly facts: JointFacts;
  /** Of the wetter part, %. */
  readonly mcPct: number;
  /** Of the other one, %. */
  readonly mcOtherPct: number;
  readonly faces: 1 | 2;
  readonly spread: Spread;
  readonly method: SpreadMethod;
  readonly window: AdhesiveWindow;
  /** Bringing the parts together, min, and how many pairs of hands are at it. */
  readonly closeMin: number;
  readonly closeHands: 1 | 2;
  /** What feelers found; null where nothing was read. */
  readonly gap: GapReading | null;
  /** Whether what was read may be closed by clamps. */
  readonly closing: ClosingAdvice;
  /** Pull that brings what was read down to what the glue fills; infinite where none does. */
  readonly closingForceN: number;
  readonly need: JointNeed;
  /** Pressure between which it is right, MPa; null where none is asked. */
  readonly target: TargetPressure | null;
  /** Softer wood's crushing limit across the grain, MPa. */
  readonly crushMPa: number;
}

import type { Pull } from '../../assembly';
import type { PressureWord, TargetPressure } from '../../clamps';
import type { RackLot } from '../../formats';

/** What a pull needs and what the rack can give it. */
export interface PlannedPull {
  readonly pull: Pull;
  /** Joint that asks most of it. */
  readonly joint: string;
  readonly areaMm2: number;
  readonly wanted: TargetPressure;
  readonly crushMPa: number;
  readonly neededN: number;
  /** Lots it would use, strongest first, and how many of each. */
  readonly taken: readonly { readonly lot: RackLot; readonly count: number; readonly forceN: number }[];
  readonly reachN: number;
  readonly reachMPa: number;
  readonly word: PressureWord;
}

import type { Pull } from '../../assembly';
import type { PressureWord, TargetPressure } from '../../clamps';
import type { Piece } from './pieces';
import type { IdleOnPull, PlacedOnPull, TakenLot } from './placed-on-pull';
import type { LineWants } from './wanted-lines';

/** What a pull needs and what the rack can give it. */
export interface PlannedPull {
  readonly pull: Pull;
  /** Joint that asks most of it. */
  readonly joint: string;
  /** It only seats its joints: force counts, not pressure on a line. */
  readonly seats: boolean;
  readonly areaMm2: number;
  readonly wanted: TargetPressure;
  readonly crushMPa: number;
  readonly neededN: number;
  /** Lots it would use and how many of each, each at its planned pull. */
  readonly taken: readonly TakenLot[];
  /** The same one by one: as placed, else in the order of their places. */
  readonly pieces: readonly Piece[];
  /** Clamps that were placed one by one and press; none where the pull is worked out. */
  readonly placed: readonly PlacedOnPull[];
  /** Clamps that were placed and cannot press. */
  readonly idle: readonly IdleOnPull[];
  /** Planned pull of all of them together, and what they could give. */
  readonly reachN: number;
  readonly mostN: number;
  /** What gets least of it beside what it wants: one line where it seats joints line by line, else all of it. */
  readonly leastMet: { readonly label: string; readonly neededN: number; readonly reachN: number };
  /** What each of its lines wants; left out where one force goes through all of it. */
  readonly lines?: readonly LineWants[];
  readonly reachMPa: number;
  readonly word: PressureWord;
  /** Offset of the pegs that draw it home in place of clamps, mm; null where clamps do. */
  readonly drawnMm: number | null;
}

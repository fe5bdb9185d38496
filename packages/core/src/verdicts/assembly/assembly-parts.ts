import type { Adhesive, AdhesiveWindow } from '../../adhesives';
import type { AssemblyFacts, GapReading, JointFacts } from '../../assembly';
import type { Finding } from '../../finding';
import type { AssemblyBuild, Climate, ShopDocument } from '../../formats';
import type { Spread, SpreadMethod } from '../../spread';
import type { ClosingAdvice } from '../closing';
import type { Order } from './ordered-sessions';
import type { JointTimes } from './joint-times';
import type { PlannedPull } from './planned-pull';
import type { AssemblySqueeze } from './squeeze/squeezed';

/** Everything worked out for one joint. */
export interface PlannedJoint {
  readonly facts: JointFacts;
  /** Of the wetter part, %. */
  readonly mcPct: number;
  /** Of the other one, %. */
  readonly mcOtherPct: number;
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
  readonly closingForceN: number;
}

/** Everything worked out for an assembly before it is judged. */
export interface AssemblyPlanParts {
  readonly build: AssemblyBuild;
  readonly shop: ShopDocument;
  readonly climate: Climate;
  readonly facts: AssemblyFacts;
  readonly adhesive: Adhesive;
  /** As metered, else in balance with the shop, in the order of the parts, %. */
  readonly partMcPct: readonly number[];
  readonly joints: readonly PlannedJoint[];
  readonly pulls: readonly PlannedPull[];
  /** Clamps in their places and what they do; null while pulls are only weighed as a whole. */
  readonly squeeze: AssemblySqueeze | null;
  /** Sessions as the build orders them; null while everything is glued in one go. */
  readonly order: Order | null;
  /** In the order of the joints, from the first bead of each joint's session. */
  readonly times: readonly JointTimes[];
  readonly handsOnMin: number;
  readonly findings: readonly Finding[];
}

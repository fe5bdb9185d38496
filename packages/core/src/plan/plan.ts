import type { Adhesive } from '../adhesives';
import type { AssemblyFacts } from '../assembly';
import type { PlanFinding } from '../findings';
import type { BuildDocument, Climate, ShopDocument } from '../formats';
import type { Aspect, Verdict } from '../verdicts/verdict';
import type { PlannedJoint } from './joints/planned-joint';
import type { JointTimes } from './order/joint-times';
import type { Order } from './order/ordered-sessions';
import type { PlannedPull } from './pulls/planned-pull';
import type { RowPlan } from './row/row-plan';
import type { Squeeze } from './squeeze/squeezed';

/** Everything worked out for a build before it is judged. */
export interface PlanParts {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  readonly climate: Climate;
  readonly facts: AssemblyFacts;
  readonly adhesive: Adhesive;
  /** As metered, else by the air of the last weeks, in the order of the parts, %. */
  readonly partMcPct: readonly number[];
  readonly joints: readonly PlannedJoint[];
  readonly pulls: readonly PlannedPull[];
  /** Row mechanics; null for parts that do not lie side by side. */
  readonly row: RowPlan | null;
  /** Clamps in their places and what they do; null while pulls are only weighed as a whole. */
  readonly squeeze: Squeeze | null;
  /** Sessions on the clock; null where there is nothing to glue or the glue has no window in this air. */
  readonly order: Order | null;
  /** In the order of the joints, from the first bead of each joint's session. */
  readonly times: readonly JointTimes[];
  readonly handsOnMin: number;
  readonly findings: readonly PlanFinding[];
}

/** A build of any kind thought through in a shop: parts, clock, pressures and the four verdicts. */
export interface Plan extends PlanParts {
  readonly verdicts: Readonly<Record<Aspect, Verdict>>;
  readonly totals: {
    readonly massG: number;
    /** Of it, what end grain drinks before the real coat: sizing or priming. */
    readonly coatG: number;
    readonly volumeMl: number;
    readonly spreadMin: number;
    readonly onShelfMl: number;
  };
}

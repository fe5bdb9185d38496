import type { JointKind, JointFacts, PartFacts } from '../../assembly';
import { PACE, type SessionOperation } from '../../sequence';
import type { PlannedJoint } from './assembly-parts';
import type { PlannedPull } from './planned-pull';
import type { JointTimes } from './joint-times';
import { ON_A_ROLL } from './pulls';

/** Bringing two parts together, min, for one practised person [judgement]. */
const CLOSE_MIN: Readonly<Record<JointKind, number>> = {
  edge: 0.35,
  face: 0.4,
  mitre: 0.4,
  butt: 0.3,
  'mortise-tenon': 0.5,
  bridle: 0.5,
  housing: 0.4,
  rebate: 0.5,
  tongue: 0.5,
  dowel: 0.6,
  'loose-tenon': 0.6,
  biscuit: 0.4,
  spline: 0.5,
  key: 0.4,
  scarf: 0.8,
  breadboard: 0.8,
  veneer: 1.2,
  band: 0.4,
  ply: 0.25,
};
/** One strip of tape, or one turn of elastic, min [judgement]. */
const STRIP_MIN = 0.05;
/** A spring clamp snaps on, min [judgement]. */
const SNAP_MIN = 0.1;
const SNAP_ON: readonly string[] = ['spring', 'pointed-spring'];
/** Small captive pieces drop into their groove, min [judgement]. */
const DROP_IN_MIN = 0.1;
/** Contact below which a piece counts as one, mm². */
const DROP_IN_MM2 = 2500;

/** A part heavier or longer than this wants a second pair of hands while it is brought in [judgement]. */
const TWO_HANDS_KG = 12;
const TWO_HANDS_MM = 1800;
/** How much longer it takes alone, with props in place of the other pair [judgement]. */
const ALONE_FACTOR = 1.6;

/** What is left of it where the joint was clamped dry in its place before [judgement]. */
const SET_DRY_FACTOR = 0.5;

/** Bringing the two parts of a joint together. */
export interface ClosingWork {
  readonly minutes: number;
  /** Pairs of hands that are at it. */
  readonly hands: 1 | 2;
}

/** Minutes and pairs of hands to close a joint, for so many pairs that are there. */
export function closingWork(
  { joint, contactMm2 }: JointFacts,
  parts: readonly PartFacts[],
  { crew, setDry }: { readonly crew: number; readonly setDry: boolean },
): ClosingWork {
  const small = joint.kind === 'housing' && contactMm2 < DROP_IN_MM2;
  const usual = (small ? DROP_IN_MIN : CLOSE_MIN[joint.kind]) * (setDry ? SET_DRY_FACTOR : 1);
  // The lighter part is brought to the heavier one.
  const [brought] = parts
    .filter(({ part }) => part.id === joint.a || part.id === joint.b)
    .sort((x, y) => x.massKg - y.massKg);
  const unwieldy =
    brought !== undefined &&
    (brought.massKg > TWO_HANDS_KG || Math.max(...brought.part.blankMm) > TWO_HANDS_MM);
  if (!unwieldy) return { minutes: usual, hands: 1 };
  return crew > 1 ? { minutes: usual, hands: 2 } : { minutes: usual * ALONE_FACTOR, hands: 1 };
}

/** Minutes of one pair of hands to set what a pull takes from the rack and the roll. */
export function settingMinutes(taken: PlannedPull['taken'], preSet: boolean): number {
  const usual = preSet ? PACE.setPreSetClampMin : PACE.setClampMin;
  const each = (kind: string) =>
    ON_A_ROLL.includes(kind) ? STRIP_MIN : SNAP_ON.includes(kind) ? SNAP_MIN : usual;
  return taken.reduce((sum, { lot, count }) => sum + count * each(lot.kind), 0);
}

/** Who does it, how fast, and whether clamps are laid out beforehand. */
export interface Workforce {
  readonly crew: number;
  readonly paceFactor: number;
  readonly preSet: boolean;
}

/** Everything glued in one go, on the clock. */
export interface OneGo {
  readonly times: readonly JointTimes[];
  readonly handsOnMin: number;
  /** Its moves one after the other, all hands at each. */
  readonly operations: readonly SessionOperation[];
}

/**
 * Everything in one go: all joints spread in order, then closed in the same order, then clamped. Hands share
 * spreading and clamping; closing takes both hands on one joint. Sessions and better orders are another question.
 */
export function oneGo(
  joints: readonly PlannedJoint[],
  pulls: readonly PlannedPull[],
  { crew, paceFactor, preSet }: Workforce,
): OneGo {
  const operations: SessionOperation[] = [];
  let clock = 0;
  const move = (kind: SessionOperation['kind'], own: readonly PlannedJoint[], minutes: number) => {
    const ids = own.map(({ facts }) => facts.joint.id);
    operations.push({ kind, joints: ids, hands: [0], startMin: clock, endMin: clock + minutes });
    clock += minutes;
    return clock;
  };
  const spreadEnds = joints.map((joint) =>
    move('spread', [joint], (joint.spread.minutes * paceFactor) / crew),
  );
  const closedAt = joints.map((joint) => move('close', [joint], joint.closeMin * paceFactor));
  const taken = pulls.flatMap((pull) => pull.taken);
  const pressedAtMin = move('clamp', joints, (paceFactor / crew) * settingMinutes(taken, preSet));
  return {
    times: joints.map((_, i) => ({
      spreadStartMin: spreadEnds[i - 1] ?? 0,
      closedAtMin: closedAt[i] ?? 0,
      pressedAtMin,
    })),
    handsOnMin: pressedAtMin + PACE.checkMin * paceFactor,
    operations,
  };
}

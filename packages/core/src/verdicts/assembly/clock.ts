import type { JointKind, JointFacts } from '../../assembly';
import { PACE } from '../../sequence';
import type { PlannedJoint, PlannedPull } from './assembly-parts';
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
export const STRIP_MIN = 0.05;
/** Small captive pieces drop into their groove, min [judgement]. */
const DROP_IN_MIN = 0.1;
/** Contact below which a piece counts as one, mm². */
const DROP_IN_MM2 = 2500;

/** Minutes to close a joint. */
export function closeMinutes({ joint, contactMm2 }: JointFacts): number {
  return joint.kind === 'housing' && contactMm2 < DROP_IN_MM2 ? DROP_IN_MIN : CLOSE_MIN[joint.kind];
}

/**
 * Everything in one go: all joints spread in order, then closed in the same order, then clamped. Hands share
 * spreading and clamping; closing takes both hands on one joint. Sessions and better orders are another question.
 */
export function oneGo(
  joints: readonly PlannedJoint[],
  pulls: readonly PlannedPull[],
  crew: number,
  paceFactor: number,
): { readonly times: readonly JointTimes[]; readonly handsOnMin: number } {
  const spreading = joints.map(({ spread }) => (spread.minutes * paceFactor) / crew);
  const allSpreadMin = spreading.reduce((sum, minutes) => sum + minutes, 0);
  const clampingMin =
    (paceFactor / crew) *
    pulls
      .flatMap(({ taken }) => taken)
      .reduce(
        (sum, { lot, count }) =>
          sum + count * (ON_A_ROLL.includes(lot.kind) ? STRIP_MIN : PACE.setPreSetClampMin),
        0,
      );
  let spreadStartMin = 0;
  let closedAtMin = allSpreadMin;
  const started = joints.map(({ closeMin }, i) => {
    const from = spreadStartMin;
    spreadStartMin += spreading[i] ?? 0;
    closedAtMin += closeMin * paceFactor;
    return { spreadStartMin: from, closedAtMin };
  });
  const pressedAtMin = closedAtMin + clampingMin;
  return {
    times: started.map((time) => ({ ...time, pressedAtMin })),
    handsOnMin: pressedAtMin + PACE.checkMin * paceFactor,
  };
}

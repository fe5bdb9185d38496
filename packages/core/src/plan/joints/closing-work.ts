import type { Assembly, JointKind, JointFacts, PartFacts } from '../../assembly';
import { PACE } from '../../sequence';

/** Bringing two parts together, min, for one practised person [judgement]. */
const CLOSE_MIN: Readonly<Record<JointKind, number>> = {
  edge: PACE.placeBoardMin,
  face: 0.4,
  mitre: 0.4,
  butt: 0.3,
  'mortise-tenon': 0.5,
  bridle: 0.5,
  'half-lap': 0.4,
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

/** A warm iron and the block behind it, along an edge or over a face [judgement]. */
const IRON = Object.freeze({ alongMPerMin: 0.5, areaM2PerMin: 0.03 });

/** Bringing the two parts of a joint together. */
export interface ClosingWork {
  readonly minutes: number;
  /** Pairs of hands that are at it. */
  readonly hands: 1 | 2;
}

/** Joints along whole boards, which take longer the longer and heavier the board is. */
const ALONG_BOARDS: readonly JointKind[] = ['edge', 'face'];

/** Turning a long or heavy board down onto its neighbour, beyond what a short light one takes, min. */
function byBoard(brought: PartFacts | undefined): number {
  if (brought === undefined) return 0;
  const lengthMm = Math.max(...brought.part.blankMm);
  return (
    PACE.placePerMetreMin * Math.max(0, lengthMm / 1000 - 1) + (PACE.placePer10KgMin * brought.massKg) / 10
  );
}

/** Minutes and pairs of hands to close a joint, for so many pairs that are there. */
export function closingWork(
  { joint, contactMm2, lengthMm }: JointFacts,
  parts: readonly PartFacts[],
  {
    crew,
    setDry,
    pressedBy,
    flushed,
  }: { readonly crew: number; readonly flushed: boolean } & Pick<Assembly, 'setDry' | 'pressedBy'>,
): ClosingWork {
  // The lighter part is brought to the heavier one.
  const [brought] = parts
    .filter(({ part }) => part.id === joint.a || part.id === joint.b)
    .sort((x, y) => x.massKg - y.massKg);
  const small = joint.kind === 'housing' && contactMm2 < DROP_IN_MM2;
  const edgeOn = ALONG_BOARDS.includes(joint.kind);
  const byHand = small ? DROP_IN_MIN : CLOSE_MIN[joint.kind] + (edgeOn ? byBoard(brought) : 0);
  const ironMin =
    pressedBy === 'iron'
      ? Math.max(lengthMm / 1000 / IRON.alongMPerMin, contactMm2 / 1e6 / IRON.areaM2PerMin)
      : 0;
  const usual = byHand * (setDry ? SET_DRY_FACTOR : 1) + ironMin + (flushed ? PACE.flushLineMin : 0);
  const unwieldy =
    brought !== undefined &&
    // What lies along a board is laid down end by end, which its length is reckoned for already.
    (brought.massKg > TWO_HANDS_KG || (!edgeOn && Math.max(...brought.part.blankMm) > TWO_HANDS_MM));
  if (!unwieldy) return { minutes: usual, hands: 1 };
  return crew > 1 ? { minutes: usual, hands: 2 } : { minutes: usual * ALONE_FACTOR, hands: 1 };
}

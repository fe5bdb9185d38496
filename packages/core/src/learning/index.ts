export { type Behind, learn, type Lore, pacesByPerson, type PersonPace, type Subject } from './learn';
export { closestJoint, evidenceOf, type RunEvidence, workOf } from './run-evidence';
export type { Calibration, Trends } from './trends';
export { accepted, forgotten, refused } from './take-over';
export { atWalkedPace, roundedPace, type WalkedPace, walkedPaces } from './walked-pace';
export {
  asMeasured,
  type Measured,
  measuredAgain,
  type OwnPull,
  ownPull,
  ownPulls,
  unmeasured,
} from './own-pulls';

export {
  accepted,
  type Behind,
  forgotten,
  learn,
  type Lore,
  pacesByPerson,
  type PersonPace,
  refused,
  type Subject,
} from './learn';
export { closestJoint, evidenceOf, type RunEvidence, workOf } from './run-evidence';
export type { Calibration, Trends } from './trends';

export { candidateInSteps, findFixes, fixCandidates, fixesAmong, triedAmong } from './find-fixes';
export { type LikelyChange, likelyChanges } from './likelier';
export {
  type Fix,
  type Fixes,
  type Likely,
  likelyFixes,
  NO_FIXES,
  placesOf,
  type Verdicts,
  wantingFixes,
} from './rank';

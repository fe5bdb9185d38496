export { findFixes, fixesInSteps } from './find-fixes';
export { type LikelyChange, likelyChanges } from './likelier';
export type { Fix, Fixes } from './rank';

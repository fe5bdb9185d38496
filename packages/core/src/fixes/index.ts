export { findAssemblyFixes } from './assembly-fixes';
export { type LikelyChange, likelyChanges } from './likelier';
export { findFixes } from './panel-fixes';
export type { Fix, Fixes } from './rank';

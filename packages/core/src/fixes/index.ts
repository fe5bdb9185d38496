export { findAssemblyFixes } from './assembly-fixes';
export { findFixes } from './panel-fixes';
export type { Fix, Fixes } from './rank';

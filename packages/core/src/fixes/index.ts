export { findFixes, type Fix, type Fixes } from './rank';

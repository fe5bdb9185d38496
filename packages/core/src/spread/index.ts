export { findSpreadMethod, listSpreadMethods, type SpreadMethod } from './methods';
export { type Batch, spread, type Spread, type SpreadJob } from './spread';

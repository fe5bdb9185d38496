export { findSpreadMethod, listSpreadMethods, type SpreadMethod } from './methods';
export { spread, type Spread } from './spread';

export {
  covers,
  findSpreadMethod,
  listSpreadMethods,
  type OwnMethod,
  type SpreadMethod,
  TAKE_UP_MIN,
} from './methods';
export { LEAST_CUP_ML, spread, type Spread } from './spread';

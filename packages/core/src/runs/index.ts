export {
  type Afterwards,
  type Coupon,
  couponState,
  type DueRecheck,
  nextRecheck,
  type Picture,
  readAfterwards,
} from './afterwards';
export { type AirSince, type InClamps, releaseByAir, type ReleaseByAir } from './cure';
export { alike, inOrder, merged } from './events';
export { type Release, releaseOf } from './release';
export { readRun, type RunReading, type RunSummary, summaryOf } from './replay';

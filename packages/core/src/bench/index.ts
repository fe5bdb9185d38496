export { type FuseReading, positionOf, readFuse, type RunPosition, shortestFuse } from './clock';
export { promiseOf } from './promise';
export { gatherList, type Readiness, readinessOf } from './readiness';
export { type BenchScript, benchScript, type BenchStep, type Fuse } from './steps';
export { troubleOptions } from './trouble';

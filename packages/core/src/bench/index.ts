export { type FuseReading, positionOf, readFuse, type RunPosition, shortestFuse } from './clock';
export { promiseOf } from './promise';
export { gatherList, readinessOf } from './readiness';
export { type BenchScript, benchScript, type BenchStep, frozenScript } from './steps';
export { troubleOptions } from './trouble';

export { type FuseReading, positionOf, readFuse, type RunPosition, shortestFuse } from './clock';
export { promiseOf } from './promise';
export { type BenchScript, benchScript, type BenchStep, type Fuse } from './steps';

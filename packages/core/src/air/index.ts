export {
  type Asked,
  afterAsking,
  type AirReading,
  AirReadingSchema,
  type AirReport,
  type AirState,
  NO_SENSOR,
} from './reading';
export { simulatedAir } from './simulated';
export {
  airAtHour,
  type AirSample,
  type AirSeries,
  bestHours,
  type GoodHours,
  runningMeans,
  thinned,
  usualDay,
} from './series';
export { type AirMean, storedMoisturePct, usualMoisturePct } from './stored-wood';

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

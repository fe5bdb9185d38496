export { degrees, radians } from './angles';
export { glassAndBack } from './glass';
export { vacuumBag } from './vacuum-bag';
export { edgeLine, type EdgeLineAnswer, flatness } from './flatness';
export { compoundMitre, mitrePolygon, stave } from './mitre';
export { angledPull, band, opposedPulls, rackingN } from './pull';
export { quad, type QuadReadings } from './quad';

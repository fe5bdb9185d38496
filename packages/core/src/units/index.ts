export { formatCount } from './count';
export { formatClock, formatWait } from './duration';
export { MM_PER_INCH, formatInches, formatLength, parseLength, type UnitSystem } from './length';
export { parseNumber } from './number';
export type { ParsedQuantity } from './parsed';
export { formatScaled, parseScaled, scaledNumber, scaledUnit, type ScaledQuantity } from './scaled';

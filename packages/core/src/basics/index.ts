export { type Bounds, InputError, within } from './checks';
export { leastBy } from './least-by';
export { LIMITS } from './limits';
export type { Range } from './range';
export { remembered } from './remembered';

export type { AnyCalculation } from './calculation';
export { CALCULATIONS, findCalculation } from './registry';

export {
  type CalculationListing,
  type Calculator,
  createCalculator,
  type ErrorBody,
  errorBody,
} from './calculator';
export { createValidator, type Validator } from './validator';
export { askedPlan, PlanInputSchema, planReply, type PlanReply } from './plan';

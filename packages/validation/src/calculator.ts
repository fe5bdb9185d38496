import { InputError } from '@lean-clasp/core/basics';
import { CALCULATIONS, findCalculation } from '@lean-clasp/core/calculations';
import { createValidator, type Validator } from './validator';

/** The one error shape of the product, at every outer edge. */
export interface ErrorBody {
  readonly error: {
    readonly code: string;
    readonly field: string;
    readonly message: string;
    readonly allowed: string;
  };
}

/** Turns an InputError into the error shape. */
export function errorBody({ code, field, message, allowed }: InputError): ErrorBody {
  return { error: { code, field, message, allowed } };
}

/** Runs named calculations on unchecked input. */
export interface Calculator {
  /** @throws InputError for unknown names and for input that the schema or the model refuses. */
  readonly run: (name: string, input: unknown) => unknown;
  /** Names, one-sentence descriptions and JSON Schemas. */
  readonly list: () => readonly CalculationListing[];
}

/** One line of the list of calculations. */
export interface CalculationListing {
  readonly name: string;
  readonly doc: string;
  readonly input: unknown;
  readonly output: unknown;
  readonly example: unknown;
}

/** Joins the registry to a validator. */
export function createCalculator(validator: Validator = createValidator()): Calculator {
  return {
    run: (name, input) => {
      const calculation = findCalculation(name);
      if (calculation === undefined) {
        throw new InputError(
          'unknown-id',
          'name',
          `There is no calculation "${name}".`,
          `one of ${CALCULATIONS.map((entry) => entry.name).join(', ')}`,
        );
      }
      const startedAt = performance.now();
      const answer = calculation.compute(validator.check(calculation.input, input) as never);
      return withTime(answer, performance.now() - startedAt);
    },
    list: () =>
      CALCULATIONS.map(({ name, doc, input, output, example }) => ({ name, doc, input, output, example })),
  };
}

/** Fills in how long an answer took, where it tells its effort; calculations themselves know no clock. */
function withTime(answer: unknown, ms: number): unknown {
  const effort = (answer as { readonly effort?: unknown }).effort;
  return typeof effort === 'object' && effort !== null && 'ms' in effort
    ? { ...(answer as object), effort: { ...effort, ms } }
    : answer;
}

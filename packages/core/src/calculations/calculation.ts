import type { Static, TSchema } from '@sinclair/typebox';

/** One named calculation: the single definition behind the command line, HTTP and the Sums place. */
export interface Calculation<In extends TSchema = TSchema, Out extends TSchema = TSchema> {
  readonly name: string;
  /** One sentence for a list. */
  readonly doc: string;
  readonly input: In;
  readonly output: Out;
  /** Input that answers, for trying it out. */
  readonly example: Static<In>;
  readonly compute: (input: Static<In>) => Static<Out>;
}

/** A calculation whose input has yet to be checked against its schema. */
export interface AnyCalculation {
  readonly name: string;
  readonly doc: string;
  readonly input: TSchema;
  readonly output: TSchema;
  readonly example: unknown;
  /** Call only with input that satisfies `input`. */
  readonly compute: (input: never) => unknown;
}

/** Declares a calculation with its types inferred from its schemas. */
export function calculation<In extends TSchema, Out extends TSchema>(
  entry: Calculation<In, Out>,
): Calculation<In, Out> {
  return entry;
}

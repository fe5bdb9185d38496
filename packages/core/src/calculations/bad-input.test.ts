import type { TSchema } from '@sinclair/typebox';
import { InputError } from '../basics/checks';
import { CALCULATIONS } from '.';

/** Numbers of an input with the bounds that its schema gives them. */
interface Bounded {
  readonly path: readonly string[];
  readonly min: number;
  readonly max: number;
}

function boundedIn(schema: TSchema, path: readonly string[] = []): Bounded[] {
  const { type, properties, items, minimum, maximum } = schema as unknown as {
    type?: string;
    properties?: Readonly<Record<string, TSchema>>;
    items?: TSchema;
    minimum?: number;
    maximum?: number;
  };
  if (type === 'number' || type === 'integer') {
    return minimum === undefined || maximum === undefined ? [] : [{ path, min: minimum, max: maximum }];
  }
  if (properties !== undefined) {
    return Object.entries(properties).flatMap(([name, each]) => boundedIn(each, [...path, name]));
  }
  return items === undefined ? [] : boundedIn(items, [...path, '0']);
}

/** The same input with one number changed; undefined where the example does not have it. */
function changed(input: unknown, [first, ...rest]: readonly string[], value: number): unknown {
  if (first === undefined) return value;
  if (input === null || typeof input !== 'object' || !(first in input)) return undefined;
  const inner = changed((input as Record<string, unknown>)[first], rest, value);
  if (inner === undefined) return undefined;
  return Array.isArray(input)
    ? input.map((each: unknown, i) => (String(i) === first ? inner : each))
    : { ...input, [first]: inner };
}

const get = (input: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((at, name) => (at as Record<string, unknown> | undefined)?.[name], input);

const CASES = CALCULATIONS.flatMap(({ name, input, example, compute }) =>
  boundedIn(input)
    .filter(({ path }) => typeof get(example, path) === 'number')
    .map((bounded) => [`${name}: ${bounded.path.join('.')}`, { bounded, example, compute }] as const),
);

it('finds the numbers of every calculation', () => {
  expect(CASES.length).toBeGreaterThan(60);
});

describe.each(CASES)('%s', (_, { bounded: { path, min, max }, example, compute }) => {
  const run = (value: number): unknown => compute(changed(example, path, value) as never);

  it('answers at its example with figures that are numbers', () => {
    const text = JSON.stringify(compute(example as never));
    expect(text).not.toMatch(/NaN|Infinity/);
    expect(text).not.toBe('{}');
  });

  it('answers just inside its bounds, or says what cannot be together', () => {
    for (const value of [min, max]) {
      try {
        expect(JSON.stringify(run(value))).not.toMatch(/NaN|Infinity/);
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
        expect((error as InputError).message.length).toBeGreaterThan(10);
        expect((error as InputError).message).not.toMatch(/NaN|undefined/);
      }
    }
  });
});

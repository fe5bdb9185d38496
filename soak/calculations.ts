import { listAdhesives } from '@lean-clasp/core/adhesives';
import { InputError } from '@lean-clasp/core/basics';
import { CALCULATIONS } from '@lean-clasp/core/calculations';
import { listSpecies } from '@lean-clasp/core/materials';
import { createValidator } from '@lean-clasp/validation';
import { type Health, watchHealth } from './health';
import { type Random, seeded } from './random';

/** As much of JSON Schema as our calculations use. */
interface Schema {
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
}

/** What came of asking every calculation with inputs that its schema allows. */
export interface CalculationsOutcome {
  readonly asked: number;
  readonly answered: number;
  readonly refused: number;
  /** Refused since it would last too long here. */
  readonly tooLong: number;
  readonly slowestMs: number;
  readonly slowest: string;
  readonly health: Health;
  readonly faults: readonly { readonly name: string; readonly input: unknown; readonly said: string }[];
}

/** Names that stand in fields of these names. */
const KNOWN: Readonly<Record<string, readonly string[]>> = {
  species: listSpecies().map(({ id }) => id),
  adhesive: listAdhesives().map(({ id }) => id),
};
/** A figure is at most this many times the example's, or that part of it. */
const SCALE = 10;
const MOST_COPIES = 6;

/** An example with some of its values replaced by others that the schema allows. */
function varied(schema: Schema, value: unknown, random: Random, name = ''): unknown {
  if (schema.anyOf !== undefined) {
    const fitting = schema.anyOf.find((each) => fits(each, value));
    return fitting === undefined ? value : varied(fitting, value, random, name);
  }
  if (schema.const !== undefined) return value;
  if (schema.enum !== undefined) return random.chance(0.3) ? random.one(schema.enum) : value;
  if (Array.isArray(value)) return variedList(schema, value, random, name);
  if (typeof value === 'object' && value !== null) {
    const optional = (key: string) => !(schema.required ?? []).includes(key);
    return Object.fromEntries(
      Object.entries(value)
        .filter(([key]) => !(optional(key) && random.chance(0.15)))
        .map(([key, each]) => [key, varied(schema.properties?.[key] ?? {}, each, random, key)]),
    );
  }
  if (typeof value === 'number') return random.chance(0.5) ? variedNumber(schema, value, random) : value;
  if (typeof value === 'boolean') return random.chance(0.3) ? !value : value;
  const known = KNOWN[name];
  return known !== undefined && random.chance(0.4) ? random.one(known) : value;
}

const fits = ({ type, enum: among, const: only }: Schema, value: unknown): boolean =>
  only !== undefined
    ? only === value
    : among !== undefined
      ? among.includes(value)
      : type === (Array.isArray(value) ? 'array' : value === null ? 'null' : typeof value);

function variedList(schema: Schema, list: readonly unknown[], random: Random, name: string): unknown[] {
  const each = list.map((item) => varied(schema.items ?? {}, item, random, name));
  if (list.length === 0 || random.chance(0.6)) return each;
  const count = Math.min(
    schema.maxItems ?? Infinity,
    Math.max(schema.minItems ?? 0, random.whole(list.length * MOST_COPIES)),
  );
  return Array.from({ length: count }, (_, i) =>
    varied(schema.items ?? {}, list[i % list.length], random, name),
  );
}

function variedNumber(schema: Schema, value: number, random: Random): number {
  const least = schema.minimum ?? schema.exclusiveMinimum ?? -Infinity;
  const most = schema.maximum ?? schema.exclusiveMaximum ?? Infinity;
  if (random.chance(0.15) && schema.minimum !== undefined) return least;
  if (random.chance(0.15) && schema.maximum !== undefined) return most;
  const scaled = (value === 0 ? 1 : value) * SCALE ** (2 * (random.whole(1001) / 1000) - 1);
  const within = Math.min(most, Math.max(least, scaled));
  return schema.type === 'integer' ? Math.round(within) : within;
}

/** Asks a server each calculation many times over, four at once. */
export async function calculations(
  url: string,
  { each, seed }: { readonly each: number; readonly seed: number },
): Promise<CalculationsOutcome> {
  const validator = createValidator();
  const random = seeded(seed);
  const outcome = { asked: 0, answered: 0, refused: 0, tooLong: 0, slowestMs: 0, slowest: '' };
  const faults: CalculationsOutcome['faults'][number][] = [];
  const isValid = (schema: (typeof CALCULATIONS)[number]['input'], input: unknown) => {
    try {
      validator.check(schema, input);
      return true;
    } catch (error) {
      if (error instanceof InputError) return false;
      throw error;
    }
  };
  const one = async ({ name, input: schema, output, example }: (typeof CALCULATIONS)[number]) => {
    const input = varied(schema as Schema, example, random);
    if (!isValid(schema, input)) return false;
    const from = performance.now();
    const response = await fetch(`${url}/api/calc/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
    });
    const body = (await response.json()) as { error?: { code: string; message: string } };
    const ms = performance.now() - from;
    outcome.asked += 1;
    if (ms > outcome.slowestMs) Object.assign(outcome, { slowestMs: ms, slowest: name });
    const fault = (said: string) => faults.push({ name, input, said });
    if (response.status === 200) {
      outcome.answered += 1;
      // A figure that is none leaves a null, which its schema does not allow.
      if (!isValid(output, body)) fault(`an answer that is none: ${JSON.stringify(body).slice(0, 300)}`);
    } else if (response.status === 422 && body.error !== undefined && body.error.message !== '') {
      outcome.refused += 1;
      if (body.error.code === 'too-long') outcome.tooLong += 1;
    } else fault(`${response.status} ${JSON.stringify(body).slice(0, 300)}`);
    return true;
  };
  const health = watchHealth(url);
  for (const calculation of CALCULATIONS) {
    let left = each;
    const worker = async () => {
      while (left > 0) {
        left -= 1;
        // One that the schema does not allow after all is none of the many; a few tries find another.
        for (let tries = 0; tries < 50 && !(await one(calculation)); tries += 1);
      }
    };
    await Promise.all(Array.from({ length: 4 }, worker));
  }
  return { ...outcome, health: await health.stop(), faults };
}

import { InputError } from '@lean-clasp/core/basics';
import type { Static, TSchema } from '@sinclair/typebox';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';

/** Turns unknown data into typed data or throws an InputError that names the field. */
export interface Validator {
  readonly check: <T extends TSchema>(schema: T, data: unknown) => Static<T>;
}

/** Makes a validator with its own cache of compiled schemas. */
export function createValidator(): Validator {
  const options = { strict: true, allowUnionTypes: true, verbose: true };
  // The first complaint is soon found; all of them tell best, and cost as much as there is wrong.
  const [first, all] = [compiler(new Ajv(options)), compiler(new Ajv({ ...options, allErrors: true }))];
  return {
    check: (schema, data) => {
      const validate = first(schema);
      if (validate(data)) return data;
      const telling = isSmall(data) ? all(schema) : validate;
      telling(data);
      throw toInputError(telling.errors ?? []);
    },
  };
}

/** Compiles each schema once. */
function compiler(ajv: Ajv) {
  const compiled = new WeakMap<TSchema, ValidateFunction>();
  return (schema: TSchema): ValidateFunction => {
    const known = compiled.get(schema) ?? ajv.compile(schema);
    compiled.set(schema, known);
    return known;
  };
}

/** Values up to which every complaint is looked for. */
const FEW = 20_000;

function isSmall(data: unknown): boolean {
  const left: unknown[] = [data];
  for (let seen = 0; left.length > 0; seen += 1) {
    if (seen > FEW || left.length > FEW) return false;
    const value = left.pop();
    if (typeof value === 'object' && value !== null) {
      for (const inner of Object.values(value)) left.push(inner);
    }
  }
  return true;
}

function toInputError(errors: readonly ErrorObject[]): InputError {
  // Unions report every branch that failed; the deepest complaint is the one a person can act on.
  const error = [...errors].sort(
    (a, b) => rankOf(b) - rankOf(a) || b.instancePath.length - a.instancePath.length,
  )[0];
  if (error === undefined)
    return new InputError('inconsistent', '', 'The data is not as expected.', 'see the schema');
  const field = fieldOf(error);
  const where = field === '' ? 'The input' : field;
  const [code, says, allowed] = describe(error);
  return new InputError(code, field, `${where} ${says}`, allowed);
}

/** How telling a complaint is: unknown and missing fields, then ranges and words, then "none of the forms". */
const TELLING: Readonly<Record<string, number>> = {
  additionalProperties: 4,
  required: 4,
  anyOf: 2,
  type: 1,
  const: 0,
  if: 0,
};

function rankOf({ keyword }: ErrorObject): number {
  return TELLING[keyword] ?? 3;
}

function fieldOf(error: ErrorObject): string {
  const path = error.instancePath.split('/').slice(1);
  const { missingProperty, additionalProperty } = error.params as Record<string, string | undefined>;
  return [...path, missingProperty ?? additionalProperty ?? []].flat().join('.');
}

type Description = readonly [code: InputError['code'], says: string, allowed: string];

function describe(error: ErrorObject): Description {
  const params = error.params as Record<string, unknown>;
  const got = JSON.stringify(error.data)?.slice(0, 60) ?? 'nothing';
  switch (error.keyword) {
    case 'required':
      return ['missing', 'is missing.', 'give it a value'];
    case 'additionalProperties':
      return ['inconsistent', 'is not a known field.', knownFields(error)];
    case 'type':
      return [
        params.type === 'number' || params.type === 'integer' ? 'not-a-number' : 'inconsistent',
        `is ${got}; it must be ${article(String(params.type))}.`,
        String(params.type),
      ];
    case 'minimum':
    case 'maximum':
    case 'exclusiveMinimum':
    case 'exclusiveMaximum':
      return ['out-of-range', `is ${got}; it must be ${rangeOf(error)}.`, rangeOf(error)];
    case 'enum':
      return ['unknown-id', `is ${got}; that is not one of the choices.`, list(params.allowedValues)];
    case 'const':
      return [
        'inconsistent',
        `is ${got}; it must be ${JSON.stringify(params.allowedValue)}.`,
        JSON.stringify(params.allowedValue),
      ];
    case 'minLength':
    case 'maxLength':
      return [
        'out-of-range',
        `has ${lengthOf(error.data)} characters; it must have ${countOf(error, 'Length')}.`,
        `${countOf(error, 'Length')} characters`,
      ];
    case 'minItems':
    case 'maxItems':
      return [
        'out-of-range',
        `has ${lengthOf(error.data)} entries; it must have ${countOf(error, 'Items')}.`,
        `${countOf(error, 'Items')} entries`,
      ];
    case 'pattern':
      return [
        'inconsistent',
        `is ${got}, which is not written as it must be.`,
        `text that fits ${String(params.pattern)}`,
      ];
    case 'anyOf':
      return ['inconsistent', `is ${got}; none of the accepted forms fits.`, choicesOf(error)];
    default:
      return ['inconsistent', `${error.message ?? 'is not as expected'}.`, error.message ?? 'see the schema'];
  }
}

const lengthOf = (data: unknown): number =>
  typeof data === 'string' || Array.isArray(data) ? data.length : 0;

/** How many characters or entries there may be. */
function countOf({ parentSchema }: ErrorObject, what: 'Length' | 'Items'): string {
  const { [`min${what}`]: least, [`max${what}`]: most } = (parentSchema ?? {}) as Record<
    string,
    number | undefined
  >;
  if (least !== undefined && most !== undefined)
    return least === most ? String(least) : `${least} to ${most}`;
  return least === undefined ? `at most ${most}` : `at least ${least}`;
}

function choicesOf({ parentSchema }: ErrorObject): string {
  const branches = (parentSchema?.anyOf ?? []) as { const?: unknown; type?: string }[];
  return branches.map((branch) => JSON.stringify(branch.const) ?? branch.type ?? 'value').join(' or ');
}

function knownFields({ parentSchema }: ErrorObject): string {
  return `one of ${Object.keys((parentSchema?.properties ?? {}) as object).join(', ')}`;
}

function rangeOf({ parentSchema }: ErrorObject): string {
  const { minimum, maximum, exclusiveMinimum } = (parentSchema ?? {}) as Record<string, number | undefined>;
  const low = minimum ?? exclusiveMinimum;
  if (low !== undefined && maximum !== undefined) {
    return exclusiveMinimum === undefined
      ? `from ${low} to ${maximum}`
      : `above ${low} and at most ${maximum}`;
  }
  return low === undefined ? `at most ${maximum}` : `at least ${low}`;
}

function list(values: unknown): string {
  return Array.isArray(values) ? `one of ${values.join(', ')}` : String(values);
}

function article(word: string): string {
  return /^[aeiou]/.test(word) ? `an ${word}` : `a ${word}`;
}

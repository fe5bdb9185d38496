import { BuildDocumentSchema, RunDocumentSchema, ShopDocumentSchema } from '@lean-clasp/core/formats';
import type { CalculationListing } from '@lean-clasp/validation';
import { type Content, having, type JsonSchema, type Operation } from './operation';
import { operations } from './operations';

const TEXT = { type: 'string' };

const stored = (name: string): JsonSchema =>
  having({
    id: TEXT,
    revision: { type: 'integer' },
    body: { $ref: `#/components/schemas/${name}` },
    createdAtMs: { type: 'number' },
    updatedAtMs: { type: 'number' },
  });

/** What is described once and spoken of by name. */
const SCHEMAS: Readonly<Record<string, object>> = {
  Build: BuildDocumentSchema,
  Shop: ShopDocumentSchema,
  Run: RunDocumentSchema,
  StoredBuild: stored('Build'),
  StoredShop: stored('Shop'),
  Refusal: having({
    error: having({
      code: { type: 'string', description: 'the same for the same fault, for programs' },
      field: {
        type: 'string',
        description: 'what of the question it is about; empty where it is about all of it',
      },
      message: { type: 'string', description: 'what is wrong, for people' },
      allowed: { type: 'string', description: 'what would do' },
    }),
  }),
};

const WHO: Readonly<Record<Operation['who'], string>> = {
  anyone: 'Anyone may ask.',
  bench: 'For whoever came in.',
  owner: 'For the owner.',
  'this machine': 'Only at the machine that serves the shop.',
};

/**
 * The whole HTTP interface as an OpenAPI 3.1 document (JSON Schema 2020-12).
 * @param calculations the sums, each of which has an address of its own.
 */
export function openApiDocument(version: string, calculations: readonly CalculationListing[]): JsonSchema {
  const paths: Record<string, Record<string, JsonSchema>> = {};
  for (const operation of operations(calculations)) {
    (paths[operation.path] ??= {})[operation.method] = described(operation);
  }
  return inNewTuples({
    openapi: '3.1.0',
    info: {
      title: 'Lean Clasp',
      version,
      description:
        'Plans glue-ups in wood, runs them at the bench and learns from them. Lengths in mm, forces in kN, pressures in MPa, times ' +
        'in minutes, instants in milliseconds since 1970 unless a name says otherwise. A page of another origin is refused.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/api' }],
    components: {
      schemas: SCHEMAS,
      responses: {
        Refusal: {
          description: 'Refused: what is wrong, what is allowed.',
          content: contentOf({
            type: 'application/json',
            schema: { $ref: '#/components/schemas/Refusal' },
          }),
        },
      },
      securitySchemes: {
        session: {
          type: 'apiKey',
          in: 'cookie',
          name: 'lean-clasp',
          description: 'Given by POST /session over the network; not asked for at the machine itself.',
        },
      },
    },
    paths,
  }) as JsonSchema;
}

const contentOf = ({ type, schema }: Content) => ({ [type]: { schema } });

function described({ method, path, about, who, query = {}, body, answer, status }: Operation): JsonSchema {
  const named = [...path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => ({
    name,
    in: 'path',
    required: true,
    schema: TEXT,
  }));
  const asked = Object.entries(query).map(([name, { about: description, schema }]) => ({
    name,
    in: 'query',
    description,
    schema,
  }));
  const good = String(status ?? (answer === null ? 204 : 200));
  return {
    operationId: `${method}${path.replace(/\W+(\w)?/g, (_all, first?: string) => (first ?? '').toUpperCase())}`,
    summary: about,
    description: WHO[who],
    security: who === 'anyone' ? [] : [{ session: [] }],
    parameters: [...named, ...asked],
    ...(body === undefined ? {} : { requestBody: { required: true, content: contentOf(body) } }),
    responses: {
      [good]: { description: 'Done.', ...(answer === null ? {} : { content: contentOf(answer) }) },
      default: { $ref: '#/components/responses/Refusal' },
    },
  };
}

/** Tuples as JSON Schema has written them since 2020: what stands in each place is `prefixItems`. */
function inNewTuples(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inNewTuples);
  if (typeof value !== 'object' || value === null) return value;
  const { items, additionalItems, ...rest } = value as Record<string, unknown>;
  const inner = Object.fromEntries(Object.entries(rest).map(([name, each]) => [name, inNewTuples(each)]));
  if (!Array.isArray(items)) return items === undefined ? inner : { ...inner, items: inNewTuples(items) };
  return { ...inner, prefixItems: inNewTuples(items), items: additionalItems ?? false };
}

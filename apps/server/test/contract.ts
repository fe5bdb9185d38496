import type { JsonSchema } from '../src/openapi/operation';
import { Ajv2020 } from 'ajv/dist/2020';
import { createCalculator } from '@lean-clasp/validation';
import supertest, { type Response } from 'supertest';
import { openApiDocument } from '../src/openapi/document';

type Content = Readonly<Record<string, { readonly schema: JsonSchema }>>;
interface Described {
  readonly parameters: readonly { readonly name: string; readonly in: string; readonly schema: JsonSchema }[];
  readonly requestBody?: { readonly content: Content };
  readonly responses: Readonly<Record<string, { readonly content?: Content }>>;
}

/** The document that the server serves. */
export const DOCUMENT = openApiDocument('test', createCalculator().list());
const PATHS = DOCUMENT.paths as Readonly<Record<string, Readonly<Record<string, Described>>>>;

const ajv = new Ajv2020({ strict: false, allErrors: false });
ajv.addSchema({ ...DOCUMENT, $id: 'openapi' });

/** What is asked, as it went over the wire. */
interface Asked {
  readonly method: string;
  readonly url: string;
  readonly _data?: unknown;
}

const pointer = (...names: readonly string[]) =>
  `openapi#/${names.map((name) => encodeURIComponent(name.replaceAll('~', '~0').replaceAll('/', '~1'))).join('/')}`;

function holds(value: unknown, ...where: readonly string[]): void {
  const validate = ajv.getSchema(pointer(...where)) ?? ajv.compile({ $ref: pointer(...where) });
  if (validate(value) !== true) {
    throw new Error(
      `${where.join(' ')} is not as /api/openapi.json says: ${ajv.errorsText(validate.errors)}`,
    );
  }
}

/** The path of the document that an address is of; a written one goes before one with names. */
function pathOf(address: string): string | undefined {
  const fits = Object.keys(PATHS).filter((path) =>
    new RegExp(`^${path.replaceAll('.', '\\.').replace(/\{\w+\}/g, '[^/]+')}$`).test(address),
  );
  return fits.sort((a, b) => a.split('{').length - b.split('{').length)[0];
}

/**
 * Holds a request that went well, and what it was answered, against the document; a refusal against the one error shape.
 * @throws Error where something was taken or answered that the document does not tell of.
 */
export function followsContract(response: Response): void {
  const { method, url, _data: sent } = (response as unknown as { readonly request: Asked }).request;
  const { pathname, searchParams } = new URL(url);
  if (!pathname.startsWith('/api/') || response.status === 304) return;
  if (response.status >= 400) {
    if (response.type === 'application/json') holds(response.body, 'components', 'schemas', 'Refusal');
    return;
  }
  const path = pathOf(pathname.slice('/api'.length)) ?? '';
  const verb = method.toLowerCase();
  const described = PATHS[path]?.[verb];
  if (described === undefined) throw new Error(`/api/openapi.json tells of no ${method} ${pathname}`);
  for (const [name, value] of searchParams) {
    const at = described.parameters.findIndex((each) => each.in === 'query' && each.name === name);
    if (at < 0) throw new Error(`/api/openapi.json tells of no ?${name} for ${method} ${path}`);
    holds(value, 'paths', path, verb, 'parameters', String(at), 'schema');
  }
  const taken = described.requestBody?.content ?? {};
  if ('application/json' in taken) {
    const body: unknown = typeof sent === 'string' ? JSON.parse(sent) : sent;
    holds(body, 'paths', path, verb, 'requestBody', 'content', 'application/json', 'schema');
  } else if (sent !== undefined && Object.keys(taken).length === 0) {
    throw new Error(`/api/openapi.json tells of no body for ${method} ${path}`);
  }
  const good = described.responses[String(response.status)];
  if (good === undefined)
    throw new Error(`/api/openapi.json tells of no ${response.status} for ${method} ${path}`);
  const [type] = Object.keys(good.content ?? {});
  if (type === 'application/json') {
    holds(
      response.body,
      'paths',
      path,
      verb,
      'responses',
      String(response.status),
      'content',
      type,
      'schema',
    );
  } else if (type !== undefined && type !== '*/*' && response.type !== type) {
    throw new Error(`${method} ${path} answers ${response.type}, not ${type}`);
  }
}

/** Asks a server over HTTP, holding all that is asked and answered against the document it serves. */
export default function request(url: string) {
  const agent = supertest(url);
  return {
    get: (path: string) => agent.get(path).expect(followsContract),
    post: (path: string) => agent.post(path).expect(followsContract),
    put: (path: string) => agent.put(path).expect(followsContract),
    patch: (path: string) => agent.patch(path).expect(followsContract),
    delete: (path: string) => agent.delete(path).expect(followsContract),
  };
}

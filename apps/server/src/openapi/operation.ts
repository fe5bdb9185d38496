/** A JSON Schema, as it is written into the document. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** What goes over the wire in one direction. */
export interface Content {
  readonly type: string;
  readonly schema: JsonSchema;
}

/** A word that may stand after the question mark of an address. */
export interface QueryWord {
  readonly about: string;
  readonly schema: JsonSchema;
}

/** One thing that may be asked of the server, as the document tells it. */
export interface Operation {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  /** Under `/api`, with names in braces. */
  readonly path: string;
  readonly about: string;
  /** At this machine one is the owner; over the network one comes in with a passphrase. */
  readonly who: 'anyone' | 'bench' | 'owner' | 'this machine';
  readonly query?: Readonly<Record<string, QueryWord>>;
  readonly body?: Content;
  /** What a good answer holds; null for one without a body. */
  readonly answer: Content | null;
  /** Status of a good answer; 200 where left out, 204 where it has no body. */
  readonly status?: number;
}

const json = (schema: JsonSchema): Content => ({ type: 'application/json', schema });

/** JSON by a schema. */
export const jsonBy = (schema: object): Content => json(schema as JsonSchema);

/** JSON of something that the document describes once, by its name. */
export const jsonOf = (name: string): Content => json({ $ref: `#/components/schemas/${name}` });

/** An object of which some members are told and the rest is free. */
export const having = (properties: Readonly<Record<string, JsonSchema>>): JsonSchema => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
});

/** A file. */
export const file = (type: string): Content => ({ type, schema: {} });

import type { Format } from './format';

/** Says one code, from its values and in the person's units. */
export type Say<Values> = (values: Readonly<Values>, f: Format) => string;

/** A sentence for every code of a table of values; a code without one does not compile. */
export type Words<Table> = { readonly [Code in keyof Table]: Say<Table[Code]> };

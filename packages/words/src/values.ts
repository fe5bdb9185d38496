import type { Finding } from '@lean-clasp/core/basics';
import type { Format } from './format';

/** Reads a finding's values by name with the type that its code promises. */
export interface Values {
  readonly n: (name: string) => number;
  readonly s: (name: string) => string;
}

/** Wraps a finding's values; a value that is not there reads as 0 or an empty word. */
export function valuesOf({ values }: Finding): Values {
  return {
    n: (name) => Number(values[name] ?? 0),
    s: (name) => String(values[name] ?? ''),
  };
}

/** Says one code, from its values and in the person's units. */
export type Say = (values: Values, f: Format) => string;

/** Looks a finding's code up in a table of sentences; a code that nobody worded shows itself. */
export function sayFrom(table: Readonly<Record<string, Say>>, finding: Finding, f: Format): string {
  return table[finding.code]?.(valuesOf(finding), f) ?? finding.code;
}

import { type Compilable, CompiledQuery, type QueryExecutorProvider } from 'kysely';
import type { Database } from './database';

/** Stands for a value that comes later. */
class Slot {
  constructor(readonly name: string) {}
}

/** A question put into SQL once: where it is asked with every edit, building it anew takes longer than answering it. */
export type Prepared<Values, Row> = (
  on: Pick<Database, 'executeQuery'> & QueryExecutorProvider,
  values: Values,
) => Promise<readonly Row[]>;

/**
 * Prepares a question.
 * @param build makes it out of what stands for each value; of values themselves it must not depend.
 */
export function prepared<Values extends object, Row>(
  build: (values: Values) => Compilable<Row>,
): Prepared<Values, Row> {
  const slots = new Proxy({}, { get: (_, name) => new Slot(String(name)) }) as Values;
  const { sql, parameters } = build(slots).compile();
  return async (on, values) => {
    const filled = parameters.map((each) =>
      each instanceof Slot ? values[each.name as keyof Values] : each,
    );
    return (await on.executeQuery<Row>(CompiledQuery.raw(sql, filled))).rows;
  };
}

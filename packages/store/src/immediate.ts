import type { Database } from 'better-sqlite3';
import {
  CompiledQuery,
  type DatabaseConnection,
  type Dialect,
  SqliteAdapter,
  type SqliteDatabase,
  SqliteDriver,
  SqliteIntrospector,
  SqliteQueryCompiler,
  type SqliteStatement,
} from 'kysely';

/**
 * Every transaction takes the write lock at its beginning. One that reads first and writes later could find that another has
 * written meanwhile, and fail at once instead of waiting its turn.
 */
class ImmediateDriver extends SqliteDriver {
  readonly #database: Database;

  constructor(database: Database) {
    super({ database: rememberingStatements(database) });
    this.#database = database;
  }

  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }

  /** A full disk ends a transaction by itself; what it was refused for is told, not that there is nothing left to take back. */
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    if (this.#database.inTransaction) await super.rollbackTransaction(connection);
  }
}

/** Questions that are asked again and again are not read anew each time; there are a few dozen. */
const MOST_STATEMENTS = 200;

function rememberingStatements(database: Database): SqliteDatabase {
  const known = new Map<string, SqliteStatement>();
  return {
    close: () => database.close(),
    prepare: (sql) => {
      const statement = known.get(sql) ?? database.prepare(sql);
      if (known.size < MOST_STATEMENTS) known.set(sql, statement);
      return statement;
    },
  };
}

/** SQLite with transactions that lock when they begin. */
export const immediateDialect = (database: Database): Dialect => ({
  createAdapter: () => new SqliteAdapter(),
  createDriver: () => new ImmediateDriver(database),
  createIntrospector: (db) => new SqliteIntrospector(db),
  createQueryCompiler: () => new SqliteQueryCompiler(),
});

import {
  CompiledQuery,
  type DatabaseConnection,
  type Dialect,
  SqliteAdapter,
  type SqliteDatabase,
  SqliteDriver,
  SqliteIntrospector,
  SqliteQueryCompiler,
} from 'kysely';

/**
 * Every transaction takes the write lock at its beginning. One that reads first and writes later could find that another has
 * written meanwhile, and fail at once instead of waiting its turn.
 */
class ImmediateDriver extends SqliteDriver {
  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }
}

/** SQLite with transactions that lock when they begin. */
export const immediateDialect = (database: SqliteDatabase): Dialect => ({
  createAdapter: () => new SqliteAdapter(),
  createDriver: () => new ImmediateDriver({ database }),
  createIntrospector: (db) => new SqliteIntrospector(db),
  createQueryCompiler: () => new SqliteQueryCompiler(),
});

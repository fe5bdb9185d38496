import type { Kysely, Migration, MigrationProvider } from 'kysely';

/** Numbered migrations; never edited once released, only added to. */
const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '0001-first-tables': {
    up: async (db: Kysely<unknown>) => {
      await db.schema
        .createTable('documents')
        .addColumn('id', 'text', (column) => column.primaryKey())
        .addColumn('kind', 'text', (column) => column.notNull())
        .addColumn('body', 'text', (column) => column.notNull())
        .addColumn('revision', 'integer', (column) => column.notNull())
        .addColumn('created_at_ms', 'integer', (column) => column.notNull())
        .addColumn('updated_at_ms', 'integer', (column) => column.notNull())
        .execute();
      await db.schema
        .createTable('document_edits')
        .addColumn('document_id', 'text', (column) =>
          column.notNull().references('documents.id').onDelete('cascade'),
        )
        .addColumn('revision', 'integer', (column) => column.notNull())
        .addColumn('kind', 'text', (column) => column.notNull())
        .addColumn('label', 'text', (column) => column.notNull())
        .addColumn('group_key', 'text', (column) => column.notNull())
        .addColumn('patch', 'text', (column) => column.notNull())
        .addColumn('inverse', 'text', (column) => column.notNull())
        .addColumn('at_ms', 'integer', (column) => column.notNull())
        .addPrimaryKeyConstraint('document_edits_pk', ['document_id', 'revision'])
        .execute();
      await db.schema
        .createTable('runs')
        .addColumn('id', 'text', (column) => column.primaryKey())
        .addColumn('build_id', 'text', (column) => column.notNull())
        .addColumn('body', 'text', (column) => column.notNull())
        .addColumn('started_at_ms', 'integer', (column) => column.notNull())
        .addColumn('updated_at_ms', 'integer', (column) => column.notNull())
        .execute();
      await db.schema.createIndex('runs_by_start').on('runs').column('started_at_ms').execute();
    },
  },
  '0002-last-air': {
    up: async (db: Kysely<unknown>) => {
      await db.schema
        .createTable('last_air')
        .addColumn('address', 'text', (column) => column.primaryKey())
        .addColumn('temp_c', 'real', (column) => column.notNull())
        .addColumn('rh_pct', 'real', (column) => column.notNull())
        .addColumn('taken_at_ms', 'integer', (column) => column.notNull())
        .execute();
    },
  },
};

/** Hands the migrations to Kysely's migrator. */
export const migrationProvider: MigrationProvider = {
  getMigrations: () => Promise.resolve(MIGRATIONS),
};

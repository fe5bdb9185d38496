import { type Kysely, type Migration, type MigrationProvider, sql } from 'kysely';
import { keepRunFigures } from './run-figures';

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
  // The series of readings, which the last one belongs to.
  '0003-air-samples': {
    up: async (db: Kysely<unknown>) => {
      await db.schema
        .createTable('air_samples')
        .addColumn('address', 'text', (column) => column.notNull())
        .addColumn('taken_at_ms', 'integer', (column) => column.notNull())
        .addColumn('temp_c', 'real', (column) => column.notNull())
        .addColumn('rh_pct', 'real', (column) => column.notNull())
        .addPrimaryKeyConstraint('air_samples_pk', ['address', 'taken_at_ms'])
        .execute();
      await sql`insert into air_samples (address, taken_at_ms, temp_c, rh_pct)
        select address, taken_at_ms, temp_c, rh_pct from last_air`.execute(db);
      await db.schema.createIndex('air_samples_by_time').on('air_samples').column('taken_at_ms').execute();
      await db.schema.dropTable('last_air').execute();
    },
  },
  // What happens in a run is added to, one row for each event; lists read summaries. Runs of before are brought over at the start.
  '0004-run-events': {
    up: async (db: Kysely<unknown>) => {
      await db.schema
        .createTable('run_events')
        .addColumn('run_id', 'text', (column) => column.notNull().references('runs.id').onDelete('cascade'))
        .addColumn('device', 'text', (column) => column.notNull())
        .addColumn('seq', 'integer', (column) => column.notNull())
        .addColumn('at_ms', 'integer', (column) => column.notNull())
        .addColumn('body', 'text', (column) => column.notNull())
        .addPrimaryKeyConstraint('run_events_pk', ['run_id', 'device', 'seq'])
        .execute();
      await db.schema
        .alterTable('runs')
        .addColumn('summary', 'text', (column) => column.notNull().defaultTo(''))
        .execute();
      await db.schema
        .alterTable('runs')
        .addColumn('state', 'text', (column) => column.notNull().defaultTo(''))
        .execute();
      await db.schema.dropIndex('runs_by_start').execute();
      await db.schema.createIndex('runs_by_start').on('runs').columns(['started_at_ms', 'id']).execute();
      await db.schema
        .createIndex('runs_by_build')
        .on('runs')
        .columns(['build_id', 'started_at_ms', 'id'])
        .execute();
    },
  },
  // Removing is putting into a bin; an edit that comes twice is known by its id.
  '0005-bin-and-edit-ids': {
    up: async (db: Kysely<unknown>) => {
      await db.schema.alterTable('documents').addColumn('deleted_at_ms', 'integer').execute();
      await db.schema
        .createIndex('documents_by_change')
        .on('documents')
        .columns(['kind', 'updated_at_ms', 'id'])
        .execute();
      await db.schema.alterTable('document_edits').addColumn('edit_id', 'text').execute();
      await db.schema
        .createIndex('edits_once')
        .unique()
        .on('document_edits')
        .columns(['document_id', 'edit_id'])
        .execute();
    },
  },
  // Who may come in from the network.
  '0006-passphrases': {
    up: async (db: Kysely<unknown>) => {
      await db.schema
        .createTable('passphrases')
        .addColumn('role', 'text', (column) => column.primaryKey())
        .addColumn('hash', 'text', (column) => column.notNull())
        .addColumn('salt', 'text', (column) => column.notNull())
        .addColumn('mark', 'text', (column) => column.notNull())
        .addColumn('set_at_ms', 'integer', (column) => column.notNull())
        .execute();
      await db.schema
        .createTable('secrets')
        .addColumn('name', 'text', (column) => column.primaryKey())
        .addColumn('value', 'text', (column) => column.notNull())
        .execute();
    },
  },
  // What a run has to teach is worked out when it is written; runs of before kept no pace to learn from.
  '0007-run-evidence': {
    up: async (db: Kysely<unknown>) => {
      await db.schema
        .alterTable('runs')
        .addColumn('evidence', 'text', (column) => column.notNull().defaultTo(''))
        .execute();
    },
  },
  '0008-run-figures': { up: keepRunFigures },
  // Bottles, and glue that was weighed.
  '0009-run-figures-of-bottles': { up: keepRunFigures },
};

/** Hands the migrations to Kysely's migrator. */
export const migrationProvider: MigrationProvider = {
  getMigrations: () => Promise.resolve(MIGRATIONS),
};

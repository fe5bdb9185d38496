import { sql } from 'kysely';
import { applyPatch, type Operation } from 'rfc6902';
import { cursorOf, cut } from './cursor';
import type { Database } from './database';
import type { StoredDocument, EditOutcome, DocumentStore } from './document';
import { prepared } from './prepared';
import type { Tables } from './tables';

/** What a kind of document is to its store. */
export interface DocumentRules<Body> {
  readonly kind: Row['kind'];
  /** Throws for a body that is not sound; runs before anything is written. */
  readonly check: (body: unknown) => Body;
  /** Clock in milliseconds. */
  readonly now: () => number;
  /** Version that this program reads; others are kept and passed over. Null: all. */
  readonly version: number | null;
  /** Told of every body that is written. */
  readonly written?: (body: Body) => void;
}

type Row = Tables['documents'];

/** Larger documents are refused: a patch may copy what it finds. */
const MOST_CHARACTERS = 1_000_000;

/** What every edit asks and writes. */
const questions = (db: Database) => ({
  row: prepared(({ id, kind }: Pick<Row, 'id' | 'kind'>) =>
    db
      .selectFrom('documents')
      .selectAll()
      .where('id', '=', id)
      .where('kind', '=', kind)
      .where('deleted_at_ms', 'is', null),
  ),
  edit: prepared(({ document, edit }: { document: string; edit: string }) =>
    db
      .selectFrom('document_edits')
      .select('revision')
      .where('document_id', '=', document)
      .where('edit_id', '=', edit),
  ),
  write: prepared(({ id, body, revision, updated_at_ms }: Row) =>
    db.updateTable('documents').set({ body, revision, updated_at_ms }).where('id', '=', id),
  ),
  log: prepared(
    ({
      document_id,
      revision,
      kind,
      label,
      group_key,
      edit_id,
      patch,
      inverse,
      at_ms,
    }: Tables['document_edits']) =>
      db
        .insertInto('document_edits')
        .values({ document_id, revision, kind, label, group_key, edit_id, patch, inverse, at_ms }),
  ),
});

/** Keeps whole documents beside a log of the edits that made them. */
export function documentStore<Body>(
  db: Database,
  { kind, check, now, version, written }: DocumentRules<Body>,
): DocumentStore<Body> {
  const readable = (body: unknown): boolean =>
    version === null || (body as { version?: unknown } | null)?.version === version;
  const toDocument = (row: Row, body = JSON.parse(row.body) as Body): StoredDocument<Body> => ({
    id: row.id,
    revision: row.revision,
    body,
    createdAtMs: row.created_at_ms,
    updatedAtMs: row.updated_at_ms,
  });
  const moved = async (id: string, deletedAtMs: number | null): Promise<boolean> => {
    const result = await db
      .updateTable('documents')
      .set({ deleted_at_ms: deletedAtMs })
      .where('id', '=', id)
      .where('kind', '=', kind)
      .where('deleted_at_ms', deletedAtMs === null ? 'is not' : 'is', null)
      .executeTakeFirst();
    return result.numUpdatedRows > 0n;
  };
  const ask = questions(db);
  const field = (name: 'name' | 'project' | 'template') =>
    sql<string | null>`json_extract(body, ${`$.${name}`})`;

  return {
    page: async ({ limit, after, text = '', binned = false }) => {
      let query = db
        .selectFrom('documents')
        .select(['id', 'revision', 'updated_at_ms', 'deleted_at_ms'])
        .select([field('name').as('name'), field('project').as('project'), field('template').as('template')])
        .where('kind', '=', kind)
        .where('deleted_at_ms', binned ? 'is not' : 'is', null)
        // One that is damaged ends no list.
        .where(sql<boolean>`json_valid(body)`)
        .orderBy('updated_at_ms', 'desc')
        .orderBy('id', 'desc')
        .limit(limit + 1);
      if (version !== null) query = query.where(sql<boolean>`json_extract(body, '$.version') = ${version}`);
      if (text !== '') {
        const like = `%${text.replace(/[\\%_]/g, (found) => `\\${found}`)}%`;
        query = query.where(
          sql<boolean>`(${field('name')} like ${like} escape '\\' or ${field('project')} like ${like} escape '\\')`,
        );
      }
      if (after !== undefined) {
        const [atMs, id] = cursorOf(after);
        query = query.where((where) =>
          where.or([
            where('updated_at_ms', '<', atMs),
            where.and([where('updated_at_ms', '=', atMs), where('id', '<', id)]),
          ]),
        );
      }
      const { shown, next } = cut(await query.execute(), limit, (row) => [row.updated_at_ms, row.id]);
      return {
        documents: shown.map((row) => ({
          id: row.id,
          revision: row.revision,
          name: row.name ?? '',
          project: row.project ?? '',
          template: row.template ?? '',
          updatedAtMs: row.updated_at_ms,
          deletedAtMs: row.deleted_at_ms,
        })),
        next,
      };
    },

    find: async (id) => {
      const [row] = await ask.row(db, { id, kind });
      if (row === undefined) return undefined;
      const body = parsed(row.body);
      return body !== undefined && readable(body) ? toDocument(row, body as Body) : undefined;
    },

    knows: async (id) =>
      (await db
        .selectFrom('documents')
        .select('id')
        .where('id', '=', id)
        .where('kind', '=', kind)
        .executeTakeFirst()) !== undefined,

    create: async (id, body) => {
      const at = now();
      const row: Row = {
        id,
        kind,
        body: JSON.stringify(check(body)),
        revision: 0,
        created_at_ms: at,
        updated_at_ms: at,
        deleted_at_ms: null,
      };
      await db.insertInto('documents').values(row).execute();
      written?.(body);
      return toDocument(row);
    },

    remove: (id) => moved(id, now()),

    restore: (id) => moved(id, null),

    edit: (id, baseRevision, edit) =>
      db.transaction().execute(async (trx): Promise<EditOutcome<Body>> => {
        const [row] = await ask.row(trx, { id, kind });
        if (row === undefined) return { kind: 'missing' };
        if (edit.id !== null && (await ask.edit(trx, { document: id, edit: edit.id })).length > 0) {
          return { kind: 'done', document: toDocument(row) };
        }
        if (row.revision !== baseRevision) return { kind: 'stale', document: toDocument(row) };
        const body: unknown = JSON.parse(row.body);
        const misfit = patchInto(body, edit.patch);
        if (misfit !== null) return { kind: 'patch-does-not-fit', reason: misfit };
        const at = now();
        const checked = check(body);
        const next: Row = {
          ...row,
          body: JSON.stringify(checked),
          revision: row.revision + 1,
          updated_at_ms: at,
        };
        await ask.write(trx, next);
        await ask.log(trx, {
          document_id: id,
          revision: next.revision,
          kind: edit.kind,
          label: edit.label,
          group_key: edit.group,
          edit_id: edit.id,
          patch: JSON.stringify(edit.patch),
          inverse: JSON.stringify(edit.inverse),
          at_ms: at,
        });
        written?.(checked);
        return { kind: 'done', document: toDocument(next, checked) };
      }),

    history: async (id, afterRevision = 0) => {
      const rows = await db
        .selectFrom('document_edits')
        .selectAll()
        .where('document_id', '=', id)
        .where('revision', '>', afterRevision)
        .orderBy('revision')
        .execute();
      return rows.map((row) => ({
        revision: row.revision,
        id: row.edit_id,
        kind: row.kind,
        label: row.label,
        group: row.group_key,
        patch: JSON.parse(row.patch) as Operation[],
        inverse: JSON.parse(row.inverse) as Operation[],
        atMs: row.at_ms,
      }));
    },
  };
}

/**
 * Applies a patch in place.
 * @returns why it does not fit; null where it does.
 */
function patchInto(body: unknown, patch: readonly Operation[]): string | null {
  let characters = 0;
  for (const operation of patch) {
    if (operation.op === 'copy' || operation.op === 'move') {
      // A handful of copies, each of all before it, would fill any memory.
      characters += JSON.stringify(body).length;
      if (characters > MOST_CHARACTERS) return 'TooLarge';
    }
    try {
      const [failed] = applyPatch(body, [operation]);
      if (failed !== null && failed !== undefined) return failed.name;
    } catch (error) {
      // Paths that name no place, such as one without a slash.
      return error instanceof Error ? error.name : 'InvalidOperationError';
    }
  }
  return null;
}

function parsed(body: string): unknown {
  try {
    return JSON.parse(body);
  } catch {
    return undefined;
  }
}

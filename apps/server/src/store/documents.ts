import { applyPatch, type Operation } from 'rfc6902';
import type { Database } from './database';
import type { Tables } from './tables';

/** A document with its revision. */
export interface StoredDocument<Body> {
  readonly id: string;
  readonly revision: number;
  readonly body: Body;
  readonly createdAtMs: number;
  readonly updatedAtMs: number;
}

/** An edit as a client sends it: JSON Patch forward and back. */
export interface DocumentEdit {
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  /** Edits of one key in a row are undone together. */
  readonly group: string;
  readonly patch: readonly Operation[];
  readonly inverse: readonly Operation[];
}

/** An edit with its place in the log. */
export interface LoggedEdit extends Omit<DocumentEdit, 'kind'> {
  /** An upgrade changed everything at once; nothing from before it can be undone. */
  readonly kind: DocumentEdit['kind'] | 'upgrade';
  readonly revision: number;
  readonly atMs: number;
}

/** What came of an attempt to edit. */
export type EditOutcome<Body> =
  | { readonly kind: 'done'; readonly document: StoredDocument<Body> }
  | { readonly kind: 'stale'; readonly document: StoredDocument<Body> }
  | { readonly kind: 'patch-does-not-fit'; readonly reason: string }
  | { readonly kind: 'missing' };

/** Documents of one kind with their edit logs. */
export interface DocumentStore<Body> {
  readonly list: () => Promise<StoredDocument<Body>[]>;
  readonly find: (id: string) => Promise<StoredDocument<Body> | undefined>;
  readonly create: (id: string, body: Body) => Promise<StoredDocument<Body>>;
  readonly remove: (id: string) => Promise<boolean>;
  readonly edit: (id: string, baseRevision: number, edit: DocumentEdit) => Promise<EditOutcome<Body>>;
  readonly history: (id: string) => Promise<LoggedEdit[]>;
}

type Row = Tables['documents'];

/**
 * Keeps whole documents beside a log of the edits that made them.
 * @param check throws for a body that is not sound; runs before anything is written.
 * @param now clock in milliseconds.
 * @param readable whether a stored body is one that this program reads; others are passed over.
 */
export function documentStore<Body>(
  db: Database,
  kind: Row['kind'],
  check: (body: unknown) => Body,
  now: () => number,
  readable: (body: Body) => boolean = () => true,
): DocumentStore<Body> {
  const toDocument = (row: Row): StoredDocument<Body> => ({
    id: row.id,
    revision: row.revision,
    body: JSON.parse(row.body) as Body,
    createdAtMs: row.created_at_ms,
    updatedAtMs: row.updated_at_ms,
  });
  const rowOf = (from: Pick<Database, 'selectFrom'>, id: string) =>
    from.selectFrom('documents').selectAll().where('id', '=', id).where('kind', '=', kind).executeTakeFirst();

  return {
    list: async () => {
      const rows = await db
        .selectFrom('documents')
        .selectAll()
        .where('kind', '=', kind)
        .orderBy('updated_at_ms', 'desc')
        .execute();
      return rows.map(toDocument).filter(({ body }) => readable(body));
    },

    find: async (id) => {
      const row = await rowOf(db, id);
      const document = row === undefined ? undefined : toDocument(row);
      return document !== undefined && readable(document.body) ? document : undefined;
    },

    create: async (id, body) => {
      const at = now();
      const row: Row = {
        id,
        kind,
        body: JSON.stringify(check(body)),
        revision: 0,
        created_at_ms: at,
        updated_at_ms: at,
      };
      await db.insertInto('documents').values(row).execute();
      return toDocument(row);
    },

    remove: async (id) => {
      const result = await db
        .deleteFrom('documents')
        .where('id', '=', id)
        .where('kind', '=', kind)
        .executeTakeFirst();
      return result.numDeletedRows > 0n;
    },

    edit: (id, baseRevision, edit) =>
      db.transaction().execute(async (trx): Promise<EditOutcome<Body>> => {
        const row = await rowOf(trx, id);
        if (row === undefined) return { kind: 'missing' };
        if (row.revision !== baseRevision) return { kind: 'stale', document: toDocument(row) };
        const body: unknown = JSON.parse(row.body);
        const failed = applyPatch(body, [...edit.patch]).find((result) => result !== null);
        if (failed !== undefined) return { kind: 'patch-does-not-fit', reason: failed.name };
        const at = now();
        const next: Row = {
          ...row,
          body: JSON.stringify(check(body)),
          revision: row.revision + 1,
          updated_at_ms: at,
        };
        await trx
          .updateTable('documents')
          .set({ body: next.body, revision: next.revision, updated_at_ms: at })
          .where('id', '=', id)
          .execute();
        await trx
          .insertInto('document_edits')
          .values({
            document_id: id,
            revision: next.revision,
            kind: edit.kind,
            label: edit.label,
            group_key: edit.group,
            patch: JSON.stringify(edit.patch),
            inverse: JSON.stringify(edit.inverse),
            at_ms: at,
          })
          .execute();
        return { kind: 'done', document: toDocument(next) };
      }),

    history: async (id) => {
      const rows = await db
        .selectFrom('document_edits')
        .selectAll()
        .where('document_id', '=', id)
        .orderBy('revision')
        .execute();
      return rows.map((row) => ({
        revision: row.revision,
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

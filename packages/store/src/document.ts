import type { Operation } from 'rfc6902';

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
  /** Its own, so that one that comes twice counts once; null where the client gives none. */
  readonly id: string | null;
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

/** A line of the list. */
export interface DocumentLine {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly project: string;
  readonly template: string;
  readonly updatedAtMs: number;
  /** When it was put into the bin; null outside it. */
  readonly deletedAtMs: number | null;
}

/** Some of the documents, the last changed first, and where to go on reading. */
export interface DocumentPage {
  readonly documents: readonly DocumentLine[];
  /** Null on the last page. */
  readonly next: string | null;
}

/** Which page of the list. */
export interface DocumentPageAsked {
  readonly limit: number;
  /** Cursor of the page before. */
  readonly after?: string | undefined;
  /** Part of a name or project. */
  readonly text?: string | undefined;
  readonly binned?: boolean;
}

/** Documents of one kind with their edit logs. */
export interface DocumentStore<Body> {
  readonly page: (asked: DocumentPageAsked) => Promise<DocumentPage>;
  readonly find: (id: string) => Promise<StoredDocument<Body> | undefined>;
  /** Whether there is one of that id, in the bin or out of it, readable or not. */
  readonly knows: (id: string) => Promise<boolean>;
  readonly create: (id: string, body: Body) => Promise<StoredDocument<Body>>;
  /** Puts one into the bin. */
  readonly remove: (id: string) => Promise<boolean>;
  /** Takes one out of the bin. */
  readonly restore: (id: string) => Promise<boolean>;
  readonly edit: (id: string, baseRevision: number, edit: DocumentEdit) => Promise<EditOutcome<Body>>;
  readonly history: (id: string, afterRevision?: number) => Promise<LoggedEdit[]>;
}

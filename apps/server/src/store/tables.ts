/** A build or the shop, as one JSON document with the number of edits behind it. */
interface DocumentsTable {
  id: string;
  kind: 'build' | 'shop';
  body: string;
  revision: number;
  created_at_ms: number;
  updated_at_ms: number;
}

/** Every edit ever made to a document, in order; the source of undo and redo. */
interface DocumentEditsTable {
  document_id: string;
  revision: number;
  /** An upgrade brings a whole document up to date; nothing from before it can be undone. */
  kind: 'edit' | 'undo' | 'redo' | 'upgrade';
  label: string;
  group_key: string;
  patch: string;
  inverse: string;
  at_ms: number;
}

/** One glue-up as run. */
interface RunsTable {
  id: string;
  build_id: string;
  body: string;
  started_at_ms: number;
  updated_at_ms: number;
}

/** Sane readings of sensors. */
interface AirSamplesTable {
  address: string;
  temp_c: number;
  rh_pct: number;
  taken_at_ms: number;
}

/** The database as Kysely sees it. */
export interface Tables {
  air_samples: AirSamplesTable;
  documents: DocumentsTable;
  document_edits: DocumentEditsTable;
  runs: RunsTable;
}

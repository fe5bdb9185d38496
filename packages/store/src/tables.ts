/** A build or the shop, as one JSON document with the number of edits behind it. */
interface DocumentsTable {
  id: string;
  kind: 'build' | 'shop';
  body: string;
  revision: number;
  created_at_ms: number;
  updated_at_ms: number;
  /** When it was put into the bin; null while it is not there. */
  deleted_at_ms: number | null;
}

/** Every edit ever made to a document, in order; the source of undo and redo. */
interface DocumentEditsTable {
  document_id: string;
  revision: number;
  /** An upgrade brings a whole document up to date; nothing from before it can be undone. */
  kind: 'edit' | 'undo' | 'redo' | 'upgrade';
  label: string;
  group_key: string;
  /** The page's own, so that one that is sent twice counts once; null for edits of before. */
  edit_id: string | null;
  patch: string;
  inverse: string;
  at_ms: number;
}

/** One glue-up as run: what was frozen when it began, and what lists show of it; empty where it could not be read. */
interface RunsTable {
  id: string;
  build_id: string;
  body: string;
  summary: string;
  /** What it has to teach; empty where it has nothing. */
  evidence: string;
  state: string;
  started_at_ms: number;
  updated_at_ms: number;
}

/** Something that happened in a run; never changed, never taken out. */
interface RunEventsTable {
  run_id: string;
  device: string;
  seq: number;
  at_ms: number;
  body: string;
}

/** What the log is added up and narrowed by; the database fills it from the run. */
interface RunFiguresTable {
  run_id: string;
  started_at_ms: number;
  /** Such as 2026-11. */
  month: string;
  state: string;
  build_name: string | null;
  note: string | null;
  template: string | null;
  adhesive: string | null;
  glue_g: number | null;
  glued_m2: number | null;
  cause: string | null;
  coupon_pct: number | null;
  /** From here on only of runs that have something to teach. */
  method: string | null;
  used: number | null;
  square_mm: number | null;
  flat_mm: number | null;
  likely: number | null;
  kept: number | null;
}

/** Minutes of one work in a run. */
interface RunWorksTable {
  run_id: string;
  month: string;
  work: string;
  method: string;
  taken_min: number;
  built_in_min: number;
}

/** A lesson that was told in a run. */
interface RunLessonsTable {
  run_id: string;
  lesson: string;
}

/** Sane readings of sensors. */
interface AirSamplesTable {
  address: string;
  temp_c: number;
  rh_pct: number;
  taken_at_ms: number;
}

/** What lets somebody in from the network; the phrase itself is not kept. */
interface PassphrasesTable {
  role: 'owner' | 'bench';
  hash: string;
  salt: string;
  /** Another each time it is set, so that those who came in by the old one are out. */
  mark: string;
  set_at_ms: number;
}

/** What only this server knows. */
interface SecretsTable {
  name: string;
  value: string;
}

/** The database as Kysely sees it. */
export interface Tables {
  air_samples: AirSamplesTable;
  documents: DocumentsTable;
  document_edits: DocumentEditsTable;
  runs: RunsTable;
  run_events: RunEventsTable;
  run_figures: RunFiguresTable;
  run_works: RunWorksTable;
  run_lessons: RunLessonsTable;
  passphrases: PassphrasesTable;
  secrets: SecretsTable;
}

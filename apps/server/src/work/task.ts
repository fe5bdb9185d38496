import type { PaperFile } from '@lean-clasp/paper';
import type { ErrorBody } from '@lean-clasp/validation';

/** What a worker is asked. */
export type Task =
  | { readonly kind: 'calc'; readonly name: string; readonly input: unknown }
  | { readonly kind: 'plan'; readonly input: unknown }
  /** A file made of a plan. */
  | { readonly kind: 'paper'; readonly ask: unknown; readonly input: unknown }
  /** Nothing, so that a worker is up before the first question. */
  | { readonly kind: 'warm' };

/** What a worker answers: JSON, a file, or why it refuses. */
export type TaskOutcome =
  | { readonly kind: 'answer'; readonly json: string }
  | { readonly kind: 'file'; readonly file: PaperFile }
  | { readonly kind: 'refused'; readonly body: ErrorBody };

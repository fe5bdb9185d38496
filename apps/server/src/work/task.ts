import type { ErrorBody } from '@lean-clasp/validation';

/** What a worker is asked. */
export type Task =
  | { readonly kind: 'calc'; readonly name: string; readonly input: unknown }
  | { readonly kind: 'plan'; readonly input: unknown }
  /** Nothing, so that a worker is up before the first question. */
  | { readonly kind: 'warm' };

/** What a worker answers: JSON, or why it refuses. */
export type TaskOutcome =
  { readonly kind: 'answer'; readonly json: string } | { readonly kind: 'refused'; readonly body: ErrorBody };

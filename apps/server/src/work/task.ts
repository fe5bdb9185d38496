import type { UnitSystem } from '@lean-clasp/core/units';
import type { PaperFile, PaperName } from '@lean-clasp/paper';
import type { ErrorBody } from '@lean-clasp/validation';

/** How a shop list is wanted. */
export interface ShopListAsk {
  readonly paper: PaperName;
  readonly units: UnitSystem;
}

/** Tasks of which a file comes. */
export type FileTask = Extract<Task, { kind: 'paper' | 'shop-list' }>;

/** What a worker is asked. */
export type Task =
  | { readonly kind: 'calc'; readonly name: string; readonly input: unknown }
  | { readonly kind: 'plan'; readonly input: unknown }
  /** A file made of a plan. */
  | { readonly kind: 'paper'; readonly ask: unknown; readonly input: unknown }
  /** What several builds want, as a file. */
  | {
      readonly kind: 'shop-list';
      readonly ask: ShopListAsk;
      readonly builds: readonly unknown[];
      readonly shop: unknown;
    }
  /** Nothing, so that a worker is up before the first question. */
  | { readonly kind: 'warm' };

/** What a worker answers: JSON, a file, or why it refuses. */
export type TaskOutcome =
  | { readonly kind: 'answer'; readonly json: string }
  | { readonly kind: 'file'; readonly file: PaperFile }
  | { readonly kind: 'refused'; readonly body: ErrorBody };

import type { Operation } from 'rfc6902';

/** One step of change, forward and back. */
export interface Step {
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  /** Neighbouring edits of one group are taken back together. */
  readonly group: string;
  readonly patch: readonly Operation[];
  readonly inverse: readonly Operation[];
}

/** A step that was taken, with an id of its own, so that one that is sent twice counts once. */
export interface Edit extends Step {
  readonly id: string;
}

/**
 * A step as the server has it in its log. An upgrade brought the whole document up to date: nothing from before it fits the document
 * as it is, so undo stops there.
 */
export interface LoggedEdit extends Omit<Step, 'kind'> {
  /** Null for edits of before, which had none. */
  readonly id: string | null;
  readonly kind: Edit['kind'] | 'upgrade';
  /** Revision that came of it. */
  readonly revision: number;
}

/** What can be taken back and what can be done again, newest last. */
export interface Stacks {
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
  /** Whether there was more before an upgrade, which can no longer be taken back. */
  readonly barred: boolean;
}

/** Nothing done yet. */
export const EMPTY_STACKS: Stacks = { undo: [], redo: [], barred: false };

/** Stacks after one more logged step. */
export function pushed({ undo, redo, barred }: Stacks, step: Step): Stacks {
  switch (step.kind) {
    case 'edit':
      return { undo: [...undo, step], redo: [], barred };
    case 'undo':
      return { undo: undo.slice(0, -1), redo: [...redo, ...undo.slice(-1)], barred };
    case 'redo':
      return { undo: [...undo, ...redo.slice(-1)], redo: redo.slice(0, -1), barred };
  }
}

/** Whether a step of the log is an upgrade rather than somebody's edit. */
export const isUpgrade = (step: Step | LoggedEdit): step is LoggedEdit & { readonly kind: 'upgrade' } =>
  step.kind === 'upgrade';

/** Stacks after a whole log, so that undo goes all the way back even after a reload. */
export function stacksOf(log: readonly (Step | LoggedEdit)[]): Stacks {
  return log.reduce<Stacks>(
    (stacks, step) => (isUpgrade(step) ? { ...EMPTY_STACKS, barred: true } : pushed(stacks, step as Step)),
    EMPTY_STACKS,
  );
}

/** Steps that take the newest group back, in order; empty when there is nothing to take back. */
export function undoSteps({ undo }: Stacks): Step[] {
  const group = undo.at(-1)?.group;
  const start = undo.findLastIndex((edit) => edit.group !== group) + 1;
  return undo
    .slice(start)
    .reverse()
    .map(({ label, group: of, patch, inverse }) => ({
      kind: 'undo',
      label,
      group: of,
      patch: inverse,
      inverse: patch,
    }));
}

/** Steps that do the last undone group again, in order. */
export function redoSteps({ redo }: Stacks): Step[] {
  const group = redo.at(-1)?.group;
  const start = redo.findLastIndex((edit) => edit.group !== group) + 1;
  return redo
    .slice(start)
    .reverse()
    .map(({ label, group: of, patch, inverse }) => ({ kind: 'redo', label, group: of, patch, inverse }));
}

import { applyPatch, createPatch, type Operation } from 'rfc6902';
import { overlap, movedOnto, touched, withTests } from './addresses';
import type { Edit, LoggedEdit } from './history';

/** Edits put on top of what others did meanwhile. */
export interface Rebased {
  readonly edits: readonly Edit[];
  /** Labels of those that change what others changed as well. */
  readonly clashes: readonly string[];
  /** How many name something that is gone. */
  readonly unfit: number;
}

/** A copy of a body with a patch applied as far as it fits. */
export function patchedBy<Body>(body: Body, patch: readonly Operation[]): Body {
  const copy = structuredClone(body);
  applyPatch(copy, structuredClone([...patch]));
  return copy;
}

/**
 * Puts edits that were made on `base` onto `theirs`, which is `base` after `later`. Boards, clamps and parts are found by their ids,
 * so that what was meant for one never lands on its neighbour. Edits that are among the later ones already went in and are left out.
 */
export function rebased<Body>(
  mine: readonly Edit[],
  base: Body,
  theirs: Body,
  later: readonly Pick<LoggedEdit, 'patch' | 'id'>[],
): Rebased {
  const ownIds = new Set(mine.map(({ id }) => id));
  const takenIds = new Set(later.flatMap(({ id }) => (id !== null && ownIds.has(id) ? [id] : [])));
  const changed: (readonly string[])[] = [];
  later.reduce((body, edit) => {
    if (edit.id === null || !takenIds.has(edit.id)) changed.push(...touched(body, edit.patch));
    return patchedBy(body, edit.patch);
  }, base);
  const edits: Edit[] = [];
  const clashes: string[] = [];
  let unfit = 0;
  let [made, onto] = [base, theirs];
  for (const edit of mine) {
    if (takenIds.has(edit.id)) {
      made = patchedBy(made, edit.patch);
      continue;
    }
    const own = touched(made, edit.patch);
    if (own.some((address) => changed.some((other) => overlap(address, other) || overlap(other, address)))) {
      clashes.push(edit.label);
    }
    const patch = movedOnto(made, edit.patch, onto);
    made = patchedBy(made, edit.patch);
    if (patch === null) {
      unfit += 1;
      continue;
    }
    const next = patchedBy(onto, patch);
    edits.push({ ...edit, patch, inverse: withTests(next, createPatch(next, onto)) });
    onto = next;
  }
  return { edits, clashes: [...new Set(clashes)], unfit };
}

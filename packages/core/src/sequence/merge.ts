import type { SequenceProblem } from './problem';

/**
 * Two sub-assemblies brought together: all joints between them close in one go. Its children are the closings of
 * the same session that made the two; a sub-assembly that was there before has none.
 */
export interface Merge {
  readonly joints: readonly number[];
  readonly children: readonly Merge[];
}

/** Those that no other of these builds on. */
export function rootsOf(merges: readonly Merge[]): Merge[] {
  const children = new Set(merges.flatMap((merge) => merge.children));
  return merges.filter((merge) => !children.has(merge));
}

/** A merge and all below it, children first. */
export function inOrder(merge: Merge): Merge[] {
  return [...merge.children.flatMap(inOrder), merge];
}

/**
 * Merges that must share one stretch of the clock, because the same clamps press joints of several of them; each
 * list keeps children before parents, and the lists are in an order in which they can follow one another.
 */
export function blocksOf(problem: SequenceProblem, merges: readonly Merge[]): Merge[][] {
  const pressOf = new Map(problem.presses.flatMap((press, p) => press.joints.map((joint) => [joint, p])));
  const blockOf = merges.map((_, i) => i);
  const join = (from: number, to: number) => {
    for (const [i, block] of blockOf.entries()) if (block === from) blockOf[i] = to;
  };
  const firstWith = new Map<number, number>();
  for (const [i, { joints }] of merges.entries()) {
    for (const press of new Set(joints.map((joint) => pressOf.get(joint) ?? -1))) {
      const first = firstWith.get(press);
      if (first === undefined) firstWith.set(press, i);
      else join(blockOf[i] ?? 0, blockOf[first] ?? 0);
    }
  }
  // Blocks that would have to wait for each other are one block.
  const indexOf = new Map(merges.map((merge, i) => [merge, i]));
  for (;;) {
    const after = blockOrder(merges, blockOf, indexOf);
    if ('order' in after) {
      return after.order.map((block) => merges.filter((_, i) => blockOf[i] === block));
    }
    for (const block of after.circle.slice(1)) join(block, after.circle[0] ?? 0);
  }
}

/** Blocks so that each comes after those it needs, or a circle of blocks that need each other. */
function blockOrder(
  merges: readonly Merge[],
  blockOf: readonly number[],
  indexOf: ReadonlyMap<Merge, number>,
): { readonly order: number[] } | { readonly circle: number[] } {
  const needs = new Map<number, Set<number>>();
  for (const [i, merge] of merges.entries()) {
    const own = blockOf[i] ?? 0;
    const set = needs.get(own) ?? new Set<number>();
    needs.set(own, set);
    for (const child of merge.children) {
      const other = blockOf[indexOf.get(child) ?? i] ?? own;
      if (other !== own) set.add(other);
    }
  }
  const order: number[] = [];
  const open: number[] = [];
  const visit = (block: number): number[] | null => {
    if (order.includes(block)) return null;
    if (open.includes(block)) return open.slice(open.indexOf(block));
    open.push(block);
    for (const other of needs.get(block) ?? []) {
      const circle = visit(other);
      if (circle !== null) return circle;
    }
    open.pop();
    order.push(block);
    return null;
  };
  for (const block of needs.keys()) {
    const circle = visit(block);
    if (circle !== null) return { circle };
  }
  return { order };
}

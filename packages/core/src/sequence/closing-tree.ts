import { SHARE_EPS } from './best-timing';
import type { Merge } from './merge';
import { shortOf, type SequenceProblem } from './problem';
import { usedBy } from './reasons';
import type { BlockTimer } from './block-timer';
import { type Split, splitsOf, waysToTry } from './splits';

/** Taking sub-assemblies apart, remembered, since the same ones come back in every attempt. */
export type Splitter = (parts: readonly number[]) => readonly Split[];

/** Whether joints find hands, clamps and time when they close together. */
export function fitsTogether(
  problem: SequenceProblem,
  timer: BlockTimer,
): (joints: readonly number[]) => boolean {
  return (joints) => shortOf(problem, joints).length === 0 && usedBy(timer, joints) <= 1 + SHARE_EPS;
}

/** Splits of a problem's sub-assemblies, whatever their joints take to close. */
export function splitter(problem: SequenceProblem): Splitter {
  const known = new Map<string, readonly Split[]>();
  const ways = waysToTry(problem);
  return (parts) => {
    const key = parts.join(',');
    const ready = known.get(key);
    if (ready !== undefined) return ready;
    const found = splitsOf(problem, parts, ways);
    known.set(key, found);
    return found;
  };
}

/**
 * A tree of closings for connected parts, found by taking them apart: at every step where the joints that close
 * together use least of their windows.
 *
 * Greedy is enough for the worst of them: what can be put together with no closing above some share can be so
 * without some of its parts, too, because closings only lose joints; so no choice spoils a later one.
 * @returns null where some set of parts has no split.
 */
export function closingTree(parts: readonly number[], splits: Splitter, timer: BlockTimer): Merge | null {
  const split = gentlestSplit(splits(parts), timer);
  if (split === null) return null;
  const children: Merge[] = [];
  for (const half of split.halves) {
    if (half.length < 2) continue;
    const tree = closingTree(half, splits, timer);
    if (tree === null) return null;
    children.push(tree);
  }
  return { joints: split.joints, children };
}

/** The split whose joints use least of their windows. */
function gentlestSplit(splits: readonly Split[], timer: BlockTimer): Split | null {
  let best: { readonly split: Split; readonly share: number } | null = null;
  for (const split of splits) {
    const share = usedBy(timer, split.joints);
    const gain = best === null ? Infinity : best.share - share;
    const sooner = Math.abs(gain) <= 1e-6 && best !== null && comesOffSooner(split, best.split);
    if (gain > 1e-6 || sooner) best = { split, share };
  }
  return best?.split ?? null;
}

/** Among equals the small half that stands last comes off first, so that parts go together in their order. */
function comesOffSooner(one: Split, other: Split): boolean {
  const small = ({ halves }: Split) => halves.reduce((a, b) => (b.length < a.length ? b : a));
  const [a, b] = [small(one), small(other)];
  return a.length !== b.length ? a.length < b.length : Math.max(...a) > Math.max(...b);
}

import { type BuildDocument, type FreePart, MOST_FREE_PARTS } from '@lean-clasp/core/formats';
import { makeId } from '../workspace/edits';

/** A change to a person's own parts. */
export type FreeEdit = (build: BuildDocument) => BuildDocument;
/** x, y and z by their place in a point. */
export type AxisIndex = 0 | 1 | 2;

/** The sides of a part that another can be laid against. */
export const SIDES = {
  'on top of': { axis: 2, high: true },
  under: { axis: 2, high: false },
  'left of': { axis: 0, high: false },
  'right of': { axis: 0, high: true },
  'in front of': { axis: 1, high: false },
  behind: { axis: 1, high: true },
} as const;
export type Side = keyof typeof SIDES;

/** How a part lies beside the other in the two directions along the face. */
export type Flush = 'as it is' | 'low' | 'centred' | 'high';

/** What the ways of lying flush are called in a direction. */
export const FLUSH_WORDS: Readonly<Record<AxisIndex, readonly [low: string, high: string]>> = {
  0: ['left ends flush', 'right ends flush'],
  1: ['fronts flush', 'backs flush'],
  2: ['undersides flush', 'tops flush'],
};

const at = (part: FreePart, axis: AxisIndex): number => part.atMm[axis] ?? 0;
const size = (part: FreePart, axis: AxisIndex): number => part.sizeMm[axis] ?? 0;

/** A part laid against a face of another, flush as it is said in the two directions along that face. */
export function laidAgainst(
  part: FreePart,
  other: FreePart,
  side: Side,
  flush: Readonly<Partial<Record<AxisIndex, Flush>>>,
): FreePart {
  const { axis, high } = SIDES[side];
  const atMm = ([0, 1, 2] as const).map((each) => {
    if (each === axis) return high ? at(other, each) + size(other, each) : at(other, each) - size(part, each);
    switch (flush[each] ?? 'as it is') {
      case 'low':
        return at(other, each);
      case 'high':
        return at(other, each) + size(other, each) - size(part, each);
      case 'centred':
        return at(other, each) + (size(other, each) - size(part, each)) / 2;
      case 'as it is':
        return at(part, each);
    }
  });
  return { ...part, atMm };
}

/** A name that no other part has: the same with the next free number. */
function nextName(name: string, parts: readonly FreePart[]): string {
  const bare = name.replace(/ \d+$/, '');
  const taken = new Set(parts.map((part) => part.name));
  for (let n = 2; ; n += 1) {
    const named = `${bare} ${n}`;
    if (!taken.has(named)) return named;
  }
}

/** The same part once more, somewhere else; nothing of it is shared with the first. */
const oneMore = (
  part: FreePart,
  parts: readonly FreePart[],
  move: (mm: number, axis: number) => number,
): FreePart => ({
  ...part,
  id: makeId(),
  name: nextName(part.name, parts),
  atMm: [...part.atMm].map(move),
  sizeMm: [...part.sizeMm],
});

function withParts(
  build: BuildDocument,
  added: (parts: readonly FreePart[]) => readonly FreePart[],
): BuildDocument {
  const parts = added(build.free.parts).slice(0, MOST_FREE_PARTS);
  return { ...build, free: { ...build.free, parts: [...parts] } };
}

/** So many more of a part, each so far from the one before along a direction. */
export const repeatPart =
  (id: string, more: number, axis: AxisIndex, pitchMm: number): FreeEdit =>
  (build) => {
    const part = build.free.parts.find((each) => each.id === id);
    if (part === undefined) return build;
    return withParts(build, (parts) =>
      Array.from({ length: more }).reduce<readonly FreePart[]>(
        (made, _, i) => [...made, oneMore(part, made, (mm, k) => (k === axis ? mm + (i + 1) * pitchMm : mm))],
        parts,
      ),
    );
  };

/** The same part once more on the other side of the middle of all. */
export const mirrorPart =
  (id: string, axis: AxisIndex): FreeEdit =>
  (build) => {
    const { parts } = build.free;
    const part = parts.find((each) => each.id === id);
    if (part === undefined) return build;
    const from = Math.min(...parts.map((each) => at(each, axis)));
    const to = Math.max(...parts.map((each) => at(each, axis) + size(each, axis)));
    return withParts(build, (all) => [
      ...all,
      oneMore(part, all, (mm, k) => (k === axis ? from + to - mm - size(part, axis) : mm)),
    ]);
  };

/** Sets how deep a joint lets its part in; nothing for the usual depth. */
export const deepenJoint =
  (id: string, deepMm: number | null): FreeEdit =>
  (build) => ({
    ...build,
    free: {
      ...build.free,
      joints: build.free.joints.map((joint) => {
        if (joint.id !== id) return joint;
        const { kind, a, b } = joint;
        return { id, kind, a, b, ...(deepMm === null ? {} : { deepMm }) };
      }),
    },
  });

import { type BuildDocument, type FreeJoint, type FreePart, MOST_FREE_PARTS } from '@lean-clasp/core/formats';
import { type Answers, keptAnswers } from '@lean-clasp/core/kinds';
import type { CutRow } from '@lean-clasp/core/tables';
import { makeId } from '../workspace/edits';

type Edit = (build: BuildDocument) => BuildDocument;
type PartNote = BuildDocument['partNotes'][number];
type JointNote = BuildDocument['jointNotes'][number];

/** Answers the kind's questions anew; notes stay with the parts that are still there. */
export const answer =
  (answers: Answers): Edit =>
  (build) => ({ ...build, answers: keptAnswers(answers) });

/** Notes something about some parts, such as a metered moisture. */
export const noteParts =
  (ids: readonly string[], change: Partial<Omit<PartNote, 'id'>>): Edit =>
  (build) => ({
    ...build,
    partNotes: noted<PartNote>(
      build.partNotes,
      ids,
      (id) => ({ id, species: null, mcPct: null, condition: 'fresh' }),
      (note) => ({ ...note, ...change }),
    ),
  });

/** Notes something about some joints, such as gaps read; `undefined` takes a note back. */
export const noteJoints =
  (ids: readonly string[], change: { [K in keyof Omit<JointNote, 'id'>]?: JointNote[K] | undefined }): Edit =>
  (build) => ({
    ...build,
    jointNotes: noted<JointNote>(
      build.jointNotes,
      ids,
      (id) => ({ id, gapMm: null, reinforcement: 'none' }),
      (note) => withoutUndefined({ ...note, ...change }),
    ),
  });

/** Documents leave out what is not noted. */
const withoutUndefined = <T extends object>(note: T): JointNote =>
  Object.fromEntries(Object.entries(note).filter(([, value]) => value !== undefined)) as unknown as JointNote;

function noted<N extends { readonly id: string }>(
  notes: readonly N[],
  ids: readonly string[],
  blank: (id: string) => N,
  change: (note: N) => N,
): N[] {
  const missing = ids.filter((id) => !notes.some((note) => note.id === id)).map(blank);
  return [...notes, ...missing].map((note) => (ids.includes(note.id) ? change(note) : note));
}

/** Ticks a preparation off, or on again. */
export const prepare =
  (what: string, done: boolean): Edit =>
  (build) => ({
    ...build,
    prepared: done
      ? [...build.prepared.filter((each) => each !== what), what]
      : build.prepared.filter((each) => each !== what),
  });

/** One more free part, clear of the others. */
export const addPart: Edit = (build) => {
  const { parts } = build.free;
  const clearOf = Math.max(0, ...parts.map(({ atMm, sizeMm }) => (atMm[0] ?? 0) + (sizeMm[0] ?? 0)));
  const added: FreePart = {
    id: makeId(),
    name: `Part ${parts.length + 1}`,
    species: parts.at(-1)?.species ?? 'white-ash',
    atMm: [clearOf, 0, 0],
    sizeMm: [300, 60, 20],
    grain: 'x',
  };
  return { ...build, free: { ...build.free, parts: [...parts, added] } };
};

/** Parts of a cut list lie this far apart until they are placed, mm. */
const APART_MM = 60;

/** Every piece of a cut list as a part with its grain along x, one behind the other and clear of what is there. */
export const partsOfList =
  (rows: readonly CutRow[]): Edit =>
  (build) => {
    const { parts } = build.free;
    let behind = Math.max(
      0,
      ...parts.map(({ atMm, sizeMm }) => (atMm[1] ?? 0) + (sizeMm[1] ?? 0) + APART_MM),
    );
    const pieces = rows.flatMap((row) =>
      Array.from({ length: row.count }, (_, i) => ({
        row,
        name: row.count === 1 ? row.name : `${row.name} ${i + 1}`,
      })),
    );
    const added = pieces.slice(0, MOST_FREE_PARTS - parts.length).map(({ row, name }): FreePart => {
      const { lengthMm, widthMm, thicknessMm, species } = row;
      const atMm = [0, behind, 0];
      behind += widthMm + APART_MM;
      return {
        id: makeId(),
        name: name.slice(0, 60),
        species,
        atMm,
        sizeMm: [lengthMm, widthMm, thicknessMm],
        grain: 'x',
      };
    });
    return { ...build, free: { ...build.free, parts: [...parts, ...added] } };
  };

/** Changes one free part. */
export const changePart =
  (id: string, change: Partial<FreePart>): Edit =>
  (build) => ({
    ...build,
    free: {
      ...build.free,
      parts: build.free.parts.map((part) => (part.id === id ? { ...part, ...change } : part)),
    },
  });

/** Takes a free part out, and its joints with it. */
export const removePart =
  (id: string): Edit =>
  (build) => ({
    ...build,
    free: {
      parts: build.free.parts.filter((part) => part.id !== id),
      joints: build.free.joints.filter(({ a, b }) => a !== id && b !== id),
    },
  });

/** Joins two free parts. */
export const addJoint =
  (joint: Omit<FreeJoint, 'id'>): Edit =>
  (build) => ({
    ...build,
    free: { ...build.free, joints: [...build.free.joints, { ...joint, id: makeId() }] },
  });

/** Takes a free joint out. */
export const removeJoint =
  (id: string): Edit =>
  (build) => ({
    ...build,
    free: { ...build.free, joints: build.free.joints.filter((joint) => joint.id !== id) },
  });

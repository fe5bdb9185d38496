import type { Assembly, GluedRegion, Ring } from '../assembly';
import type { BuildDocument } from '../formats';
import { finding } from '../findings';
import { findSpecies, type OwnWood } from '../materials';
import { freeLayout } from './layouts/free';
import type { Layout, Season } from './kind';
import { layOutKind } from './layouts/list';
import { findKind, FREE } from './list';

/** Share of the contact that each choice glues. */
const GLUED_SHARE: Readonly<Record<GluedRegion, number>> = { full: 1, middle: 1 / 3, none: 0 };

/** What of a build its parts and joints come from. */
export type LaidOut = Pick<
  BuildDocument,
  'template' | 'answers' | 'free' | 'boards' | 'mcInUse' | 'partNotes' | 'jointNotes'
>;

/**
 * The assembly that a build describes: its kind's layout, or the person's own parts, with what was noted at
 * the bench.
 * @param nowPct moisture content of wood of ordinary thickness that lies in the shop, %.
 * @param woods of the shop's own, beside the catalogue.
 * @throws InputError for answers that cannot be made, with the nearest that can.
 */
export function layAssembly(build: LaidOut, nowPct: number, woods: readonly OwnWood[] = []): Assembly {
  const layout = layOut(build, { nowPct, ...build.mcInUse, woods });
  const known = (species: string | null | undefined) =>
    species === null ||
    species === undefined ||
    findSpecies(species) !== undefined ||
    woods.some(({ id }) => id === species);
  const parts = new Map(build.partNotes.map((note) => [note.id, note]));
  const joints = new Map(build.jointNotes.map((note) => [note.id, note]));
  return {
    ...layout,
    woods,
    findings: [
      ...layout.findings,
      ...layout.parts
        .filter(({ id }) => !known(parts.get(id)?.species))
        .map(({ label }) => finding('wood-unknown', 'warns', { part: label })),
    ],
    parts: layout.parts.map((draft) => {
      const note = parts.get(draft.id);
      return {
        ...draft,
        species: known(note?.species) ? (note?.species ?? draft.species) : draft.species,
        mcPct: note?.mcPct ?? draft.mcPct ?? null,
        ring: draft.ring === undefined || draft.ring === null ? null : turned(draft.ring, note),
        condition: note?.condition ?? 'fresh',
        faceTurned: note?.faceTurned ?? false,
        edgeTurned: note?.edgeTurned ?? false,
      };
    }),
    joints: layout.joints.map((joint) => {
      const note = joints.get(joint.id);
      if (note === undefined) return joint;
      return {
        ...joint,
        gapsMm: note.gapsMm ?? (note.gapMm === null ? [] : [note.gapMm]),
        reinforcement: note.reinforcement,
        gluedShare: note.glued === undefined ? joint.gluedShare : GLUED_SHARE[note.glued],
      };
    }),
  };
}

/** Rings of a board with what was noted about it. */
function turned(ring: Ring, note: BuildDocument['partNotes'][number] | undefined): Ring {
  return {
    cut: note?.cut ?? ring.cut,
    heart: note?.heart ?? ring.heart,
    radiusMm: note?.ringRadiusMm ?? ring.radiusMm,
  };
}

function layOut(build: LaidOut, season: Season): Layout {
  return build.template === FREE
    ? freeLayout(build.free.parts, build.free.joints)
    : layOutKind(findKind(build.template), build.answers, season, build.boards);
}

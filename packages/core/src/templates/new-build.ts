import type { Service } from '../adhesives';
import { InputError } from '../basics/checks';
import {
  type Board,
  BUILD_VERSION,
  type BuildDocument,
  caulPairsIn,
  type ShopDocument,
  USUAL_ROW,
} from '../formats';
import { lotForceN } from '../clamps';
import {
  type Answers,
  findKind,
  FREE,
  keptAnswers,
  type Kind,
  layOutKind,
  type PartDraft,
  startOf,
} from '../kinds';
import { resolveSpecies } from '../materials';
import { glueFor, moistureInUse } from './service';

/** What a new build starts from. */
export interface BuildStart {
  readonly template: string;
  readonly name: string;
  readonly project: string;
  readonly service: Service;
  /** What is missing starts from the kind's own answer. */
  readonly answers: Answers;
}

/** A person's own assembly starts as two boards that meet end to side. */
const FREE_START: BuildDocument['free'] = {
  parts: [
    {
      id: 'part1',
      name: 'Upright',
      species: 'white-ash',
      atMm: [0, 0, 0],
      sizeMm: [45, 45, 400],
      grain: 'z',
    },
    { id: 'part2', name: 'Arm', species: 'white-ash', atMm: [45, 0, 300], sizeMm: [350, 45, 45], grain: 'x' },
  ],
  joints: [{ id: 'joint1', kind: 'butt', a: 'part1', b: 'part2' }],
};

/** Spacing of caul pairs that a row starts from [judgement]. */
const CAUL_SPACING_MM = 500;

/**
 * A new build of any kind, with everything not asked set to what a careful worker would start from; clamps are worked out from the
 * rack until somebody places them.
 * @param makeId supplies document-local ids.
 * @throws InputError for an unknown kind and for answers that cannot be made.
 */
export function newBuild(start: BuildStart, shop: ShopDocument, makeId: () => string): BuildDocument {
  const { template, name, project, service, answers } = start;
  const free = template === FREE;
  if (free && Object.keys(answers).length > 0) {
    throw new InputError(
      'unknown-id',
      'answers',
      'A free assembly asks nothing.',
      'no answers; parts and joints are added after',
    );
  }
  const kind = free ? null : findKind(template);
  const given = kind === null ? {} : { ...startOf(kind), ...answers };
  const mcInUse = moistureInUse(service);
  // Refuses what cannot be made before anything is kept.
  const nowPct = (mcInUse.lowPct + mcInUse.highPct) / 2;
  const layout =
    kind === null ? null : layOutKind(kind, given, { nowPct, ...mcInUse, woods: shop.woods ?? [] });
  return {
    format: 'lean-clasp/build',
    version: BUILD_VERSION,
    name,
    project,
    template,
    answers: keptAnswers(given),
    free: free ? FREE_START : { parts: [], joints: [] },
    ...(kind?.ownBoards === true
      ? { boards: (layout?.parts ?? []).map((draft) => boardOf(draft, makeId)) }
      : {}),
    ...(kind?.row ? { row: rowFor(kind, given, layout?.parts ?? [], shop) } : {}),
    partNotes: [],
    jointNotes: [],
    service,
    goals: { ...(kind?.goals ?? { flatMm: 1, squareMm: 1 }) },
    climate: null,
    crew: 1,
    glue: {
      adhesive: service === 'dry' ? (kind?.adhesive ?? glueFor(service)) : glueFor(service),
      method: kind?.method ?? 'brush',
      faces: kind?.faces ?? 1,
    },
    dryFit: { acMm: null, bdMm: null, bowMm: null, twistMm: null },
    prepared: [],
    mcInUse,
  };
}

/** A board of the person's own, out of one that was laid out. */
function boardOf({ species, blankMm, ring }: PartDraft, makeId: () => string): Board {
  const [lengthMm, widthMm, thicknessMm] = blankMm;
  return {
    id: makeId(),
    species,
    widthMm,
    thicknessMm,
    lengthMm,
    cut: ring?.cut ?? 'flat',
    heart: ring?.heart ?? 'up',
    ringRadiusMm: ring?.radiusMm ?? 0,
    mcPct: null,
  };
}

/** Blocks under the jaws from the start, where bare ones would bite, mm. */
const BLOCK_MM = 20;

/** Whether some clamp of the rack at full pull prints its jaw into the softest of the parts. */
function jawsBite(parts: readonly PartDraft[], { rack, woods }: ShopDocument): boolean {
  const bearsMPa = Math.min(
    ...parts.map(({ species }) => resolveSpecies(species, 'answers.species', woods).properties.compPerpMPa),
  );
  return rack.some((lot) => lotForceN(lot) / (lot.padWidthMm * lot.padHeightMm) > bearsMPa);
}

/** Cauls as far as the shop has them, unless the kind asks for them; blocks where bare jaws would bite. */
function rowFor(
  kind: Kind,
  answers: Answers,
  parts: readonly PartDraft[],
  shop: ShopDocument,
): BuildDocument['row'] {
  const lengthMm = Math.max(0, ...parts.map(({ blankMm }) => blankMm[0]));
  const asked = kind.row?.(answers) ?? {};
  const caulPairs =
    asked.caulPairs ?? Math.min(caulPairsIn(shop), Math.max(1, Math.round(lengthMm / CAUL_SPACING_MM)));
  return {
    ...USUAL_ROW,
    clamps: [],
    edge:
      asked.edge ??
      (jawsBite(parts, shop) ? { kind: 'blocks', thicknessMm: BLOCK_MM } : { ...USUAL_ROW.edge }),
    holding: { ...USUAL_ROW.holding, caulPairs },
  };
}

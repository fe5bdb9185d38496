import { longEnoughLots } from '../assembly';
import { evenPositions, findClampKind, lotForceN } from '../clamps';
import { caulPairsIn, type PanelBuild, type PlacedClamp, type ShopDocument } from '../formats';
import { finding } from '../finding';
import { LIMITS } from '../limits';
import { placeEvenly } from '../templates';
import { jobOfPanel, type Plan } from '../verdicts';
import { glueCandidates } from './other-glues';
import { PRESSING_SOURCES } from './pressing-candidates';
import type { Candidate } from './rank';
import { warmWood } from './warm-wood';

type PanelCandidate = Candidate<PanelBuild>;
type Source = (plan: Plan, shop: ShopDocument) => readonly PanelCandidate[];

/** Most clamps that one "more clamps" candidate adds at once. */
const MOST_ADDED = 8;
/** Size of the blocks and battens that a fix proposes. */
const BLOCK_MM = 20;
const BATTEN_MM = 60;

/** Every edit worth trying on a panel. Each is really planned before anybody sees it. */
export const CANDIDATE_SOURCES: readonly Source[] = [
  moreClamps,
  otherClamps,
  spreadEvenly,
  (plan, shop) => glueCandidates(plan.build, jobOfPanel(plan, null), shop, { onShelf: 1, toGet: 3 }),
  oneMorePair,
  otherFaces,
  otherHour,
  ({ build }) => warmWood(build),
  holdFlat,
  edgePacking,
  easePull,
  squareEnds,
  pullThroughMiddle,
  presetClamps,
  turnBoards,
  ...PRESSING_SOURCES,
];

function moreClamps({ build, panel }: Plan, shop: ShopDocument): readonly PanelCandidate[] {
  const usedLot = build.clamps.at(-1)?.rackId;
  const lots = longEnoughLots(build, shop).sort(
    (a, b) => Number(b.id === usedLot) - Number(a.id === usedLot),
  );
  return lots.slice(0, 3).flatMap((lot) => {
    const placed = build.clamps.filter((clamp) => clamp.rackId === lot.id).length;
    const spare = Math.min(MOST_ADDED, lot.count - placed);
    return Array.from({ length: Math.max(0, spare) }, (_, i): PanelCandidate => {
      const added = i + 1;
      const kinds = [
        ...build.clamps.map((clamp) => clamp.rackId),
        ...Array.from({ length: added }, () => lot.id),
      ];
      return {
        change: finding('add-clamps', 'informs', { count: added, kind: findClampKind(lot.kind).id }),
        build: { ...build, clamps: respaced(build.clamps, kinds, panel.lengthMm) },
        effort: 1 + added * 0.2,
      };
    });
  });
}

/** The same lots in the same order, evenly along the panel; surplus positions get fresh ids. */
function respaced(
  clamps: readonly PlacedClamp[],
  rackIds: readonly string[],
  lengthMm: number,
): PlacedClamp[] {
  const taken = new Set(clamps.map(({ id }) => id));
  return evenPositions(rackIds.length, lengthMm).map((xMm, i) => {
    const existing = clamps[i];
    return {
      id: existing?.id ?? freshId(taken),
      rackId: rackIds[i] ?? '',
      xMm,
      side: i % 2 === 0 ? 'above' : 'below',
    };
  });
}

/** First unused id of the form c1, c2 …, reserved in `taken`. */
function freshId(taken: Set<string>): string {
  let n = taken.size + 1;
  while (taken.has(`c${n}`)) n += 1;
  taken.add(`c${n}`);
  return `c${n}`;
}

function otherClamps({ build, panel }: Plan, shop: ShopDocument): readonly PanelCandidate[] {
  return longEnoughLots(build, shop).flatMap((lot): PanelCandidate[] => {
    const count = Math.min(Math.max(2, build.clamps.length), lot.count);
    if (count === 0 || build.clamps.every((clamp) => clamp.rackId === lot.id)) return [];
    const taken = new Set<string>();
    return [
      {
        change: finding('use-clamps', 'informs', { count, kind: lot.kind, forceN: lotForceN(lot) }),
        build: { ...build, clamps: placeEvenly(lot.id, count, panel.lengthMm, () => freshId(taken)) },
        effort: 1.5,
      },
    ];
  });
}

function spreadEvenly({ build, panel }: Plan): readonly PanelCandidate[] {
  const sorted = [...build.clamps].sort((a, b) => a.xMm - b.xMm);
  const clamps = respaced(
    sorted,
    sorted.map((clamp) => clamp.rackId),
    panel.lengthMm,
  );
  return build.clamps.length < 2
    ? []
    : [{ change: finding('space-evenly', 'informs'), build: { ...build, clamps }, effort: 0.5 }];
}

function oneMorePair({ build }: Plan): readonly PanelCandidate[] {
  return build.crew >= LIMITS.crew.max
    ? []
    : [
        {
          change: finding('one-more-pair', 'informs', { crew: build.crew + 1 }),
          build: { ...build, crew: build.crew + 1 },
          effort: 1.5,
        },
      ];
}

function otherFaces({ build }: Plan): readonly PanelCandidate[] {
  const faces = build.glue.faces === 1 ? 2 : 1;
  return [
    {
      change: finding(faces === 2 ? 'wet-both-faces' : 'wet-one-face', 'informs'),
      build: { ...build, glue: { ...build.glue, faces } },
      effort: 0.6,
    },
  ];
}

function otherHour({ build, climate }: Plan, shop: ShopDocument): readonly PanelCandidate[] {
  return shop.hours
    .filter(({ tempC, rhPct }) => tempC !== climate.tempC || rhPct !== climate.rhPct)
    .map(({ hour, tempC, rhPct }) => ({
      change: finding('other-hour', 'informs', { hour, tempC, rhPct }),
      build: { ...build, climate: { tempC, rhPct } },
      effort: 2,
    }));
}

function holdFlat({ build, panel }: Plan, shop: ShopDocument): readonly PanelCandidate[] {
  const found: PanelCandidate[] = [];
  const { holding } = build;
  const alternating = build.clamps.length >= 2;
  if (alternating && (!holding.barsTouch || new Set(build.clamps.map(({ side }) => side)).size < 2)) {
    const sorted = [...build.clamps].sort((a, b) => a.xMm - b.xMm);
    found.push({
      change: finding('bars-both-faces', 'informs'),
      build: {
        ...build,
        clamps: sorted.map((clamp, i) => ({ ...clamp, side: i % 2 === 0 ? 'above' : 'below' })),
        holding: { ...holding, barsTouch: true },
      },
      effort: 0.5,
    });
  }
  const pairs = Math.max(holding.caulPairs + 1, Math.ceil(panel.lengthMm / 500));
  if (pairs <= caulPairsIn(shop)) {
    found.push({
      change: finding('add-cauls', 'informs', { pairs }),
      build: { ...build, holding: { ...holding, caulPairs: pairs } },
      effort: 1.2,
    });
  }
  return found;
}

function edgePacking({ build }: Plan): readonly PanelCandidate[] {
  const options = [
    { kind: 'blocks', thicknessMm: BLOCK_MM },
    { kind: 'battens', thicknessMm: BATTEN_MM },
  ] as const;
  return options
    .filter(({ kind }) => kind !== build.edge.kind)
    .map((edge) => ({
      change: finding(`use-${edge.kind}`, 'informs', { thicknessMm: edge.thicknessMm }),
      build: { ...build, edge },
      effort: edge.kind === 'blocks' ? 0.8 : 1.4,
    }));
}

/** Pull just enough for the middle of the target, when the clamps give far too much. */
function easePull({ build, lines }: Plan): readonly PanelCandidate[] {
  const heaviest = lines.reduce((a, b) => (b.pressure.meanMPa > a.pressure.meanMPa ? b : a));
  const { meanMPa } = heaviest.pressure;
  if (meanMPa <= heaviest.target.highMPa) return [];
  const wanted = (heaviest.target.lowMPa + heaviest.target.highMPa) / 2;
  const pullPct = Math.max(1, Math.round((build.pullPct * wanted) / meanMPa));
  return [
    { change: finding('ease-pull', 'informs', { pullPct }), build: { ...build, pullPct }, effort: 0.4 },
  ];
}

function squareEnds({ build, verdicts }: Plan): readonly PanelCandidate[] {
  const found: PanelCandidate[] = [];
  if (!build.holding.endStops) {
    found.push({
      change: finding('end-stops', 'informs'),
      build: { ...build, holding: { ...build.holding, endStops: true } },
      effort: 0.6,
    });
  }
  const outMm = verdicts.square.figure ?? 0;
  if (outMm > 0) {
    const trimMm = Math.min(LIMITS.trimMm.max, build.trimMm + Math.ceil(outMm / 5) * 5);
    found.push({
      change: finding('leave-long', 'informs', { trimMm }),
      build: { ...build, trimMm },
      effort: 1,
    });
  }
  return found;
}

function pullThroughMiddle({ build, panel }: Plan): readonly PanelCandidate[] {
  const offset = Math.round(panel.thicknessMm * 0.5) / 10;
  return build.pullOffsetMm <= offset
    ? []
    : [
        {
          change: finding('centre-pull', 'informs', { offsetMm: offset }),
          build: { ...build, pullOffsetMm: offset },
          effort: 0.7,
        },
      ];
}

function presetClamps({ build }: Plan): readonly PanelCandidate[] {
  return build.holding.preSet
    ? []
    : [
        {
          change: finding('preset-clamps', 'informs'),
          build: { ...build, holding: { ...build.holding, preSet: true } },
          effort: 0.5,
        },
      ];
}

function turnBoards({ build }: Plan): readonly PanelCandidate[] {
  const found: PanelCandidate[] = [
    {
      change: finding('alternate-hearts', 'informs'),
      build: {
        ...build,
        boards: build.boards.map((board, i) => ({ ...board, heart: i % 2 === 0 ? 'up' : 'down' })),
      },
      effort: 0.8,
    },
  ];
  if (!build.holding.heldFlatLater) {
    found.push({
      change: finding('hold-in-use', 'informs'),
      build: { ...build, holding: { ...build.holding, heldFlatLater: true } },
      effort: 3,
    });
  }
  return found;
}

import { longEnoughLots, type Panel } from '../assembly';
import { findClampKind, lotForceN } from '../clamps';
import { finding } from '../findings';
import { caulPairsIn, type PlacedClamp, type ShopDocument } from '../formats';
import { BLOCK_FIXINGS, kindOf } from '../kinds';
import { LIMITS } from '../basics/limits';
import { positionsOn, withBoards, withRow } from '../plan';
import { ROW_PRESSING_SOURCES } from './row-pressing-changes';
import type { Candidate } from './rank';
import type { RowToChange } from './row-to-change';

type Source = (row: RowToChange, shop: ShopDocument) => readonly Candidate[];

/** Most clamps that one "more clamps" candidate adds at once. */
const MOST_ADDED = 8;
/** Size of the blocks and battens that a fix proposes. */
const BLOCK_MM = 20;
const BATTEN_MM = 60;

const SOURCES: readonly Source[] = [
  moreClamps,
  otherClamps,
  spreadEvenly,
  holdFlat,
  edgePacking,
  fixBlocks,
  otherAnswers,
  squareEnds,
  pullThroughMiddle,
  turnBoards,
  ...ROW_PRESSING_SOURCES,
];

/** Every edit worth trying on a row of boards. */
export const rowChanges = (row: RowToChange, shop: ShopDocument): Candidate[] =>
  SOURCES.flatMap((source) => source(row, shop));

function moreClamps({ build, job, panel }: RowToChange, shop: ShopDocument): readonly Candidate[] {
  const usedLot = job.clamps.at(-1)?.rackId;
  const lots = longEnoughLots(panel, job, shop).sort(
    (a, b) => Number(b.id === usedLot) - Number(a.id === usedLot),
  );
  return lots.slice(0, 3).flatMap((lot) => {
    const placed = job.clamps.filter((clamp) => clamp.rackId === lot.id).length;
    const spare = Math.min(MOST_ADDED, lot.count - placed);
    return Array.from({ length: Math.max(0, spare) }, (_, i): Candidate => {
      const added = i + 1;
      const kinds = [
        ...job.clamps.map((clamp) => clamp.rackId),
        ...Array.from({ length: added }, () => lot.id),
      ];
      return {
        change: finding('add-clamps', 'informs', { count: added, kind: findClampKind(lot.kind).id }),
        build: withRow(build, { clamps: respaced(job.clamps, kinds, panel, shop) }),
      };
    });
  });
}

/** The same lots in the same order, evenly along the panel; surplus positions get fresh ids. */
function respaced(
  clamps: readonly PlacedClamp[],
  rackIds: readonly string[],
  panel: Panel,
  { rack }: ShopDocument,
): PlacedClamp[] {
  const taken = new Set(clamps.map(({ id }) => id));
  const padMm = Math.max(
    0,
    ...rack.filter(({ id }) => rackIds.includes(id)).map(({ padWidthMm }) => padWidthMm),
  );
  return positionsOn(panel, rackIds.length, padMm).map((xMm, i) => {
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

function otherClamps({ build, job, panel }: RowToChange, shop: ShopDocument): readonly Candidate[] {
  return longEnoughLots(panel, job, shop).flatMap((lot): Candidate[] => {
    const count = Math.min(Math.max(2, job.clamps.length), lot.count);
    if (count === 0 || job.clamps.every((clamp) => clamp.rackId === lot.id)) return [];
    return [
      {
        change: finding('use-clamps', 'informs', { count, kind: lot.kind, forceN: lotForceN(lot) }),
        build: withRow(build, {
          clamps: respaced(
            [],
            Array.from({ length: count }, () => lot.id),
            panel,
            shop,
          ),
        }),
      },
    ];
  });
}

function spreadEvenly({ build, job, panel }: RowToChange, shop: ShopDocument): readonly Candidate[] {
  const sorted = [...job.clamps].sort((a, b) => a.xMm - b.xMm);
  const clamps = respaced(
    sorted,
    sorted.map((clamp) => clamp.rackId),
    panel,
    shop,
  );
  return job.clamps.length < 2
    ? []
    : [{ change: finding('space-evenly', 'informs'), build: withRow(build, { clamps }) }];
}

function holdFlat({ build, job, panel }: RowToChange, shop: ShopDocument): readonly Candidate[] {
  const found: Candidate[] = [];
  const { holding } = job;
  const alternating = job.clamps.length >= 2;
  if (alternating && (!holding.barsTouch || new Set(job.clamps.map(({ side }) => side)).size < 2)) {
    const sorted = [...job.clamps].sort((a, b) => a.xMm - b.xMm);
    found.push({
      change: finding('bars-both-faces', 'informs'),
      build: withRow(build, {
        clamps: sorted.map((clamp, i) => ({ ...clamp, side: i % 2 === 0 ? 'above' : 'below' })),
        holding: { ...holding, barsTouch: true },
      }),
    });
  }
  const pairs = Math.max(holding.caulPairs + 1, Math.ceil(panel.lengthMm / 500));
  if (pairs <= caulPairsIn(shop)) {
    found.push({
      change: finding('add-cauls', 'informs', { pairs }),
      build: withRow(build, { holding: { ...holding, caulPairs: pairs } }),
    });
  }
  return found;
}

function edgePacking({ build, job }: RowToChange): readonly Candidate[] {
  const options = [
    { kind: 'blocks', thicknessMm: BLOCK_MM },
    { kind: 'battens', thicknessMm: BATTEN_MM },
  ] as const;
  return options
    .filter(({ kind }) => kind !== job.edge.kind)
    .map((edge) => ({
      change: finding(`use-${edge.kind}`, 'informs', { thicknessMm: edge.thicknessMm }),
      build: withRow(build, { edge }),
    }));
}

/** Blocks that slide are held by something that holds more. */
function fixBlocks({ build, panel }: RowToChange): readonly Candidate[] {
  return panel.seats.length === 0
    ? []
    : BLOCK_FIXINGS.filter((fixing) => fixing !== (build.answers['fixing'] ?? 'abrasive')).map((fixing) => ({
        change: finding('fix-blocks', 'informs', { fixing }),
        build: { ...build, answers: { ...build.answers, fixing } },
      }));
}

/** The same piece come by in another way, where its kind knows one. */
function otherAnswers({ build }: RowToChange): readonly Candidate[] {
  const others = kindOf(build.template)?.otherwise(build.answers) ?? [];
  return others.map(({ change, answers }) => ({
    change,
    build: { ...build, answers: { ...build.answers, ...answers } },
  }));
}

function squareEnds({ build, job, square }: RowToChange): readonly Candidate[] {
  const found: Candidate[] = [];
  if (!job.holding.endStops) {
    found.push({
      change: finding('end-stops', 'informs'),
      build: withRow(build, { holding: { ...job.holding, endStops: true } }),
    });
  }
  const outMm = square.figure ?? 0;
  if (outMm > 0) {
    const trimMm = Math.min(LIMITS.trimMm.max, job.trimMm + Math.ceil(outMm / 5) * 5);
    found.push({
      change: finding('leave-long', 'informs', { trimMm }),
      build: withRow(build, { trimMm }),
    });
  }
  return found;
}

function pullThroughMiddle({ build, job, panel }: RowToChange): readonly Candidate[] {
  const offset = Math.round(panel.thicknessMm * 0.5) / 10;
  return job.pullOffsetMm <= offset
    ? []
    : [
        {
          change: finding('centre-pull', 'informs', { offsetMm: offset }),
          build: withRow(build, { pullOffsetMm: offset }),
        },
      ];
}

function turnBoards({ build, job, panel }: RowToChange): readonly Candidate[] {
  const found: Candidate[] = [
    {
      change: finding('alternate-hearts', 'informs'),
      build: withBoards(build, panel, (i) => ({ heart: i % 2 === 0 ? 'up' : 'down' })),
    },
  ];
  if (!job.holding.heldFlatLater) {
    found.push({
      change: finding('hold-in-use', 'informs'),
      build: withRow(build, { holding: { ...job.holding, heldFlatLater: true } }),
    });
  }
  return found;
}

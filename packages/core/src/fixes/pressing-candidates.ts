import { longEnoughLots, panelOpeningMm, typicalLot } from '../assembly';
import { evenPositions, lotForceN } from '../clamps';
import { caulPairsIn, type PanelBuild, type ShopDocument } from '../formats';
import { finding } from '../finding';
import type { Plan } from '../verdicts';
import type { Candidate } from './rank';

type PanelCandidate = Candidate<PanelBuild>;

/** Edits of handles, cauls and pressure, and what a panel comes to once its boards are made ready. */
export const PRESSING_SOURCES: readonly ((plan: Plan, shop: ShopDocument) => readonly PanelCandidate[])[] = [
  handlesApart,
  asWoodWants,
  planedShut,
  driedFirst,
  planedFlat,
  otherCauls,
  borrowed,
];

/** Every other handle at the first edge. */
function handlesApart({ build, clampSet }: Plan): readonly PanelCandidate[] {
  if (clampSet.clashes.every(({ kind }) => kind !== 'handles')) return [];
  const order = clampSet.clamps.map(({ placed }) => placed.id);
  return [
    {
      change: finding('handles-in-turn', 'informs'),
      build: {
        ...build,
        clamps: build.clamps.map((clamp) => ({
          ...clamp,
          handle: order.indexOf(clamp.id) % 2 === 0 ? 'last' : 'first',
        })),
      },
      effort: 0.4,
    },
  ];
}

/** Pressure as the wood wants it, in place of a light squeeze. */
function asWoodWants({ build }: Plan): readonly PanelCandidate[] {
  return build.school === 'light'
    ? [
        {
          change: finding('squeeze-as-wanted', 'informs'),
          build: { ...build, school: 'matched' },
          effort: 0.5,
        },
      ]
    : [];
}

/** What the plan comes to once the worst line has been planed until it closes dry. */
function planedShut({ build, lines }: Plan): readonly PanelCandidate[] {
  const open = lines.filter(({ closing }) => closing === 'costly' || closing === 'back-to-plane');
  const [worst] = open.sort((a, b) => b.closingForceN - a.closingForceN);
  if (worst === undefined) return [];
  const gaps = build.dryFit.gaps.filter(({ line }) => line !== worst.line.index);
  return [
    {
      change: finding('plane-line', 'informs', { line: worst.line.label }),
      build: { ...build, dryFit: { ...build.dryFit, gaps } },
      first: 'reading',
      effort: 3,
    },
  ];
}

/** What the plan comes to once boards that are bowed or twisted have been planed flat, or changed. */
function planedFlat({ build }: Plan): readonly PanelCandidate[] {
  const { bowMm, twistMm } = build.dryFit;
  const worstMm = Math.max(Math.abs(bowMm ?? 0), Math.abs(twistMm ?? 0));
  if (worstMm === 0) return [];
  return [
    {
      change: finding('plane-flat', 'informs', { mm: worstMm }),
      build: { ...build, dryFit: { ...build.dryFit, bowMm: 0, twistMm: 0 } },
      first: 'reading',
      effort: 4,
    },
  ];
}

/** What the plan comes to once boards that are too wet have dried to what the glue takes. */
function driedFirst({ build, adhesive, boardMcPct }: Plan): readonly PanelCandidate[] {
  const most = adhesive.moisturePct.max;
  if (boardMcPct.every((mc) => mc <= most)) return [];
  return [
    {
      change: finding('dry-boards', 'informs', { mcPct: most }),
      build: {
        ...build,
        boards: build.boards.map((board, i) =>
          (boardMcPct[i] ?? 0) > most ? { ...board, mcPct: most } : board,
        ),
      },
      first: 'reading',
      effort: 5,
    },
  ];
}

/** Another lot of cauls, or only as many as there are and as find room. */
function otherCauls({ build, cauls }: Plan, shop: ShopDocument): readonly PanelCandidate[] {
  if (cauls === null) return [];
  const fitting = Math.min(cauls.placesMm.length, caulPairsIn(shop));
  const fewer = [...new Set([fitting, 0])].filter((pairs) => pairs < cauls.pairs);
  const lots = (shop.cauls ?? []).filter(({ id }) => id !== build.holding.caulLot);
  return [
    ...fewer.map((pairs) => ({
      change: finding('fewer-cauls', 'informs', { pairs }),
      build: { ...build, holding: { ...build.holding, caulPairs: pairs } },
      effort: 0.6,
    })),
    ...lots.map((lot) => ({
      change: finding('other-cauls', 'informs', {
        species: lot.species,
        widthMm: lot.widthMm,
        depthMm: lot.depthMm,
        crownMm: lot.crownMm,
      }),
      build: { ...build, holding: { ...build.holding, caulLot: lot.id } },
      effort: 0.8,
    })),
  ];
}

/** Most clamps that are borrowed at once, how many more than pull alone would want, and the kind that is at hand everywhere. */
const MOST_BORROWED = 30;
const MORE: readonly number[] = [0, 2, 4];
const USUAL_KIND = 't-bar';
/** A rack with so much more pull than the mean wants will do by itself, with clamps in better places. */
const ENOUGH = 1.3;

/** As many long clamps of one kind as bring every line to its pressure, evenly, where the rack has too few or too short ones. */
function borrowed({ build, panel, lines }: Plan, shop: ShopDocument): readonly PanelCandidate[] {
  const lot = typicalLot(USUAL_KIND, panelOpeningMm(build), MOST_BORROWED);
  const neededN = Math.max(...lines.map(({ line, target }) => target.lowMPa * line.areaMm2));
  const onRackN = longEnoughLots(build, shop).reduce((sum, own) => sum + own.count * lotForceN(own), 0);
  if (onRackN > ENOUGH * neededN) return [];
  const least = Math.max(2, Math.ceil(neededN / lotForceN(lot)));
  return MORE.map((more) => least + more)
    .filter((count) => count <= MOST_BORROWED)
    .map((count) => ({
      change: finding('borrow-clamps', 'informs', {
        count,
        kind: lot.kind,
        openingMm: lot.maxOpeningMm,
        forceN: lotForceN(lot),
      }),
      build: {
        ...build,
        pullPct: 100,
        clamps: evenPositions(count, panel.lengthMm).map((xMm, i) => ({
          id: `borrowed-${i}`,
          rackId: lot.id,
          xMm,
          side: i % 2 === 0 ? 'above' : 'below',
        })),
      },
      shop: { ...shop, rack: [...shop.rack, lot] },
      first: 'rack',
      effort: 3 + 0.1 * count,
    }));
}

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

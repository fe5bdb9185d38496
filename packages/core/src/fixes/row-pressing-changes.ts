import { longEnoughLots, panelOpeningMm, typicalLot } from '../assembly';
import { lotForceN } from '../clamps';
import { finding } from '../findings';
import { caulPairsIn, type ShopDocument } from '../formats';
import { resolveSpecies } from '../materials';
import { positionsOn, withRow } from '../plan';
import { closedDry } from './common-changes';
import type { Candidate } from './rank';
import type { RowToChange } from './row-to-change';

/** Edits of handles, cauls and pressure, and what a panel comes to once its boards are made ready. */
export const ROW_PRESSING_SOURCES: readonly ((
  row: RowToChange,
  shop: ShopDocument,
) => readonly Candidate[])[] = [handlesApart, asWoodWants, planedShut, planedFlat, otherCauls, borrowed];

/** Every other handle at the first edge. */
function handlesApart({ build, job, clampSet }: RowToChange): readonly Candidate[] {
  if (clampSet.clashes.every(({ kind }) => kind !== 'handles')) return [];
  const order = clampSet.clamps.map(({ placed }) => placed.id);
  return [
    {
      change: finding('handles-in-turn', 'informs'),
      build: withRow(build, {
        clamps: job.clamps.map((clamp) => ({
          ...clamp,
          handle: order.indexOf(clamp.id) % 2 === 0 ? 'last' : 'first',
        })),
      }),
    },
  ];
}

/** Pressure as the wood wants it, in place of a light squeeze. */
function asWoodWants({ build, job }: RowToChange): readonly Candidate[] {
  return job.school === 'light'
    ? [
        {
          change: finding('squeeze-as-wanted', 'informs'),
          build: withRow(build, { school: 'matched' }),
        },
      ]
    : [];
}

/** What the plan comes to once the worst line has been planed until it closes dry. */
function planedShut({ build, lines }: RowToChange): readonly Candidate[] {
  const open = lines.filter(({ closing }) => closing === 'costly' || closing === 'back-to-plane');
  const [worst] = open.sort((a, b) => b.closingForceN - a.closingForceN);
  if (worst === undefined) return [];
  return [
    {
      change: finding('plane-line', 'informs', { line: worst.line.label }),
      build: closedDry(build, worst.line.id),
      first: 'reading',
    },
  ];
}

/** What the plan comes to once boards that are bowed or twisted have been planed flat, or changed. */
function planedFlat({ build }: RowToChange): readonly Candidate[] {
  const { bowMm, twistMm } = build.dryFit;
  const worstMm = Math.max(Math.abs(bowMm ?? 0), Math.abs(twistMm ?? 0));
  if (worstMm === 0) return [];
  return [
    {
      change: finding('plane-flat', 'informs', { mm: worstMm }),
      build: { ...build, dryFit: { ...build.dryFit, bowMm: 0, twistMm: 0 } },
      first: 'reading',
    },
  ];
}

/** Another lot of cauls, or only as many as there are and as find room. */
function otherCauls({ build, job, cauls }: RowToChange, shop: ShopDocument): readonly Candidate[] {
  if (cauls === null) return [];
  const fitting = Math.min(cauls.placesMm.length, caulPairsIn(shop));
  const fewer = [...new Set([fitting, 0])].filter((pairs) => pairs < cauls.pairs);
  const lots = (shop.cauls ?? []).filter(({ id }) => id !== job.holding.caulLot);
  return [
    ...fewer.map((pairs) => ({
      change: finding('fewer-cauls', 'informs', { pairs }),
      build: withRow(build, { holding: { ...job.holding, caulPairs: pairs } }),
    })),
    ...lots.map((lot) => ({
      change: finding('other-cauls', 'informs', {
        species: resolveSpecies(lot.species, 'cauls.species', shop.woods).name,
        widthMm: lot.widthMm,
        depthMm: lot.depthMm,
        crownMm: lot.crownMm,
      }),
      build: withRow(build, { holding: { ...job.holding, caulLot: lot.id } }),
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
function borrowed({ build, job, panel, lines }: RowToChange, shop: ShopDocument): readonly Candidate[] {
  const lot = typicalLot(USUAL_KIND, panelOpeningMm(panel, job), MOST_BORROWED);
  const neededN = Math.max(...lines.map(({ line, target }) => target.lowMPa * line.areaMm2));
  const onRackN = longEnoughLots(panel, job, shop).reduce((sum, own) => sum + own.count * lotForceN(own), 0);
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
      build: withRow(build, {
        pullPct: 100,
        clamps: positionsOn(panel, count, lot.padWidthMm).map((xMm, i) => ({
          id: `borrowed-${i}`,
          rackId: lot.id,
          xMm,
          side: i % 2 === 0 ? 'above' : 'below',
        })),
      }),
      shop: { ...shop, rack: [...shop.rack, lot] },
      first: 'rack',
    }));
}

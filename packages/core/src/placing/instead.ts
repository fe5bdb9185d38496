import { panelLots, panelOpeningMm, typicalLot } from '../assembly';
import { rankAdhesives } from '../choice';
import { canLightSqueeze, lotForceN, targetPressure } from '../clamps';
import { finding } from '../findings';
import type { RackLot, ShopDocument } from '../formats';
import type { Press } from '../mechanics';
import { familiesOf, glueJobOf, judgedLines, planBuild, rowOf, withRow } from '../plan';
import { check, type Instead, type RowPlacing } from './checked';
import { isRow, jobOf, type PlannedRow } from './row-job';
import { placeClamps } from './search';

/** Battens that are proposed where the rack falls short, and clamps that could be borrowed. */
const BATTEN_MM = 60;
const MOST_BORROWED = 40;

/** What would do where the rack does not. */
export function insteadOf(
  plan: PlannedRow,
  short: RowPlacing,
  shop: ShopDocument,
  makeId: () => string,
  press: Press,
): Instead[] {
  return [
    // Where it is not for want of pull, more of it changes nothing.
    ...(short.lowestShare < 1 ? borrowed(plan) : []),
    ...withBattens(plan, shop, makeId, press),
    ...lightly(plan, short, shop),
    ...otherGlue(plan, short, shop),
  ];
}

/** How many more of the strongest panel clamp, opened how far. */
function borrowed(plan: PlannedRow): Instead[] {
  const { shop, row } = plan;
  const openingMm = panelOpeningMm(row.panel, row.job);
  const [strongest] = panelLots(shop).sort((a, b) => lotForceN(b) - lotForceN(a));
  // The strongest there is of it, else the kind that is at hand everywhere.
  const lot: RackLot = {
    ...(strongest ?? typicalLot('t-bar', openingMm, MOST_BORROWED)),
    id: 'borrowed',
    count: MOST_BORROWED,
    maxOpeningMm: openingMm,
  };
  const job = jobOf(plan, 1, [lot]);
  const found = placeClamps(job);
  if (found.lowestShare < 1) return [];
  const count = found.clamps.filter(({ lotId }) => lotId === lot.id).length;
  return [
    {
      change: finding('borrow-clamps', 'informs', {
        count,
        kind: lot.kind,
        openingMm,
        forceN: job.lots.find(({ id }) => id === lot.id)?.forceN ?? 0,
      }),
      build: null,
    },
  ];
}

/** The clamps there are, through battens that spread them. */
function withBattens(plan: PlannedRow, shop: ShopDocument, makeId: () => string, press: Press): Instead[] {
  if (plan.row.job.edge.kind !== 'bare') return [];
  const build = withRow(plan.build, { edge: { kind: 'battens', thicknessMm: BATTEN_MM } });
  const through = planBuild(build, shop);
  if (!isRow(through)) return [];
  const job = jobOf(through, 1);
  const placing = check(through, job, placeClamps(job), makeId, press);
  return placing.meets
    ? [
        {
          change: finding('make-battens', 'informs', {
            thicknessMm: BATTEN_MM,
            clamps: rowOf(placing.build).clamps.length,
          }),
          build: placing.build,
        },
      ]
    : [];
}

function lightly({ row, adhesive }: PlannedRow, short: RowPlacing, shop: ShopDocument): Instead[] {
  if (row.job.school === 'light' || !canLightSqueeze(adhesive)) return [];
  const light = withRow(short.build, { school: 'light' });
  return planBuild(light, shop).verdicts.tight.state === 'fails'
    ? []
    : [{ change: finding('squeeze-lightly', 'informs'), build: light }];
}

/** The best of the glues that can do the job and are content with what there is, really planned. */
function otherGlue(plan: PlannedRow, short: RowPlacing, shop: ShopDocument): Instead[] {
  if (rowOf(short.build).clamps.length === 0) return [];
  const lines = judgedLines(plan.row.lines);
  const reachMPa = Math.min(...lines.map(({ target }) => target.lowMPa)) * short.lowestShare;
  const sgs = lines.flatMap(({ line }) => [line.first.wood.sg, line.second.wood.sg]);
  for (const { adhesive, refusals } of rankAdhesives(glueJobOf(plan, null), familiesOf(shop)).glues) {
    const { lowMPa } = targetPressure(adhesive, sgs);
    if (refusals.length > 0 || adhesive.id === plan.adhesive.id || lowMPa > reachMPa) continue;
    const build = { ...short.build, glue: { ...short.build.glue, adhesive: adhesive.id } };
    if (planBuild(build, shop).verdicts.tight.state === 'fails') continue;
    return [{ change: finding('use-easier-glue', 'informs', { adhesive: adhesive.id, lowMPa }), build }];
  }
  return [];
}

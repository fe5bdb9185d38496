import { listAdhesives, standsService } from '../adhesives';
import { panelLots, panelOpeningMm, typicalLot } from '../assembly';
import { canLightSqueeze, lotForceN, targetPressure } from '../clamps';
import { finding } from '../findings';
import type { RackLot, ShopDocument } from '../formats';
import type { Press } from '../mechanics';
import { judgedLines, planBuild, rowOf, withRow } from '../plan';
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
    ...borrowed(plan),
    ...withBattens(plan, shop, makeId, press),
    ...lightly(plan, short, shop),
    ...otherGlue(plan, short),
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

/** A family that is content with what there is. */
function otherGlue({ build, row, adhesive }: PlannedRow, short: RowPlacing): Instead[] {
  const lines = judgedLines(row.lines);
  const reachMPa = Math.min(...lines.map(({ target }) => target.lowMPa)) * short.lowestShare;
  const sgs = lines.flatMap(({ line }) => [line.first.wood.sg, line.second.wood.sg]);
  const found = listAdhesives().find(
    (other) =>
      other.id !== adhesive.id &&
      standsService(other.service, build.service) &&
      other.gapMm >= adhesive.gapMm &&
      targetPressure(other, sgs).lowMPa <= reachMPa,
  );
  return found === undefined || rowOf(short.build).clamps.length === 0
    ? []
    : [
        {
          change: finding('use-easier-glue', 'informs', {
            adhesive: found.id,
            lowMPa: targetPressure(found, sgs).lowMPa,
          }),
          build: { ...short.build, glue: { ...build.glue, adhesive: found.id } },
        },
      ];
}

import { panelLots, panelOpeningMm } from '../assembly';
import { lotForceN } from '../clamps';
import { finding, type PlanFinding } from '../findings';
import { caulPairsIn, type BuildDocument, type PlacedClamp, type ShopDocument } from '../formats';
import { type Press, STRUT_SHARE } from '../mechanics';
import { judgedLines, type Plan, planBuild, rowOf, settlePlan, withHandles, withRow } from '../plan';
import type { Placing, PlacingJob } from './job';
import type { PlannedRow } from './row-job';

/** Something to borrow, make or do instead where the rack falls short, with what it would come to. */
export interface Instead {
  readonly change: PlanFinding;
  /** The panel after it; null where the rack would have to change first. */
  readonly build: BuildDocument | null;
}

/** Clamps placed on a panel, checked by the elements. */
export interface RowPlacing {
  readonly build: BuildDocument;
  /** Lowest pressure over what is wanted there, by finite elements. */
  readonly lowestShare: number;
  readonly meets: boolean;
  readonly status: Placing['status'];
  readonly tried: number;
  /** What limits it and what was left out. */
  readonly findings: readonly PlanFinding[];
  /** Empty while the rack does. */
  readonly instead: readonly Instead[];
}

/** Puts a found set on the panel and presses it for real. */
export function check(
  plan: PlannedRow,
  job: PlacingJob,
  found: Placing,
  makeId: () => string,
  press: Press,
): RowPlacing {
  const { build, shop, row } = plan;
  const pinned = row.job.clamps.filter((clamp) => clamp.pinned === true);
  const set = found.clamps.map(({ lotId, xMm }): PlacedClamp => {
    const pin = lotId.startsWith('pinned ') ? pinned[Number(lotId.slice('pinned '.length))] : undefined;
    if (pin !== undefined) return pin;
    const lot = shop.rack.find(({ id }) => id === lotId);
    const capN = job.lots.find(({ id }) => id === lotId)?.forceN ?? 0;
    const eased = lot !== undefined && capN < lotForceN(lot) - 1 ? { mostN: Math.floor(capN) } : {};
    return { id: makeId(), rackId: lotId, xMm, side: 'above', ...eased };
  });
  const clamps = withHandles(withSides(set, shop), shop.rack);
  // Planned pulls are eased by the plan itself where all of them would be too much.
  const bare = withRow(build, { clamps, pullPct: 100 });
  const barePlan = planBuild(bare, shop);
  const placed = withCauls(barePlan);
  const settled = settlePlan(placed === bare ? barePlan : planBuild(placed, shop), press);
  const lines = judgedLines(settled.row?.lines ?? []);
  const shares = lines.map(({ pressure, target }) => pressure.minMPa / target.lowMPa);
  const lowestShare = clamps.length === 0 ? 0 : Math.min(...shares);
  const weakest = lines[shares.indexOf(lowestShare)];
  const neededMm = panelOpeningMm(row.panel, row.job);
  return {
    build: placed,
    lowestShare,
    meets: lowestShare >= 1 && settled.verdicts.tight.state !== 'fails',
    status: found.status,
    tried: found.tried,
    findings: [
      ...(weakest === undefined
        ? []
        : [
            finding('placed-clamps', 'informs', {
              count: clamps.length,
              line: weakest.line.label,
              atMm: weakest.pressure.minAtMm,
              minMPa: weakest.pressure.minMPa,
              lowMPa: weakest.target.lowMPa,
              tried: found.tried,
              proven: found.status === 'proven' ? 'yes' : 'no',
            }),
          ]),
      ...(rowOf(placed).holding.caulPairs > row.job.holding.caulPairs
        ? [finding('cauls-added', 'informs', { pairs: rowOf(placed).holding.caulPairs })]
        : []),
      ...panelLots(shop)
        .filter(({ maxOpeningMm }) => maxOpeningMm < neededMm)
        .map((lot) =>
          finding('lot-too-short', 'informs', {
            kind: lot.kind,
            count: lot.count,
            opensMm: lot.maxOpeningMm,
            neededMm,
          }),
        ),
    ],
    instead: [],
  };
}

/** Pairs of cauls stand at most so far apart where nothing else holds a panel [judgement]. */
const CAULS_EVERY_MM = 500;

/** Adds cauls where the pull would pop a panel that nothing holds, as far as the shop has them. */
function withCauls({ build, shop, row }: Plan): BuildDocument {
  if (row === null || row.heldBy.length > 0 || row.strut.loadShare < STRUT_SHARE.warn) return build;
  const { holding } = row.job;
  const pairs = Math.min(caulPairsIn(shop), Math.ceil(row.panel.lengthMm / CAULS_EVERY_MM));
  return pairs <= holding.caulPairs ? build : withRow(build, { holding: { ...holding, caulPairs: pairs } });
}

/** Above and below in turn, pinned ones as they are, begun so that the moments cancel best. */
function withSides(set: readonly PlacedClamp[], shop: ShopDocument): PlacedClamp[] {
  const forceOf = ({ rackId, mostN }: PlacedClamp) => {
    const lot = shop.rack.find(({ id }) => id === rackId);
    return lot === undefined ? 0 : Math.min(lotForceN(lot), mostN ?? Infinity);
  };
  const begun = (first: PlacedClamp['side']): PlacedClamp[] => {
    let next = first;
    return set.map((clamp) => {
      const side = clamp.pinned === true ? clamp.side : next;
      next = side === 'above' ? 'below' : 'above';
      return { ...clamp, side };
    });
  };
  const momentOf = (clamps: readonly PlacedClamp[]) =>
    Math.abs(clamps.reduce((sum, clamp) => sum + (clamp.side === 'above' ? 1 : -1) * forceOf(clamp), 0));
  const [one, other] = [begun('above'), begun('below')];
  return momentOf(other) < momentOf(one) ? other : one;
}

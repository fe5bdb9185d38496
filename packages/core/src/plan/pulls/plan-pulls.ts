import type { Adhesive } from '../../adhesives';
import type { AssemblyFacts, Pull } from '../../assembly';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { leastBy } from '../../basics/least-by';
import { reach, solidPoints } from '../../solids';
import { judgedLines, type RowPlan } from '../row/row-plan';
import { ACROSS } from '../row/row-job';
import { piecesPlaced } from './pieces';
import { takenBy } from './placed-on-pull';
import type { PlannedPull } from './planned-pull';
import { planPull } from './pulls';
import { ON_A_ROLL } from './take-from-rack';

/** What pulls are planned from. */
export interface PullInputs {
  readonly facts: AssemblyFacts;
  readonly adhesive: Adhesive;
  readonly shop: ShopDocument;
  readonly build: BuildDocument;
  readonly row: RowPlan | null;
}

/**
 * All pulls of a build, each from what the ones before have left on the rack.
 * @param again whether a pull that falls short may count on clamps that come free between sessions.
 */
export function planPulls({ facts, adhesive, shop, build, row }: PullInputs, again: boolean): PlannedPull[] {
  let rack: readonly RackLot[] = shop.rack;
  return facts.assembly.pulls.map((pull) => {
    if (row !== null && pull.id === ACROSS) {
      const planned = rowPull(pull, facts, row);
      rack = lessThan(rack, planned);
      return planned;
    }
    const planFrom = (lots: readonly RackLot[]) =>
      planPull(pull, facts, adhesive, { shop, rack: lots }, build.squeeze);
    const left = planFrom(rack);
    const planned = again && lacks(left) > 0 ? leastLacking(left, planFrom(shop.rack)) : left;
    rack = lessThan(rack, planned);
    return planned;
  });
}

/** What a pull lacks: all of it where its force falls short, else clamps for places of its lines that have none. */
function lacks({ leastMet, lines = [], pieces, drawnMm }: PlannedPull): number {
  if (leastMet.reachN < leastMet.neededN) return Infinity;
  const places = lines.reduce((sum, { clamps }) => sum + clamps, 0);
  return drawnMm === null ? Math.max(0, places - pieces.length) : 0;
}

/** With the clamps that are left, unless those that come free between sessions do better. */
const leastLacking = (left: PlannedPull, whole: PlannedPull): PlannedPull =>
  lacks(left) === Infinity || lacks(whole) < lacks(left) ? whole : left;

/** A rack without what a pull has taken. */
function lessThan(rack: readonly RackLot[], { taken }: PlannedPull): RackLot[] {
  return rack.map((lot) => {
    const used = taken
      .filter((each) => each.lot.id === lot.id && !ON_A_ROLL.includes(lot.kind))
      .reduce((sum, { count }) => sum + count, 0);
    return { ...lot, count: Math.max(0, lot.count - used) };
  });
}

/** A bar stands off the face that it lies on, mm. */
const BAR_OFF_MM = 14;

/** The pull across a row, as row mechanics have planned it. */
function rowPull(pull: Pull, facts: AssemblyFacts, { lines: all, clampSet, job }: RowPlan): PlannedPull {
  const lines = judgedLines(all);
  const [low, high] = reach(
    facts.parts.flatMap(({ part }) => solidPoints(part.solid)),
    [0, 0, 1],
  );
  const able = clampSet.clamps.filter(({ fit }) => fit !== 'too-short');
  const placed = able.map(({ placed: { id, rackId, xMm, side, pinned }, lot, forceN }) => ({
    clamp: {
      id,
      pull: pull.id,
      rackId,
      alongMm: xMm,
      acrossMm: side === 'above' ? high - low + BAR_OFF_MM : -BAR_OFF_MM,
      ...(pinned === undefined ? {} : { pinned }),
    },
    lot,
    forceN,
    mostN: job.pullPct > 0 ? (forceN * 100) / job.pullPct : forceN,
  }));
  const weakest = leastBy(lines, ({ pressure, target }) => pressure.minMPa / target.lowMPa);
  const heaviest = lines.reduce((a, b) =>
    b.line.areaMm2 * b.target.lowMPa > a.line.areaMm2 * a.target.lowMPa ? b : a,
  );
  return {
    drawnMm: null,
    pull: { ...pull, openingMm: able[0]?.openingNeededMm ?? pull.openingMm },
    joint: weakest.line.label,
    seats: false,
    areaMm2: heaviest.line.areaMm2,
    wanted: weakest.target,
    crushMPa: weakest.crushMPa,
    neededN: heaviest.line.areaMm2 * heaviest.target.lowMPa,
    taken: takenBy(placed),
    pieces: piecesPlaced(placed),
    placed,
    idle: [],
    reachN: clampSet.totalForceN,
    mostN: placed.reduce((sum, { mostN }) => sum + mostN, 0),
    leastMet: {
      label: weakest.line.label,
      neededN: heaviest.line.areaMm2 * heaviest.target.lowMPa,
      reachN: clampSet.totalForceN,
    },
    reachMPa: weakest.pressure.minMPa,
    word: weakest.lowestWord,
  };
}

import { BETWEEN_JAWS_MM, findClampKind, lotForceN } from '../clamps';
import { type Finding, finding } from '../finding';
import { type AssemblyBuild, MOST_CLAMPS, type PulledClamp, type RackLot } from '../formats';
import { panelPressure, type Press } from '../mechanics';
import {
  acrossInTurn,
  type AssemblyPlan,
  type ClampInSpace,
  leastOf,
  packingOf,
  planAssembly,
  type PlannedPull,
  pullFrame,
  settleAssembly,
  spreadMm,
  type Stack,
  stackOf,
  suits,
} from '../verdicts';
import type { Placing, PlacingJob, PlacingLot } from './job';
import { CRUSH_SHARE, placesAlong } from './panel-job';
import type { PlacingStage } from './place-on-panel';
import { placeClamps, placings } from './search';

/** Clamps placed on one pull of an assembly, checked as it is pressed. */
export interface PullPlacing {
  readonly build: AssemblyBuild;
  readonly pull: string;
  /** Lowest pressure on any of its joints over what is wanted there. */
  readonly lowestShare: number;
  readonly meets: boolean;
  /** What limits it, and what to borrow where the rack falls short. */
  readonly findings: readonly Finding[];
}

/** How far the work has come. */
export interface PullPlacingStep {
  readonly stage: PlacingStage;
  readonly placing: PullPlacing | null;
  readonly clamps: number;
}

/** Tries at aiming higher where the elements find less than the sums did. */
const MOST_TRIES = 3;
/** Clamps that could be borrowed. */
const MOST_BORROWED = 40;

/**
 * Places the clamps of one pull around those that are pinned. A stack of boards or layers is searched as a panel is: fewest
 * clamps from the rack that bring every joint everywhere to what its glue wants, by sums of what each does alone, then pressed
 * by the elements. Everything else gets a clamp in line with each joint, or bands evenly, less those that are pinned.
 * @param makeId supplies ids of new clamps.
 */
export function* pullPlacings(
  plan: AssemblyPlan,
  pullId: string,
  makeId: () => string,
  press: Press = panelPressure,
): Generator<PullPlacingStep> {
  const planned = plan.pulls.find(({ pull }) => pull.id === pullId);
  if (planned === undefined) return;
  const stack = stackOf(planned.pull, plan.facts, packingOf(plan.build));
  const lots = stack === null ? [] : stackLots(plan, planned);
  let placing: PullPlacing | null = null;
  if (stack === null || lots.length === 0) {
    placing = checked(plan, planned, spreadAnew(plan, planned, makeId, press), press);
  } else {
    let aim = 1;
    for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
      const job = jobOfStack(plan, planned, stack, lots, aim);
      let found: Placing | null = null;
      for (const best of placings(job)) {
        found = best;
        yield { stage: 'searching', placing, clamps: best.clamps.length };
      }
      if (found === null) break;
      yield { stage: 'checking', placing, clamps: found.clamps.length };
      const next = checked(plan, planned, clampsFrom(plan, planned, job, found, makeId), press);
      if (placing === null || next.lowestShare > placing.lowestShare) placing = next;
      if (next.meets || found.lowestShare < 1) break;
      aim *= 1.01 / Math.max(next.lowestShare, 0.1);
    }
    if (placing !== null && !placing.meets) {
      yield { stage: 'looking-further', placing, clamps: 0 };
      placing = {
        ...placing,
        findings: [...placing.findings, ...borrowed(plan, planned, stack, lots)],
      };
    }
  }
  yield { stage: 'done', placing, clamps: placing === null ? 0 : clampsOf(placing.build, pullId).length };
}

const clampsOf = ({ squeeze }: AssemblyBuild, pullId: string): readonly PulledClamp[] =>
  squeeze?.clamps?.filter(({ pull }) => pull === pullId) ?? [];

/** Clamps that stay, and that can press. */
const pinnedOn = ({ placed }: PlannedPull) => placed.filter(({ clamp }) => clamp.pinned === true);

/** Lots with jaws that suit a pull. */
const stackLots = ({ shop }: AssemblyPlan, { pull }: PlannedPull): RackLot[] =>
  shop.rack.filter((lot) => suits(pull, lot) && lot.count > 0 && findClampKind(lot.kind).jawDepthMm > 0);

/** What the search is asked for a stack. */
function jobOfStack(
  { build }: AssemblyPlan,
  planned: PlannedPull,
  stack: Stack,
  lots: readonly RackLot[],
  aim: number,
): PlacingJob {
  const spread = spreadMm(packingOf(build));
  const capped = (lot: RackLot) =>
    Math.min(
      lotForceN(lot),
      CRUSH_SHARE * planned.crushMPa * (lot.padWidthMm + spread) * (lot.padHeightMm + spread),
    );
  const pinned = pinnedOn(planned);
  const free = lots.map((lot): PlacingLot => ({
    id: lot.id,
    count: lot.count - pinned.filter((pin) => pin.lot.id === lot.id).length,
    forceN: capped(lot),
    padMm: lot.padWidthMm,
    pressMm: stack.padMmOf(lot),
  }));
  const { boards, lengthMm, batten } = stack;
  const within = (xMm: number, padMm: number) => Math.min(lengthMm - padMm / 2, Math.max(padMm / 2, xMm));
  return {
    panel: { boards, lengthMm, batten },
    targetMPa: stack.joints.map(() => planned.wanted.lowMPa * aim),
    lots: [
      ...free,
      ...pinned.map(({ lot, forceN }, i): PlacingLot => ({
        id: `pinned ${i}`,
        count: 0,
        forceN,
        padMm: Math.min(lengthMm, lot.padWidthMm),
        pressMm: stack.padMmOf(lot),
      })),
    ],
    placesMm: placesAlong(lengthMm, Math.max(...free.map(({ padMm }) => padMm), 0)),
    pinned: pinned.map(({ clamp, lot }, i) => ({
      lotId: `pinned ${i}`,
      xMm: within(clamp.alongMm, Math.min(lengthMm, lot.padWidthMm)),
    })),
    mostClamps: MOST_CLAMPS,
    betweenMm: BETWEEN_JAWS_MM,
    rows: stack.rows,
  };
}

/** A found set as clamps of the document, across the stack in turn. */
function clampsFrom(
  { facts, shop }: AssemblyPlan,
  planned: PlannedPull,
  job: PlacingJob,
  found: Placing,
  makeId: () => string,
): PulledClamp[] {
  const pinned = pinnedOn(planned);
  const frame = pullFrame(planned.pull, facts);
  const rowOf = rowsOf(job, found);
  return found.clamps.flatMap(({ lotId, xMm }, i): PulledClamp[] => {
    const pin = lotId.startsWith('pinned ') ? pinned[Number(lotId.slice('pinned '.length))] : undefined;
    if (pin !== undefined) return [pin.clamp];
    const lot = shop.rack.find(({ id }) => id === lotId);
    if (lot === undefined) return [];
    const capN = job.lots.find(({ id }) => id === lotId)?.forceN ?? 0;
    return [
      {
        id: makeId(),
        pull: planned.pull.id,
        rackId: lotId,
        alongMm: xMm,
        acrossMm: acrossInTurn(planned.pull, frame, rowOf[i] ?? i, job.rows),
        ...(capN < lotForceN(lot) - 1 ? { mostN: Math.floor(capN) } : {}),
      },
    ];
  });
}

/** Row of each clamp: that of the one before where there is room, for bars on faces simply in turn. */
function rowsOf(job: PlacingJob, { clamps }: Placing): number[] {
  if (job.rows !== 2) return clamps.map((_, i) => i);
  const ends = [-Infinity, -Infinity];
  return clamps.map(({ lotId, xMm }) => {
    const half = (job.lots.find(({ id }) => id === lotId)?.padMm ?? 0) / 2;
    const row = (ends[0] ?? 0) <= (ends[1] ?? 0) ? 0 : 1;
    ends[row] = xMm + half;
    return row;
  });
}

/** Where clamps stand when they are worked out, less the places nearest to those that are pinned. */
function spreadAnew(
  { build, shop }: AssemblyPlan,
  planned: PlannedPull,
  makeId: () => string,
  press: Press,
): PulledClamp[] {
  const pinned = pinnedOn(planned);
  const { id } = planned.pull;
  const others = build.squeeze?.clamps?.filter(({ pull }) => pull !== id) ?? [];
  const free = { ...build, squeeze: { ...build.squeeze, clamps: others } };
  const whole = clampsWorkedOut(free, shop, id, press);
  const left = [...whole];
  for (const { clamp } of pinned) {
    const apart = ({ place }: ClampInSpace) =>
      Math.hypot((place?.alongMm ?? 0) - clamp.alongMm, (place?.acrossMm ?? 0) - clamp.acrossMm);
    const nearest = left.reduce<ClampInSpace | null>(
      (best, each) => (best === null || apart(each) < apart(best) ? each : best),
      null,
    );
    if (nearest !== null) left.splice(left.indexOf(nearest), 1);
  }
  // What is pinned comes off the rack first.
  const stillOn = shop.rack.map((lot) => ({
    ...lot,
    count: lot.count - pinned.filter((pin) => pin.lot.id === lot.id).length,
  }));
  const rest =
    pinned.length === 0 || left.length === 0
      ? left
      : clampsWorkedOut(
          {
            ...free,
            squeeze: {
              ...free.squeeze,
              counts: [
                ...(build.squeeze?.counts ?? []).filter(({ pull }) => pull !== id),
                { pull: id, count: left.length },
              ],
            },
          },
          { ...shop, rack: stillOn },
          id,
          press,
        );
  return [
    ...pinned.map(({ clamp }) => clamp),
    ...left.flatMap(({ place }, i): PulledClamp[] => {
      const lot = rest[i]?.lot;
      // What comes off a roll is not on the rack.
      return place === null || lot === undefined || shop.rack.every((other) => other.id !== lot.id)
        ? []
        : [
            {
              id: makeId(),
              pull: id,
              rackId: lot.id,
              alongMm: Math.round(place.alongMm),
              acrossMm: Math.round(place.acrossMm),
            },
          ];
    }),
  ];
}

function clampsWorkedOut(
  build: AssemblyBuild,
  shop: AssemblyPlan['shop'],
  pullId: string,
  press: Press,
): readonly ClampInSpace[] {
  const { squeeze } = settleAssembly(planAssembly(build, shop), press);
  return squeeze?.pulls.find(({ planned }) => planned.pull.id === pullId)?.clamps ?? [];
}

/** Puts clamps on the pull and presses it for real. */
function checked(
  { build, shop }: AssemblyPlan,
  { pull }: PlannedPull,
  clamps: readonly PulledClamp[],
  press: Press,
): PullPlacing {
  const others = build.squeeze?.clamps?.filter((clamp) => clamp.pull !== pull.id) ?? [];
  const placed = { ...build, squeeze: { ...build.squeeze, clamps: [...others, ...clamps] } };
  const settled = settleAssembly(planAssembly(placed, shop), press);
  const own = settled.squeeze?.pulls.find(({ planned }) => planned.pull.id === pull.id);
  if (own === undefined || clamps.length === 0) {
    return { build, pull: pull.id, lowestShare: 0, meets: false, findings: [] };
  }
  const least = leastOf(own.planned, settled.squeeze);
  const { seats, reachN, neededN, reachMPa, wanted } = own.planned.seats ? own.planned : least;
  const lowestShare = seats ? reachN / neededN : reachMPa / wanted.lowMPa;
  return {
    build: placed,
    pull: pull.id,
    lowestShare,
    meets: lowestShare >= 1 && own.findings.every(({ severity }) => severity !== 'refuses'),
    findings: [
      seats
        ? finding('placed-on-seats', 'informs', { count: clamps.length, reachN, neededN })
        : finding('placed-on-pull', 'informs', {
            count: clamps.length,
            line: least.joint,
            minMPa: reachMPa,
            lowMPa: wanted.lowMPa,
          }),
    ],
  };
}

/** How many more of the strongest that suits. */
function borrowed(
  plan: AssemblyPlan,
  planned: PlannedPull,
  stack: Stack,
  lots: readonly RackLot[],
): Finding[] {
  const [strongest] = [...lots].sort((a, b) => lotForceN(b) - lotForceN(a));
  if (strongest === undefined) return [];
  const lot = { ...strongest, id: 'borrowed', count: MOST_BORROWED };
  const job = jobOfStack(plan, planned, stack, [...lots, lot], 1);
  const found = placeClamps(job);
  if (found.lowestShare < 1) return [];
  return [
    finding('borrow-clamps', 'informs', {
      count: found.clamps.filter(({ lotId }) => lotId === lot.id).length,
      kind: lot.kind,
      openingMm: planned.pull.openingMm,
      forceN: job.lots.find(({ id }) => id === lot.id)?.forceN ?? 0,
      clamps: found.clamps.length,
    }),
  ];
}

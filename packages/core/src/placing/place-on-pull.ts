import { lotForceN } from '../clamps';
import { finding, type PlanFinding } from '../findings';
import type { BuildDocument, PulledClamp, RackLot } from '../formats';
import { panelPressure, type Press } from '../mechanics';
import {
  type Plan,
  type ClampInSpace,
  clampsElsewhere,
  leastOf,
  packingOf,
  placeableLots,
  planBuild,
  type PlannedPull,
  settlePlan,
  type Stack,
  stackOf,
} from '../plan';
import { aimed, type Step } from './aimed';
import { placeClamps } from './search';
import { clampsFrom, jobOfStack, pinnedOn, stackLots } from './stack-job';

/** Clamps placed on one pull of an assembly, checked as it is pressed. */
export interface PullPlacing {
  readonly build: BuildDocument;
  readonly pull: string;
  /** Lowest pressure on any of its joints over what is wanted there. */
  readonly lowestShare: number;
  readonly meets: boolean;
  /** What limits it, and what to borrow where the rack falls short. */
  readonly findings: readonly PlanFinding[];
}

/** How far the placing on a pull has come. */
export type PullPlacingStep = Step<PullPlacing>;

/** Clamps that could be borrowed. */
const MOST_BORROWED = 40;

/**
 * Places the clamps of one pull around those that are pinned. A stack of boards or layers is searched as a panel is: fewest
 * clamps from the rack that bring every joint everywhere to what its glue wants, by sums of what each does alone, then pressed
 * by the elements. Everything else gets a clamp in line with each joint, or bands evenly, less those that are pinned.
 * @param makeId supplies ids of new clamps.
 */
export function* pullPlacings(
  plan: Plan,
  pullId: string,
  makeId: () => string,
  press: Press = panelPressure,
): Generator<PullPlacingStep> {
  const planned = plan.pulls.find(({ pull }) => pull.id === pullId);
  if (planned === undefined) return;
  const stack = stackOf(planned.pull, plan.facts, packingOf(plan.build));
  const lots = stack === null ? [] : stackLots(plan, planned);
  const done = (placing: PullPlacing | null): PullPlacingStep => ({
    stage: 'done',
    placing,
    clamps: placing === null ? 0 : clampsOf(placing.build, pullId).length,
  });
  if (stack === null || lots.length === 0) {
    yield done(checked(plan, planned, spreadAnew(plan, planned, makeId, press), press));
    return;
  }
  const placing = yield* aimed(
    (aim) => jobOfStack(plan, planned, stack, lots, aim),
    (job, found) => checked(plan, planned, clampsFrom(plan, planned, job, found, makeId), press),
  );
  if (placing === null || placing.meets) {
    yield done(placing);
    return;
  }
  yield { stage: 'looking-further', placing, clamps: clampsOf(placing.build, pullId).length };
  yield done({ ...placing, findings: [...placing.findings, ...borrowed(plan, planned, stack, lots)] });
}

const clampsOf = ({ squeeze }: BuildDocument, pullId: string): readonly PulledClamp[] =>
  squeeze?.clamps?.filter(({ pull }) => pull === pullId) ?? [];

/** Where clamps stand when they are worked out, less the places nearest to those that are pinned. */
function spreadAnew(
  { build, shop }: Plan,
  planned: PlannedPull,
  makeId: () => string,
  press: Press,
): PulledClamp[] {
  const pinned = pinnedOn(planned);
  const { id } = planned.pull;
  const others = clampsElsewhere(build, id);
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
  // Strips of tape are laid by the handful.
  const lots = placeableLots(planned.pull, shop.rack);
  return [
    ...pinned.map(({ clamp }) => clamp),
    ...left.flatMap(({ place }, i): PulledClamp[] => {
      const lot = rest[i]?.lot;
      return place === null || lot === undefined || lots.every((other) => other.id !== lot.id)
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
  build: BuildDocument,
  shop: Plan['shop'],
  pullId: string,
  press: Press,
): readonly ClampInSpace[] {
  const { squeeze } = settlePlan(planBuild(build, shop), press);
  return squeeze?.pulls.find(({ planned }) => planned.pull.id === pullId)?.clamps ?? [];
}

/** Puts clamps on the pull and presses it for real. */
function checked(
  { build, shop }: Plan,
  { pull }: PlannedPull,
  clamps: readonly PulledClamp[],
  press: Press,
): PullPlacing {
  const others = clampsElsewhere(build, pull.id);
  const placed = { ...build, squeeze: { ...build.squeeze, clamps: [...others, ...clamps] } };
  const settled = settlePlan(planBuild(placed, shop), press);
  const own = settled.squeeze?.pulls.find(({ planned }) => planned.pull.id === pull.id);
  if (own === undefined || clamps.length === 0) {
    return { build, pull: pull.id, lowestShare: 0, meets: false, findings: [] };
  }
  const least = leastOf(own.planned, settled.squeeze);
  const { seats, reachN, neededN, reachMPa, wanted } = least;
  const lowestShare = reachMPa / wanted.lowMPa;
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
function borrowed(plan: Plan, planned: PlannedPull, stack: Stack, lots: readonly RackLot[]): PlanFinding[] {
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
    }),
  ];
}

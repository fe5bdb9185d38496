import { listAdhesives, standsService } from '../adhesives';
import { bearingMm2, padOnEdgeMm } from '../assembly';
import { canLightSqueeze, findClampKind, openingNeededMm, targetPressure } from '../clamps';
import { type Finding, finding } from '../finding';
import {
  caulPairsIn,
  MOST_CLAMPS,
  type PanelBuild,
  type PlacedClamp,
  type RackLot,
  type ShopDocument,
} from '../formats';
import { panelPressure, type Press, STRUT_SHARE } from '../mechanics';
import { type Plan, planBuild, settlePlan, unpressed } from '../verdicts';
import type { Placing, PlacingJob, PlacingLot } from './job';
import { placings } from './search';

/** Something to borrow, make or do instead where the rack falls short, with what it would come to. */
export interface Instead {
  readonly change: Finding;
  /** The panel after it; null where the rack would have to change first. */
  readonly build: PanelBuild | null;
}

/** Clamps placed on a panel, checked by the elements. */
export interface PanelPlacing {
  readonly build: PanelBuild;
  /** Lowest pressure over what is wanted there, by finite elements. */
  readonly lowestShare: number;
  readonly meets: boolean;
  readonly status: Placing['status'];
  readonly tried: number;
  /** What limits it and what was left out. */
  readonly findings: readonly Finding[];
  /** Empty while the rack does. */
  readonly instead: readonly Instead[];
}

/** How far the work has come. */
export interface PlacingStep {
  readonly stage: 'searching' | 'checking' | 'looking-further' | 'done';
  /** Best so far; null before the first check. */
  readonly placing: PanelPlacing | null;
  /** Clamps of the best so far. */
  readonly clamps: number;
}

/** Places are tried this far apart, mm, and at most so many of them. */
const STEP_MM = 5;
const MOST_PLACES = 95;
/** Room between jaws, mm. */
const BETWEEN_MM = 5;
/** Jaws are eased to this share of what crushes the wood. */
const CRUSH_SHARE = 0.98;
/** Tries at aiming higher where the elements find less than the sums did. */
const MOST_TRIES = 3;
/** Battens that are proposed where the rack falls short, and clamps that could be borrowed. */
const BATTEN_MM = 60;
const MOST_BORROWED = 40;

/**
 * Places clamps from the rack on a panel: kinds, places, sides, handles and pull that bring every line to what its glue
 * wants with the fewest clamps. Pinned clamps stay. Each answer is checked by the elements and aimed higher where they find
 * less. Where the rack falls short, what to borrow, make or do instead is worked out in the same way.
 * @param makeId supplies ids of new clamps.
 */
export function* panelPlacings(
  plan: Plan,
  makeId: () => string,
  press: Press = panelPressure,
): Generator<PlacingStep> {
  const { shop } = plan;
  let aim = 1;
  let placing: PanelPlacing | null = null;
  for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
    const job = jobOf(plan, aim);
    let found: Placing | null = null;
    for (const best of placings(job)) {
      found = best;
      yield { stage: 'searching', placing, clamps: best.clamps.length };
    }
    if (found === null) break;
    yield { stage: 'checking', placing, clamps: found.clamps.length };
    const checked = check(plan, job, found, makeId, press);
    if (placing === null || checked.lowestShare > placing.lowestShare) placing = checked;
    if (checked.meets || found.lowestShare < 1) break;
    aim *= 1.01 / checked.lowestShare;
  }
  if (placing !== null && !placing.meets) {
    yield { stage: 'looking-further', placing, clamps: placing.build.clamps.length };
    placing = { ...placing, instead: insteadOf(plan, placing, shop, makeId, press) };
  }
  yield { stage: 'done', placing, clamps: placing?.build.clamps.length ?? 0 };
}

/** The same in one go. */
export function placeOnPanel(plan: Plan, makeId: () => string, press: Press = panelPressure): PanelPlacing {
  let last: PanelPlacing | null = null;
  for (const step of panelPlacings(plan, makeId, press)) last = step.placing;
  if (last === null) throw new Error('unreachable: placing always answers');
  return last;
}

const paddingOf = ({ edge }: PanelBuild): number => (edge.kind === 'bare' ? 0 : edge.thicknessMm);

/** Lots that span panels, long enough or not. */
const panelLots = (shop: ShopDocument): RackLot[] =>
  shop.rack.filter((lot) => findClampKind(lot.kind).spansPanels && lot.count > 0);

const givesN = (lot: RackLot): number => lot.forceN ?? findClampKind(lot.kind).forceN ?? 0;

function jobOf(plan: Plan, aim: number, more: readonly RackLot[] = []): PlacingJob {
  const { build, shop, panel, lines } = plan;
  const neededMm = openingNeededMm(panel.widthMm, paddingOf(build));
  const crushMPa = Math.min(
    ...[panel.boards[0], panel.boards.at(-1)].map((each) => each?.wood.compPerpMPa ?? 0),
  );
  const capped = (lot: RackLot) =>
    Math.min(givesN(lot), CRUSH_SHARE * crushMPa * bearingMm2(lot, build, panel));
  const usable = [...panelLots(shop), ...more].filter(({ maxOpeningMm }) => maxOpeningMm >= neededMm);
  const pinned = build.clamps.filter((clamp) => clamp.pinned === true);
  const pinLots = pinned.map((clamp, i): PlacingLot => {
    const own = usable.find(({ id }) => id === clamp.rackId);
    const most = own === undefined ? 0 : Math.min(capped(own), clamp.mostN ?? Infinity);
    return {
      id: `pinned ${i}`,
      count: 0,
      forceN: most,
      padMm: own === undefined ? 1 : padOnEdgeMm(own, build),
    };
  });
  const lots = usable.map((lot): PlacingLot => ({
    id: lot.id,
    count: lot.count - pinned.filter(({ rackId }) => rackId === lot.id).length,
    forceN: capped(lot),
    padMm: lot.padWidthMm,
  }));
  const half = Math.max(...lots.map(({ padMm }) => padMm), 0) / 2;
  const step = Math.max(STEP_MM, Math.ceil(panel.lengthMm / MOST_PLACES / STEP_MM) * STEP_MM);
  const count = Math.max(0, Math.floor((panel.lengthMm - 2 * half) / step));
  // The same from either end, so that even panels get even answers.
  const rest = (panel.lengthMm - 2 * half - count * step) / 2;
  return {
    panel: unpressed(build, panel),
    targetMPa: lines.map(({ target }) => target.lowMPa * aim),
    lots: [...lots, ...pinLots],
    placesMm: Array.from({ length: count + 1 }, (_, i) => Math.round(half + rest + i * step)),
    pinned: pinned.map(({ xMm }, i) => ({ lotId: `pinned ${i}`, xMm })),
    mostClamps: MOST_CLAMPS,
    betweenMm: BETWEEN_MM,
  };
}

/** Puts a found set on the panel and presses it for real. */
function check(
  plan: Plan,
  job: PlacingJob,
  found: Placing,
  makeId: () => string,
  press: Press,
): PanelPlacing {
  const { build, shop } = plan;
  const pinned = build.clamps.filter((clamp) => clamp.pinned === true);
  const set = found.clamps.map(({ lotId, xMm }): PlacedClamp => {
    const pin = lotId.startsWith('pinned ') ? pinned[Number(lotId.slice('pinned '.length))] : undefined;
    if (pin !== undefined) return pin;
    const lot = shop.rack.find(({ id }) => id === lotId);
    const capN = job.lots.find(({ id }) => id === lotId)?.forceN ?? 0;
    const eased = lot !== undefined && capN < givesN(lot) - 1 ? { mostN: Math.floor(capN) } : {};
    return { id: makeId(), rackId: lotId, xMm, side: 'above', ...eased };
  });
  const clamps = withHandles(withSides(set, shop), shop);
  const bare = { ...build, clamps, pullPct: pullFor(plan, job, found) };
  const placed = withCauls(bare, shop);
  const settled = settlePlan(planBuild(placed, shop), press);
  const shares = settled.lines.map(({ pressure, target }) => pressure.minMPa / target.lowMPa);
  const lowestShare = clamps.length === 0 ? 0 : Math.min(...shares);
  const weakest = settled.lines[shares.indexOf(lowestShare)];
  const neededMm = openingNeededMm(plan.panel.widthMm, paddingOf(build));
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
              lengthMm: weakest.line.lengthMm,
              minMPa: weakest.pressure.minMPa,
              lowMPa: weakest.target.lowMPa,
              tried: found.tried,
              proven: found.status === 'proven' ? 'yes' : 'no',
            }),
          ]),
      ...(placed.holding.caulPairs > build.holding.caulPairs
        ? [finding('cauls-added', 'informs', { pairs: placed.holding.caulPairs })]
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
function withCauls(build: PanelBuild, shop: ShopDocument): PanelBuild {
  const { strut, heldBy, panel } = planBuild(build, shop);
  if (heldBy.length > 0 || strut.loadShare < STRUT_SHARE.warn) return build;
  const pairs = Math.min(caulPairsIn(shop), Math.ceil(panel.lengthMm / CAULS_EVERY_MM));
  return pairs <= build.holding.caulPairs
    ? build
    : { ...build, holding: { ...build.holding, caulPairs: pairs } };
}

/** Pull in per cent of the most: less where the mean would pass what the glue wants, never below what the weakest spot needs. */
function pullFor({ lines }: Plan, job: PlacingJob, { clamps, lowestShare }: Placing): number {
  const totalN = clamps.reduce(
    (sum, { lotId }) => sum + (job.lots.find(({ id }) => id === lotId)?.forceN ?? 0),
    0,
  );
  const over = Math.max(...lines.map(({ line, target }) => totalN / line.areaMm2 / target.highMPa));
  if (over <= 1 || lowestShare <= 0) return 100;
  return Math.min(100, Math.max(1, Math.ceil(100 * Math.max(1 / over, 1.02 / lowestShare))));
}

/** Above and below in turn, pinned ones as they are, begun so that the moments cancel best. */
function withSides(set: readonly PlacedClamp[], shop: ShopDocument): PlacedClamp[] {
  const forceOf = ({ rackId, mostN }: PlacedClamp) => {
    const lot = shop.rack.find(({ id }) => id === rackId);
    return lot === undefined ? 0 : Math.min(givesN(lot), mostN ?? Infinity);
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

/** Handles at the last edge; where neighbours would foul each other, every other one at the first. */
function withHandles(set: readonly PlacedClamp[], shop: ShopDocument): PlacedClamp[] {
  const sweep = ({ rackId }: PlacedClamp) => {
    const kind = shop.rack.find(({ id }) => id === rackId)?.kind;
    return kind === undefined ? 0 : findClampKind(kind).handleMm;
  };
  const placed: PlacedClamp[] = [];
  for (const clamp of set) {
    const before = placed.at(-1);
    const fouls = before !== undefined && clamp.xMm - before.xMm < (sweep(clamp) + sweep(before)) / 2;
    const other = before?.handle === 'first' ? 'last' : 'first';
    placed.push(clamp.pinned === true || !fouls ? clamp : { ...clamp, handle: other });
  }
  return placed;
}

/** What would do where the rack does not. */
function insteadOf(
  plan: Plan,
  short: PanelPlacing,
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
function borrowed(plan: Plan): Instead[] {
  const { build, shop, panel } = plan;
  const openingMm = openingNeededMm(panel.widthMm, paddingOf(build));
  const [strongest] = panelLots(shop).sort((a, b) => givesN(b) - givesN(a));
  const typical = findClampKind('t-bar');
  const lot: RackLot = {
    ...(strongest ?? {
      kind: typical.id,
      forceN: typical.forceN,
      padWidthMm: typical.padWidthMm,
      padHeightMm: typical.padHeightMm,
    }),
    id: 'borrowed',
    count: MOST_BORROWED,
    maxOpeningMm: openingMm,
  };
  const job = jobOf(plan, 1, [lot]);
  let found: Placing | null = null;
  for (const best of placings(job)) found = best;
  if (found === null || found.lowestShare < 1) return [];
  const count = found.clamps.filter(({ lotId }) => lotId === lot.id).length;
  return [
    {
      change: finding('borrow-clamps', 'informs', {
        count,
        kind: lot.kind,
        openingMm,
        forceN: job.lots.find(({ id }) => id === lot.id)?.forceN ?? 0,
        clamps: found.clamps.length,
      }),
      build: null,
    },
  ];
}

/** The clamps there are, through battens that spread them. */
function withBattens(plan: Plan, shop: ShopDocument, makeId: () => string, press: Press): Instead[] {
  if (plan.build.edge.kind === 'battens') return [];
  const build: PanelBuild = { ...plan.build, edge: { kind: 'battens', thicknessMm: BATTEN_MM } };
  const through = planBuild(build, shop);
  const job = jobOf(through, 1);
  let found: Placing | null = null;
  for (const best of placings(job)) found = best;
  if (found === null) return [];
  const placing = check(through, job, found, makeId, press);
  return placing.meets
    ? [
        {
          change: finding('make-battens', 'informs', {
            thicknessMm: BATTEN_MM,
            clamps: placing.build.clamps.length,
            lowestPct: 100 * placing.lowestShare,
          }),
          build: placing.build,
        },
      ]
    : [];
}

function lightly({ build, adhesive }: Plan, short: PanelPlacing, shop: ShopDocument): Instead[] {
  if (build.school === 'light' || !canLightSqueeze(adhesive)) return [];
  const light: PanelBuild = { ...short.build, school: 'light' };
  return planBuild(light, shop).verdicts.tight.state === 'fails'
    ? []
    : [{ change: finding('squeeze-lightly', 'informs'), build: light }];
}

/** A family that is content with what there is. */
function otherGlue({ build, lines, adhesive }: Plan, short: PanelPlacing): Instead[] {
  const reachMPa = Math.min(...lines.map(({ target }) => target.lowMPa)) * short.lowestShare;
  const sgs = lines.flatMap(({ line }) => [line.first.wood.sg, line.second.wood.sg]);
  const found = listAdhesives().find(
    (other) =>
      other.id !== adhesive.id &&
      standsService(other.service, build.service) &&
      other.gapMm >= adhesive.gapMm &&
      targetPressure(other, sgs).lowMPa <= reachMPa,
  );
  return found === undefined || short.build.clamps.length === 0
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

import { typicalLot } from '../assembly';
import { findClampKind, lotForceN } from '../clamps';
import { finding } from '../findings';
import type { ShopDocument } from '../formats';
import { LIMITS } from '../basics/limits';
import { ACROSS, clampsElsewhere, clampsWanted, type Plan, type PlannedPull, pullFrame } from '../plan';
import type { Candidate } from './rank';

/** Most clamps that are borrowed at once, and how much more than the least they give. */
const MOST_BORROWED = 30;
const ROOM = 1.1;

/** What only the person can do: read what was not read, or borrow what the rack does not hold. Their effect is worked out all the same. */
export function outsideFirst(plan: Plan, shop: ShopDocument): Candidate[] {
  return [
    ...readings(plan),
    ...plan.pulls
      .filter(({ pull }) => plan.row === null || pull.id !== ACROSS)
      .flatMap((pull) => [...borrowed(plan, pull, shop), ...deeper(plan, pull, shop)]),
  ];
}

/** Readings that come out as they should. */
function readings({ build, facts, verdicts }: Plan): Candidate[] {
  const { acMm, bdMm } = build.dryFit;
  const { square } = facts.assembly;
  const found: Candidate[] = [];
  if (square.kind === 'diagonals' && (acMm === null || bdMm === null)) {
    const diagonalMm = Math.min(LIMITS.diagonalMm.max, Math.hypot(square.abMm, square.bcMm));
    found.push({
      change: finding('read-diagonals-first', 'informs', { diagonalMm, mostMm: build.goals.squareMm }),
      build: { ...build, dryFit: { ...build.dryFit, acMm: diagonalMm, bdMm: diagonalMm } },
      first: 'reading',
    });
  }
  if (verdicts.flat.cause.code === 'flatness-unread') {
    found.push({
      change: finding('sight-first', 'informs', { mostMm: build.goals.flatMm }),
      build: { ...build, dryFit: { ...build.dryFit, twistMm: 0, bowMm: 0 } },
      first: 'reading',
    });
  }
  return found;
}

/** A kind that suits a pull better is borrowed though it takes up to so many times as many as another [judgement]. */
const HARDLY_MORE = 1.5;

/** So many of a kind that suits a pull as are missing on the rack, opened far enough: by their force, and by their places. */
function borrowed(plan: Plan, planned: PlannedPull, shop: ShopDocument): Candidate[] {
  const { build } = plan;
  const { pull, neededN, reachN, word, taken, pieces, drawnMm } = planned;
  if (drawnMm !== null) return [];
  const isShort = taken.length === 0 || word === 'under-pressed' || word === 'light';
  // Where force suffices and places are bare, more of the same.
  const lots = isShort
    ? pull.kinds.map((kind) => typicalLot(kind, pull.openingMm, 1))
    : taken.map(({ lot }) => ({ ...lot, id: `more-${lot.id}` }));
  const choices = lots.map((lot) => {
    const forceN = lotForceN(lot);
    const byForce = (wantedN: number) => (forceN === 0 ? 1 : Math.ceil(wantedN / forceN));
    const places = clampsWanted(planned, plan, lot);
    const bare = places - pieces.length;
    const count = Math.max(1, byForce(ROOM * neededN - reachN), bare);
    // By itself, whatever the rack gives beside it: a weight or two would fill bare places, and press nothing.
    const alone = Math.max(1, byForce(ROOM * neededN), places);
    return { lot, forceN, bare, count, alone };
  });
  const fewest = Math.min(...choices.map(({ alone }) => alone));
  const best = choices.find(({ alone }) => alone <= HARDLY_MORE * fewest);
  if (best === undefined || (!isShort && best.bare <= 0)) return [];
  const count = Math.min(MOST_BORROWED, best.count);
  const squeeze = {
    ...build.squeeze,
    counts: (build.squeeze?.counts ?? []).filter((each) => each.pull !== pull.id),
    clamps: clampsElsewhere(build, pull.id),
  };
  return [
    {
      change: finding('borrow-clamps', 'informs', {
        count,
        kind: best.lot.kind,
        openingMm: pull.openingMm,
        forceN: best.forceN,
      }),
      build: { ...build, squeeze },
      shop: { ...shop, rack: [...shop.rack, { ...best.lot, count }] },
      first: 'rack',
    },
  ];
}

/** As many clamps of a kind whose jaws reach in from both sides of a wide stack, where those that it takes do not. */
function deeper({ build, facts }: Plan, { pull, taken }: PlannedPull, shop: ShopDocument): Candidate[] {
  if (pull.need !== 'line' || !pull.stacked) return [];
  const neededMm = pullFrame(pull, facts).widthMm / 4;
  const reaches = (kindId: string) => findClampKind(kindId).jawDepthMm >= neededMm;
  if (taken.every(({ lot }) => reaches(lot.kind))) return [];
  const strengthOf = (id: string) => lotForceN(typicalLot(id, pull.openingMm, 1));
  const [kindId] = pull.kinds.filter(reaches).sort((a, b) => strengthOf(b) - strengthOf(a));
  if (kindId === undefined) return [];
  const count = taken.reduce((sum, own) => sum + own.count, 0);
  const lot = typicalLot(kindId, pull.openingMm, MOST_BORROWED);
  const clamps = clampsElsewhere(build, pull.id);
  return [
    {
      change: finding('borrow-deep', 'informs', {
        count,
        kind: kindId,
        depthMm: findClampKind(kindId).jawDepthMm,
      }),
      build: { ...build, squeeze: { ...build.squeeze, clamps } },
      // Those that do not reach stay on the wall.
      shop: { ...shop, rack: [...shop.rack.filter((own) => reaches(own.kind)), lot] },
      first: 'rack',
    },
  ];
}

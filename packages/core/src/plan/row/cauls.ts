import type { ClampSet, Panel } from '../../assembly';
import { caulPlaces, lotForceN, openingNeededMm } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import {
  type BuildDocument,
  type CaulLot,
  caulPairsIn,
  type RackLot,
  type ShopDocument,
} from '../../formats';
import { resolveSpecies, shearModulusInFace } from '../../materials';
import { type CaulCrown, caulCrown, type HoldingLoad, holdingLoad, strutModulusMPa } from '../../mechanics';
import type { RowJob } from './row-job';

/** Pairs of cauls across a panel: where, how hard, and with which crown. */
export interface CaulPlan {
  readonly pairs: number;
  /** Middle of each pair along the panel; fewer than pairs where bars leave no room. */
  readonly placesMm: readonly number[];
  /** The lot that is taken, or a section to make where the shop lists none that does. */
  readonly caul: Omit<CaulLot, 'id' | 'count'>;
  readonly listed: boolean;
  readonly load: HoldingLoad;
  /** Crown for that load, and the pull of each clamp at the ends. */
  readonly crown: CaulCrown;
  /** Clamps for the ends of all pairs: how many, from where, opened how far. */
  readonly endClamps: { readonly lot: RackLot | null; readonly count: number; readonly openingMm: number };
  /** Middle of the panel from flat, because the crown is not what it should be, mm. */
  readonly leavesMm: number;
  readonly findings: readonly PlanFinding[];
}

/** A caul to make where none is listed: beech-like hardwood, 40 × 50 mm on edge. */
const USUAL_CAUL = Object.freeze({ species: 'hard-maple', widthMm: 40, depthMm: 50, crownMm: 0 });
/** Clamps at its ends stand so far beyond the panel. */
const BEYOND_MM = 30;
/** Fibre stress that dry straight-grained wood bears again and again, as a share of its modulus [judgement]. */
const STRESS_SHARE = 1 / 350;

/** Works out the cauls of a panel; null where there are none. */
export function planCauls({
  build,
  job,
  shop,
  panel,
  clampSet,
  offsetMm,
}: {
  readonly build: BuildDocument;
  readonly job: RowJob;
  readonly shop: ShopDocument;
  readonly panel: Panel;
  readonly clampSet: ClampSet;
  /** Force-weighted mean distance of the pull from mid-thickness. */
  readonly offsetMm: number;
}): CaulPlan | null {
  const { caulPairs: pairs } = job.holding;
  if (pairs === 0) return null;
  const needMm = panel.widthMm + 2 * BEYOND_MM;
  const lot = lotFor(job, shop, needMm, pairs);
  const caul = lot ?? { ...USUAL_CAUL, lengthMm: needMm };
  const placesMm = caulPlaces(
    panel.lengthMm,
    pairs,
    caul.widthMm,
    clampSet.clamps.map(({ placed }) => placed.xMm),
  );
  const boards = panel.boards.map(({ board, wood }) => ({ widthMm: board.widthMm, wood, cut: board.cut }));
  const load = holdingLoad({
    widthMm: panel.widthMm,
    lengthMm: panel.lengthMm,
    thicknessMm: panel.thicknessMm,
    acrossMPa: strutModulusMPa(boards),
    alongMPa: Math.max(...boards.map(({ wood }) => wood.eLMPa)),
    shearMPa: Math.max(...boards.map(({ wood, cut }) => shearModulusInFace(wood, cut))),
    pullNPerMm: clampSet.totalForceN / panel.lengthMm,
    offsetMm,
    reachMm: panel.lengthMm / Math.max(1, placesMm.length),
    cupMm: 0,
    bowMm: build.dryFit.bowMm ?? 0,
    windMm: build.dryFit.twistMm ?? 0,
  });
  const { eLMPa } = resolveSpecies(caul.species, 'cauls.species', shop.woods).properties;
  const needed = caulCrown({
    lengthMm: panel.widthMm,
    widthMm: caul.widthMm,
    depthMm: caul.depthMm,
    eMPa: eLMPa,
    lineLoadNPerMm: Math.max(load.totalNPerMm, LEAST_LOAD),
    overhangMm: BEYOND_MM,
  });
  // One that is crowned more than that is still drawn flat: its ends take as much more.
  const flatter = Math.max(1, needed.crownMm > 0 ? caul.crownMm / needed.crownMm : 1);
  const crown = {
    ...needed,
    endForceN: flatter * needed.endForceN,
    bendingStressMPa: flatter * needed.bendingStressMPa,
  };
  const endClamps = endClampsFor(shop, pairs, panel.thicknessMm + 2 * caul.depthMm, crown.endForceN);
  return {
    pairs,
    placesMm,
    caul,
    listed: lot !== null,
    load,
    crown,
    endClamps,
    // One that is still to be made is made with the crown it needs.
    leavesMm: lot === null ? 0 : Math.max(0, crown.crownMm - caul.crownMm),
    findings: caulFindings({
      job,
      shop,
      placesMm,
      caul,
      listed: lot !== null,
      crown,
      eLMPa,
      endClamps,
      needMm,
    }),
  };
}

/** A caul is always snugged a little, N/mm. */
const LEAST_LOAD = 0.05;

function lotFor({ holding }: RowJob, shop: ShopDocument, needMm: number, pairs: number): CaulLot | null {
  const lots = shop.cauls ?? [];
  const named = lots.find(({ id }) => id === holding.caulLot);
  if (named !== undefined) return named;
  const fitting = lots.filter(({ lengthMm }) => lengthMm >= needMm);
  return fitting.find(({ count }) => count >= 2 * pairs) ?? fitting[0] ?? null;
}

/** The weakest lot that does, so that strong clamps stay free for the pull. */
function endClampsFor(
  shop: ShopDocument,
  pairs: number,
  workMm: number,
  forceN: number,
): CaulPlan['endClamps'] {
  const openingMm = openingNeededMm(workMm, 0);
  const [lot] = shop.rack
    .filter(
      (each) =>
        END_KINDS.includes(each.kind) &&
        each.maxOpeningMm >= openingMm &&
        each.count > 0 &&
        lotForceN(each) >= forceN,
    )
    .sort((a, b) => lotForceN(a) - lotForceN(b) || b.count - a.count);
  return { lot: lot ?? null, count: 2 * pairs, openingMm };
}

/** Kinds that hold the ends of cauls. */
const END_KINDS: readonly string[] = ['trigger', 'f-light', 'hand-screw', 'f-heavy', 'c-clamp'];

function caulFindings({
  job,
  shop,
  placesMm,
  caul,
  listed,
  crown,
  eLMPa,
  endClamps,
  needMm,
}: Pick<CaulPlan, 'placesMm' | 'caul' | 'listed' | 'crown' | 'endClamps'> & {
  readonly job: RowJob;
  readonly shop: ShopDocument;
  readonly eLMPa: number;
  readonly needMm: number;
}): PlanFinding[] {
  const found: PlanFinding[] = [];
  const { caulPairs } = job.holding;
  const have = caulPairsIn(shop);
  if (placesMm.length < caulPairs) {
    found.push(finding('no-room-for-caul', 'warns', { placed: placesMm.length, pairs: caulPairs }));
  }
  if (have < caulPairs) found.push(finding('cauls-to-make', 'warns', { have, pairs: caulPairs }));
  if (listed && caul.lengthMm < needMm) {
    found.push(finding('caul-too-short', 'warns', { lengthMm: caul.lengthMm, neededMm: needMm }));
  }
  if (crown.bendingStressMPa > eLMPa * STRESS_SHARE) {
    found.push(
      finding('caul-overstressed', 'warns', {
        stressMPa: crown.bendingStressMPa,
        bearsMPa: eLMPa * STRESS_SHARE,
      }),
    );
  }
  if (endClamps.lot === null) {
    found.push(
      finding('caul-clamps-missing', 'warns', {
        count: endClamps.count,
        openingMm: endClamps.openingMm,
        forceN: crown.endForceN,
      }),
    );
  }
  return found;
}

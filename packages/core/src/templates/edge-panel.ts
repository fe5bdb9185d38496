import { findAdhesive, type Service } from '../adhesives';
import { within } from '../checks';
import { longEnoughLots } from '../assembly';
import { clampNeed, evenPositions, lotForceN } from '../clamps';
import {
  caulPairsIn,
  type PanelBuild,
  MOST_BOARDS,
  MOST_CLAMPS,
  type PlacedClamp,
  type RackLot,
  type ShopDocument,
} from '../formats';
import { LIMITS } from '../limits';
import { glueFor, moistureInUse } from './service';
import { resolveSpecies } from '../materials';

/** The few things the edge-panel template asks. */
export interface EdgePanelAnswers {
  readonly name: string;
  readonly project: string;
  readonly species: string;
  readonly boards: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly thicknessMm: number;
  readonly service: Service;
}

/** Answers that the form starts with. */
export const EDGE_PANEL_DEFAULTS: EdgePanelAnswers = {
  name: 'New panel',
  project: '',
  species: 'hard-maple',
  boards: 5,
  widthMm: 600,
  lengthMm: 1000,
  thicknessMm: 20,
  service: 'dry',
};

/** Line of pull that a careful worker manages off mid-thickness, as a share of the thickness [judgement]. */
const PULL_OFFSET_SHARE = 0.08;
/** Ring radius of common flat-sawn boards when nobody has looked at the end grain [judgement]. */
const USUAL_RING_RADIUS_MM = 150;
/** Spacing of caul pairs that the template starts from [judgement]. */
const CAUL_SPACING_MM = 500;

/**
 * A new edge-glued panel with everything not asked set to what a careful worker would start from: equal boards,
 * best faces up (hearts alternating), clamps from the rack by mean pressure, alternately above and below.
 * @param makeId supplies document-local ids.
 * @throws InputError for sizes outside the limits or an unknown species.
 */
export function edgePanelBuild(
  answers: EdgePanelAnswers,
  shop: ShopDocument,
  makeId: () => string,
): PanelBuild {
  const count = within(answers.boards, 'boards', { min: 2, max: MOST_BOARDS, unit: 'boards' });
  const lengthMm = within(answers.lengthMm, 'lengthMm', LIMITS.boardLengthMm);
  const thicknessMm = within(answers.thicknessMm, 'thicknessMm', LIMITS.boardThicknessMm);
  const widthMm = within(answers.widthMm, 'widthMm', {
    min: LIMITS.boardWidthMm.min * count,
    max: LIMITS.boardWidthMm.max * count,
    unit: 'mm',
  });
  resolveSpecies(answers.species);
  const build: PanelBuild = {
    format: 'lean-clasp/build',
    version: 1,
    name: answers.name,
    project: answers.project,
    template: 'edge-panel',
    service: answers.service,
    boards: Array.from({ length: count }, (_, index) => ({
      id: makeId(),
      species: answers.species,
      widthMm: widthMm / count,
      thicknessMm,
      lengthMm,
      cut: 'flat',
      heart: index % 2 === 0 ? 'up' : 'down',
      ringRadiusMm: USUAL_RING_RADIUS_MM,
      mcPct: null,
    })),
    goals: { flatMm: 1, squareMm: 1.5 },
    climate: null,
    crew: 1,
    glue: { adhesive: glueFor(answers.service), method: 'card', faces: 1 },
    clamps: [],
    pullPct: 100,
    pullOffsetMm: Math.round(PULL_OFFSET_SHARE * thicknessMm * 10) / 10,
    edge: { kind: 'bare', thicknessMm: 20 },
    holding: {
      barsTouch: true,
      barClearanceMm: 0.3,
      caulPairs: Math.min(caulPairsIn(shop), Math.max(1, Math.round(lengthMm / CAUL_SPACING_MM))),
      endStops: true,
      preSet: true,
      heldFlatLater: false,
    },
    trimMm: 0,
    dryFit: { gaps: [], acMm: null, bdMm: null, bowMm: null, twistMm: null },
    mcInUse: moistureInUse(answers.service),
  };
  return { ...build, clamps: clampsFromRack(build, shop, makeId) };
}

/**
 * Clamps for a panel from one lot of the rack: the lot that meets the recommended count with clamps long enough,
 * weakest sufficient first; failing that, whichever gives most force. Spread evenly, alternately above and below.
 */
export function clampsFromRack(build: PanelBuild, shop: ShopDocument, makeId: () => string): PlacedClamp[] {
  const options = longEnoughLots(build, shop).map((lot) => {
    const wanted = Math.min(MOST_CLAMPS, recommendedCount(build, lot));
    const placed = Math.min(wanted, lot.count);
    return { lot, placed, enough: placed >= wanted, forceN: placed * lotForceN(lot) };
  });
  const best = options.sort(
    (a, b) => Number(b.enough) - Number(a.enough) || (a.enough ? a.placed - b.placed : b.forceN - a.forceN),
  )[0];
  return best === undefined ? [] : placeEvenly(best.lot.id, best.placed, lengthOf(build), makeId);
}

/** Clamps of one lot, evenly along the panel, alternately above and below. */
export function placeEvenly(
  rackId: string,
  count: number,
  lengthMm: number,
  makeId: () => string,
): PlacedClamp[] {
  return evenPositions(count, lengthMm).map((xMm, index) => ({
    id: makeId(),
    rackId,
    xMm,
    side: index % 2 === 0 ? 'above' : 'below',
  }));
}

function recommendedCount(build: PanelBuild, lot: RackLot): number {
  return clampNeed({
    woods: build.boards.map((board) => resolveSpecies(board.species).properties),
    adhesive: findAdhesive(build.glue.adhesive),
    lengthMm: lengthOf(build),
    heightMm: Math.min(...build.boards.map((board) => board.thicknessMm)),
    clampForceN: Math.max(LIMITS.clampForceN.min, lotForceN(lot)),
  }).clampsRecommended;
}

function lengthOf(build: PanelBuild): number {
  return Math.max(...build.boards.map((board) => board.lengthMm));
}

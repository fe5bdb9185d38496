import { wagonBuilds } from '../demo';
import {
  type BuildDocument,
  type PlacedClamp,
  type RowSection,
  type ShopDocument,
  USUAL_ROW,
} from '../formats';
import { type BuildStart, newBuild, STARTER_SHOP } from '../templates';
import { type Plan, planBuild, type RowPlan } from '../plan';
import { deepFreeze } from './deep-freeze';

/** A shop with clamps of several lengths and forces, and a warm afternoon. */
export const TEST_SHOP: ShopDocument = deepFreeze({
  ...STARTER_SHOP,
  climate: { tempC: 18, rhPct: 45 },
  hours: [
    { hour: 8, tempC: 11, rhPct: 60 },
    { hour: 15, tempC: 24, rhPct: 40 },
  ],
  rack: [
    {
      id: 'long',
      kind: 't-bar',
      count: 8,
      maxOpeningMm: 1200,
      forceN: 5500,
      padWidthMm: 40,
      padHeightMm: 40,
    },
    {
      id: 'weak',
      kind: 'trigger',
      count: 6,
      maxOpeningMm: 900,
      forceN: null,
      padWidthMm: 40,
      padHeightMm: 60,
    },
    {
      id: 'short',
      kind: 'f-heavy',
      count: 9,
      maxOpeningMm: 500,
      forceN: null,
      padWidthMm: 38,
      padHeightMm: 38,
    },
  ],
  caulPairs: 3,
  bottles: [{ id: 'b', adhesive: 'pva-interior', openedOn: null, remainingMl: 400 }],
});

/** What a test may change about the maple panel: of its document, its row, and what was read at its lines by their place. */
export interface PanelChange extends Partial<Omit<BuildDocument, 'dryFit' | 'glue'>> {
  readonly clamps?: readonly PlacedClamp[];
  readonly pullPct?: number;
  readonly firstClamp?: RowSection['firstClamp'];
  readonly school?: RowSection['school'];
  readonly pullOffsetMm?: number;
  readonly edge?: RowSection['edge'];
  readonly holding?: RowSection['holding'];
  readonly trimMm?: number;
  readonly gaps?: readonly { readonly line: number; readonly gapMm: number }[];
  readonly dryFit?: BuildDocument['dryFit'];
  readonly glue?: BuildDocument['glue'];
}

/** The five-board maple panel of the first issue: 600 × 1000 × 20 mm, six long bars, two pairs of cauls, two people, deep-frozen. */
export function maplePanel(change: PanelChange = {}): BuildDocument {
  let next = 0;
  const build = newBuild(
    { template: 'edge-panel', name: 'New panel', project: '', service: 'dry', answers: {} },
    TEST_SHOP,
    () => `m${(next += 1)}`,
  );
  const { clamps, pullPct, firstClamp, school, pullOffsetMm, edge, holding, trimMm, gaps, ...rest } = change;
  const row = build.row ?? USUAL_ROW;
  const boards = rest.boards ?? build.boards ?? [];
  return deepFreeze({
    ...build,
    crew: 2,
    ...rest,
    row: {
      ...row,
      clamps: [...(clamps ?? evenBars('long', SIX_AT_MM))],
      pullPct: pullPct ?? row.pullPct,
      pullOffsetMm: pullOffsetMm ?? 1.6,
      edge: edge ?? row.edge,
      holding: holding ?? row.holding,
      trimMm: trimMm ?? row.trimMm,
      ...(firstClamp === undefined ? {} : { firstClamp }),
      ...(school === undefined ? {} : { school }),
    },
    jointNotes:
      rest.jointNotes ??
      (gaps ?? []).map(({ line, gapMm }) => ({
        id: `${boards[line]?.id ?? ''}_${boards[line + 1]?.id ?? ''}`,
        gapMm,
        reinforcement: 'none' as const,
      })),
  });
}

/** Where six clamps stand evenly on a metre. */
const SIX_AT_MM = [69, 241, 414, 586, 759, 931];

/** Clamps of one lot at given places, above and below in turn. */
export const evenBars = (rackId: string, placesMm: readonly number[]): PlacedClamp[] =>
  placesMm.map((xMm, i) => ({ id: `bar${i + 1}`, rackId, xMm, side: i % 2 === 0 ? 'above' : 'below' }));

/** A new build of any kind in the test shop. */
export function buildOf(start: BuildStart): BuildDocument {
  let next = 0;
  return newBuild(start, TEST_SHOP, () => `b${(next += 1)}`);
}

/** A build of the demo that is not a panel, by its id. */
export function demoAssembly(id: string): BuildDocument {
  const found = wagonBuilds().find((each) => each.id === id);
  if (found === undefined) throw new Error(`no demo build ${id}`);
  return found.build;
}

/** A planned row with what its mechanics found beside what every plan has. */
export interface PlannedRowForTests extends Plan, RowPlan {
  readonly row: RowPlan;
}

/** Plans boards in a row. */
export function planRow(build: BuildDocument, shop: ShopDocument = TEST_SHOP): PlannedRowForTests {
  const plan = planBuild(build, shop);
  if (plan.row === null) throw new Error('these boards do not lie in a row');
  return { ...plan.row, ...plan, row: plan.row };
}

/** A round top of six ash boards, Ø 900 mm. */
export const roundTop = (): BuildDocument =>
  buildOf({
    template: 'round-panel',
    name: 'Round',
    project: '',
    service: 'dry',
    answers: { species: 'white-ash', boards: 6, lengthMm: 900, widthMm: 900, thicknessMm: 24 },
  });

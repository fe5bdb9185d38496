import { wagonBuilds } from '../demo';
import type { AssemblyBuild, PanelBuild, ShopDocument } from '../formats';
import { EDGE_PANEL_DEFAULTS, edgePanelBuild, STARTER_SHOP } from '../templates';
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

/** The five-board maple panel of the first issue: 600 × 1000 × 20 mm, deep-frozen. */
export function maplePanel(change: Partial<PanelBuild> = {}): PanelBuild {
  let next = 0;
  const build = edgePanelBuild(EDGE_PANEL_DEFAULTS, TEST_SHOP, () => `m${(next += 1)}`);
  return deepFreeze({ ...build, ...change });
}

/** A build of the demo that is not a panel, by its id. */
export function demoAssembly(id: string): AssemblyBuild {
  const found = wagonBuilds().find((each) => each.id === id);
  if (found === undefined) throw new Error(`no demo build ${id}`);
  return found.build;
}

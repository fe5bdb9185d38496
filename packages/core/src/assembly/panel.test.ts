import type { BuildDocument } from '../formats';
import { boardLabel, layAssembly } from '../kinds';
import { maplePanel, type PanelChange, TEST_SHOP } from '../test-support/builds';
import { clampsOnPanel, deriveAssembly, panelOf } from '.';

const panelFrom = (build: BuildDocument) => panelOf(deriveAssembly(layAssembly(build, 9)));

describe('panelOf', () => {
  it('has exact lines, areas, volume and weight for the five-board panel', () => {
    const panel = panelFrom(maplePanel());
    expect(panel.lines.map(({ label, areaMm2, depthMm }) => [label, areaMm2, depthMm])).toEqual([
      ['A–B', 20_000, 120],
      ['B–C', 20_000, 240],
      ['C–D', 20_000, 240],
      ['D–E', 20_000, 120],
    ]);
    expect(panel.gluedAreaMm2).toBe(80_000);
    expect(panel.volumeMm3).toBe(600 * 1000 * 20);
    expect(panel.massKg).toBeCloseTo(0.012 * 630 * 1.12, 9);
  });

  it('meets only where neighbours do: the shorter and the thinner board decide', () => {
    const build = maplePanel();
    const boards = (build.boards ?? []).map((board, i) =>
      i === 1 ? { ...board, lengthMm: 870, thicknessMm: 17, widthMm: 83 } : board,
    );
    const panel = panelFrom({ ...build, boards });
    expect(panel.lines.map(({ areaMm2 }) => areaMm2)).toEqual([870 * 17, 870 * 17, 20_000, 20_000]);
    expect(panel.widthMm).toBe(563);
    expect(panel.thicknessMm).toBe(17);
  });

  it('refuses an unknown wood by the board it is in', () => {
    const build = maplePanel();
    const boards = (build.boards ?? []).map((board, i) =>
      i === 3 ? { ...board, species: 'plastic' } : board,
    );
    expect(() => panelFrom({ ...build, boards })).toThrow(
      expect.objectContaining({ field: 'parts.3.species' }) as Error,
    );
  });

  it('letters boards past Z', () => {
    expect([0, 25, 26, 51, 52].map(boardLabel)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA']);
  });
});

describe('clampsOnPanel', () => {
  const on = (change: PanelChange) => {
    const build = maplePanel(change);
    if (build.row === undefined) throw new Error('no row');
    return clampsOnPanel(build.row, TEST_SHOP, panelFrom(build));
  };

  it('numbers clamps along the panel and asks the opening that blocks add to', () => {
    const set = on({
      clamps: [
        { id: 'far', rackId: 'long', xMm: 700, side: 'below' },
        { id: 'near', rackId: 'weak', xMm: 150, side: 'above' },
      ],
      edge: { kind: 'blocks', thicknessMm: 25 },
    });
    expect(set.clamps.map(({ placed, number }) => [placed.id, number])).toEqual([
      ['near', 1],
      ['far', 2],
    ]);
    expect(set.clamps[0]?.openingNeededMm).toBe(600 + 50 + 15);
    expect(set.clamps.map(({ forceN, forceSource }) => [forceN, forceSource])).toEqual([
      [1000, 'typical'],
      [5500, 'measured'],
    ]);
  });

  it('gets no force out of a clamp that is too short, and out of a lot that is gone', () => {
    const set = on({
      clamps: [
        { id: 'a', rackId: 'short', xMm: 300, side: 'above' },
        { id: 'b', rackId: 'sold', xMm: 600, side: 'above' },
      ],
    });
    expect(set.clamps.map(({ fit, forceN }) => [fit, forceN])).toEqual([['too-short', 0]]);
    expect(set.missingLots).toEqual(['b']);
    expect(set.totalForceN).toBe(0);
  });

  it('spreads the bite of a jaw by the block under it', () => {
    const clamps = [{ id: 'a', rackId: 'long', xMm: 500, side: 'above' as const }];
    const bare = on({ clamps }).clamps[0]?.padPressureMPa ?? 0;
    const blocked = on({ clamps, edge: { kind: 'blocks', thicknessMm: 20 } }).clamps[0]?.padPressureMPa ?? 0;
    expect(bare).toBeCloseTo(5500 / (40 * 20), 9);
    expect(blocked).toBeCloseTo(5500 / (80 * 20), 9);
  });
});

import type { PanelBuild } from '../../formats';
import { maplePanel, TEST_SHOP } from '../../test-support/builds';
import { planBuild } from './plan-row';
import { pressPlan } from './pressed-row';

const base = maplePanel();
const plan = (change: Partial<PanelBuild> = {}) => planBuild(maplePanel(change), TEST_SHOP);

describe('pressPlan', () => {
  it('carries the same pull as the closed form, and differs from it by no more than that is known to', () => {
    const quick = plan();
    const { lines, status } = pressPlan(quick);
    expect(status).toBe('converged');
    quick.lines.forEach(({ pressure }, i) => {
      const line = lines[i];
      expect(line?.meanMPa).toBeCloseTo(pressure.meanMPa, 4);
      expect(Math.abs((line?.minMPa ?? 0) - pressure.minMPa)).toBeLessThan(0.15 * pressure.meanMPa);
    });
  });

  it('opens a line that was read hollow more than its neighbours', () => {
    const gaps = [{ line: 1, gapMm: 1.5 }];
    const { lines } = pressPlan(plan({ dryFit: { ...base.dryFit, gaps }, pullPct: 2 }));
    expect(lines[1]?.closed).toBe(false);
    expect(Math.max(...(lines[1]?.openMm ?? []))).toBeGreaterThan(Math.max(...(lines[3]?.openMm ?? [])));
  });

  it('leaves out clamps off the end, and answers without any', () => {
    const off = { ...(base.clamps[0] ?? { id: 'x', rackId: 't', side: 'above' as const }), xMm: -40 };
    const { leftOut, lines } = pressPlan(plan({ clamps: [off, ...base.clamps.slice(1)] }));
    expect(leftOut).toEqual([1]);
    expect(lines.every(({ minMPa }) => Number.isFinite(minMPa))).toBe(true);
    expect(pressPlan(plan({ clamps: [] })).lines.every(({ maxMPa }) => maxMPa === 0)).toBe(true);
  });

  it('presses more evenly through battens', () => {
    const lowest = (kind: 'bare' | 'battens') =>
      Math.min(...pressPlan(plan({ edge: { kind, thicknessMm: 60 } })).lines.map(({ minMPa }) => minMPa));
    expect(lowest('battens')).toBeGreaterThan(lowest('bare'));
  });
});

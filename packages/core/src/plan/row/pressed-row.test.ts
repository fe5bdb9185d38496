import { DEMO_SHOP } from '../../demo';
import {
  evenBars,
  maplePanel,
  type PanelChange,
  planRow,
  roundTop,
  TEST_SHOP,
} from '../../test-support/builds';
import { planBuild, settlePlan } from '../plan-build';
import { pressRow } from './pressed-row';

const plan = (change: PanelChange = {}) => planRow(maplePanel(change));

describe('pressRow', () => {
  it('carries the same pull as the closed form, and differs from it by no more than that is known to', () => {
    const quick = plan();
    const { lines, status } = pressRow(quick);
    expect(status).toBe('converged');
    quick.lines.forEach(({ pressure }, i) => {
      const line = lines[i];
      expect(line?.meanMPa).toBeCloseTo(pressure.meanMPa, 4);
      expect(Math.abs((line?.minMPa ?? 0) - pressure.minMPa)).toBeLessThan(0.15 * pressure.meanMPa);
    });
  });

  it('opens a line that was read hollow more than its neighbours', () => {
    const gaps = [{ line: 1, gapMm: 1.5 }];
    const { lines } = pressRow(plan({ gaps, pullPct: 2 }));
    expect(lines[1]?.closed).toBe(false);
    expect(Math.max(...(lines[1]?.openMm ?? []))).toBeGreaterThan(Math.max(...(lines[3]?.openMm ?? [])));
  });

  it('leaves out clamps off the end, and answers without any', () => {
    const { leftOut, lines } = pressRow(plan({ clamps: evenBars('long', [-40, 241, 414, 586, 759, 931]) }));
    expect(leftOut).toEqual([1]);
    expect(lines.every(({ minMPa }) => Number.isFinite(minMPa))).toBe(true);
    expect(
      pressRow(planRow(maplePanel({ clamps: [] }), { ...TEST_SHOP, rack: [] })).lines.every(
        ({ maxMPa }) => maxMPa === 0,
      ),
    ).toBe(true);
  });

  it('presses more evenly through battens', () => {
    const lowest = (kind: 'bare' | 'battens') =>
      Math.min(...pressRow(plan({ edge: { kind, thicknessMm: 60 } })).lines.map(({ minMPa }) => minMPa));
    expect(lowest('battens')).toBeGreaterThan(lowest('bare'));
  });
});

it('presses every line of a round top with the whole pull over its own chord', () => {
  const round = roundTop();
  const { row } = settlePlan(planBuild(round, DEMO_SHOP));
  const lines = row?.lines ?? [];
  // Chords of a circle 900 mm across at every 150 mm.
  [670.8, 848.5, 900, 848.5, 670.8].forEach((chordMm, i) => {
    expect(lines[i]?.line.lengthMm).toBeCloseTo(chordMm, 1);
    const forceN = (lines[i]?.pressure.meanMPa ?? NaN) * chordMm * 24;
    expect(forceN / (row?.clampSet.totalForceN ?? NaN)).toBeCloseTo(1, 2);
  });
  // The pull comes down the middle, so that the ends of the longest lines starve.
  const leasts = lines.map(({ pressure }) => pressure.minMPa);
  expect(Math.min(...leasts)).toBe(leasts[2]);
});

import { panelMarks } from '@lean-clasp/core/drawing';
import { planBuild } from '@lean-clasp/core/plan';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { rulerTicks, sheetFor } from './sheet';

const { row } = planBuild(stageFloor(DEMO_SHOP), DEMO_SHOP);
if (row === null) throw new Error('the stage floor is a row');
const marks = panelMarks(row);

describe('sheetFor', () => {
  it.each([
    [1200, 700],
    [420, 900],
    [900, 240],
  ])('fits the panel into %d × %d with one scale both ways', (width, height) => {
    const sheet = sheetFor(marks, { width, height });
    expect(sheet.x(marks.lengthMm)).toBeLessThanOrEqual(width);
    expect(sheet.y(marks.widthMm)).toBeLessThanOrEqual(Math.max(height, sheet.height));
    expect(sheet.x(700) - sheet.x(300)).toBeCloseTo(sheet.y(700) - sheet.y(300), 9);
  });

  it('leaves room for the longest note at the right edge', () => {
    const bare = sheetFor(marks, { width: 900, height: 700 });
    const noted = sheetFor(marks, { width: 900, height: 700 }, [null, 'hollow 0.20 mm']);
    expect(900 - noted.x(marks.lengthMm)).toBeGreaterThan(14 * 8);
    expect(noted.scale).toBeLessThan(bare.scale);
  });
});

describe('rulerTicks', () => {
  it('labels round figures that do not crowd', () => {
    const labels = rulerTicks(1000, 0.6, 'metric').filter(({ label }) => label !== null);
    expect(labels.map(({ label }) => label)).toEqual(['0', '200', '400', '600', '800', '1000']);
    const inches = rulerTicks(1000, 0.6, 'imperial').filter(({ label }) => label !== null);
    expect(inches[1]?.label).toBe('6″');
    expect(inches[1]?.mm).toBeCloseTo(152.4, 9);
  });

  it('keeps labels apart at any scale and system', () => {
    for (const system of ['metric', 'imperial'] as const) {
      for (const scale of [0.02, 0.1, 0.3, 1, 4]) {
        const labels = rulerTicks(2400, scale, system).filter(({ label }) => label !== null);
        labels
          .slice(1)
          .forEach(({ mm }, i) => expect((mm - (labels[i]?.mm ?? 0)) * scale).toBeGreaterThanOrEqual(84));
      }
    }
  });
});

import { benchLayout } from '../drawing';
import { type Bench } from '../formats';
import { planBuild, whichBench } from '.';
import { maplePanel, TEST_SHOP } from '../test-support/builds';
import { preflight } from '../bench';

const bench = (id: string, lengthMm: number, widthMm: number, flatMm: number | null = null): Bench => ({
  id,
  name: id,
  lengthMm,
  widthMm,
  flatMm,
});
/** A metre by 600 mm. */
const planOn = (benches: Bench[]) => planBuild(maplePanel(), { ...TEST_SHOP, benches });
const codesOn = (benches: Bench[]) =>
  preflight(planOn(benches), 0, { today: null, closesInMin: null }).flatMap(({ code }) =>
    code.startsWith('ready-bench') ? [code] : [],
  );

describe('the bench a glue-up stands on', () => {
  it('is the smallest that holds the work, whichever way round its sides were typed', () => {
    expect(whichBench(planOn([]))).toBeNull();
    expect(whichBench(planOn([bench('huge', 3000, 1500), bench('turned', 650, 1300)]))).toMatchObject({
      bench: { id: 'turned' },
      holds: true,
      top: [1300, 650],
    });
    expect(whichBench(planOn([bench('stool', 400, 400), bench('shelf', 1100, 450)]))).toMatchObject({
      bench: { id: 'shelf' },
      holds: false,
    });
  });

  it('is told before the first bead: too small, and not as flat as is wanted', () => {
    expect(codesOn([])).toEqual([]);
    expect(codesOn([bench('good', 2000, 700, 0.1)])).toEqual(['ready-bench']);
    expect(codesOn([bench('hollow', 2000, 700, 6)])).toEqual(['ready-bench', 'ready-bench-hollow']);
    expect(codesOn([bench('small', 800, 700)])).toEqual(['ready-bench-short']);
  });

  it('is drawn to scale under the work', () => {
    const drawn = benchLayout(planOn([bench('Long bench', 2400, 700)]), 0);
    const at = (name: string) => drawn.labels.find(({ text }) => text === name)?.at ?? [NaN, NaN];
    // It has 50 mm before the work and 700 at its ends: glue stands at the end, past the clamps.
    expect(at('glue')[0]).toBeGreaterThan(1000 + 320);
    const roomy = benchLayout(planOn([bench('Table', 1800, 1300)]), 0);
    expect(roomy.labels.find(({ text }) => text === 'glue')?.at[1]).toBeLessThan(0);
  });
});

import fc from 'fast-check';
import { findAdhesive, listAdhesives } from '../adhesives';
import { InputError } from '../basics/checks';
import { findSpreadMethod, listSpreadMethods, spread } from '.';

const pva = findAdhesive('pva-interior');
const card = findSpreadMethod('card');

describe('spread', () => {
  it('gives area × rate × (1 + waste), 1.6 times as much on two faces, and minutes by bead and by what is slower', () => {
    const answer = spread({
      areaMm2: 20_000,
      lengthMm: 1000,
      faces: 2,
      adhesive: pva,
      method: card,
      hands: 2,
    });
    expect(answer.massG).toBeCloseTo(0.02 * 180 * 1.05 * 1.6, 12);
    expect(answer.volumeMl).toBeCloseTo(answer.massG / 1.08, 12);
    // 20 mm of edge a metre long: along it at 2.5 m/min is slower than 0.02 m² at 0.12 m²/min.
    expect(answer.minutes).toBeCloseTo((2 * (0.1 + 1 / 5 + 1 / 2.5)) / 2, 12);
    const wide = spread({ areaMm2: 300_000, lengthMm: 1000, faces: 1, adhesive: pva, method: card });
    expect(wide.minutes).toBeCloseTo(0.1 + 1 / 5 + 0.3 / 0.12, 12);
  });

  it('takes a face without a length as a square', () => {
    const { minutes } = spread({ areaMm2: 90_000, faces: 1, adhesive: pva, method: card });
    expect(minutes).toBeCloseTo(0.1 + 0.3 / 5 + 0.09 / 0.12, 12);
  });

  it('fills what stays open: half a millimetre of hollow over 1000 × 40 mm is 13.3 mL', () => {
    const job = { areaMm2: 40_000, lengthMm: 1000, faces: 1, adhesive: pva, method: card } as const;
    const { volumeMl } = spread({ ...job, openMm: (2 / 3) * 0.5 });
    expect(volumeMl - spread(job).volumeMl).toBeCloseTo(13.333, 3);
  });

  it('times a bead by its length and asks for it', () => {
    const job = { areaMm2: 20_000, faces: 1, adhesive: pva, method: findSpreadMethod('bead') } as const;
    expect(spread({ ...job, lengthMm: 3000 }).minutes).toBeCloseTo(0.1 + 3 / 5, 12);
    expect(() => spread(job)).toThrow(InputError);
  });

  it('is on a narrow edge never faster than its own bead', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...listSpreadMethods()),
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 50, max: 4000, noNaN: true }),
        (method, widthMm, lengthMm) => {
          const { minutes } = spread({
            areaMm2: widthMm * lengthMm,
            lengthMm,
            faces: 1,
            adhesive: pva,
            method,
          });
          expect(minutes).toBeGreaterThanOrEqual(0.1 + lengthMm / 1000 / method.beadMPerMin - 1e-12);
        },
      ),
      { seed: 12 },
    );
  });

  it('can be recomputed from what it says it used, for every glue and method', () => {
    for (const adhesive of listAdhesives()) {
      for (const method of listSpreadMethods()) {
        const { massG, minutes, used } = spread({
          areaMm2: 47_000,
          lengthMm: 1900,
          faces: 2,
          openMm: 0.1,
          adhesive,
          method,
        });
        const n = (name: string) => Number(used[name] ?? Number.POSITIVE_INFINITY);
        expect(massG).toBeCloseTo(
          0.047 * n('spreadGPerM2') * (1 + n('waste')) * 1.6 + 0.1 * 47 * n('densityGPerMl'),
          9,
        );
        const worked = Math.max(1.9 / n('alongMPerMin'), 0.047 / n('areaM2PerMin'));
        const coats = Number(used['coats'] ?? 1);
        expect(coats).toBe(method.coats);
        expect(minutes).toBeCloseTo(2 * coats * (n('takeUpMin') + 1.9 / n('beadMPerMin') + worked), 9);
      }
    }
  });

  it('mixes the fewest equal cups that are used up within 60 % of their life', () => {
    const epoxy = findAdhesive('epoxy-slow');
    fc.assert(
      fc.property(fc.double({ min: 5e4, max: 2e7, noNaN: true }), (areaMm2) => {
        const { massG, minutes, batches } = spread({ areaMm2, faces: 2, adhesive: epoxy, method: card });
        const lifeOf = (cups: number) => 0.6 * 45 * Math.min(1, 100 / (massG / cups));
        const n = batches.length;
        const total = batches.reduce((sum, batch) => sum + batch.massG, 0);
        const fits = minutes / n <= lifeOf(n) + 1e-9 || n === 200;
        const fewer = n === 1 || minutes / (n - 1) > lifeOf(n - 1);
        return Math.abs(total - massG) < 1e-6 * massG && fits && fewer;
      }),
      { seed: 5 },
    );
  });

  it('mixes nothing for glue out of a bottle', () => {
    expect(spread({ areaMm2: 5e5, faces: 1, adhesive: pva, method: card }).batches).toEqual([]);
  });

  it('mixes no cup that is too small to be measured', () => {
    const epoxy = findAdhesive('epoxy-slow');
    const [cup, ...more] = spread({ areaMm2: 4000, faces: 2, adhesive: epoxy, method: card }).batches;
    expect(more).toEqual([]);
    expect(cup?.massG).toBeCloseTo(10 * epoxy.densityGPerMl, 12);
  });
});

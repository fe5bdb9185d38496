import fc from 'fast-check';
import { findAdhesive, listAdhesives } from '../adhesives';
import { InputError } from '../basics/checks';
import { findSpreadMethod, listSpreadMethods, spread } from '.';

const pva = findAdhesive('pva-interior');
const card = findSpreadMethod('card');

describe('spread', () => {
  it('gives area × rate × (1 + waste), and minutes by faces and hands', () => {
    const answer = spread({ areaMm2: 20_000, faces: 2, adhesive: pva, method: card, hands: 2 });
    expect(answer.massG).toBeCloseTo(0.02 * 180 * 1.05, 12);
    expect(answer.volumeMl).toBeCloseTo(answer.massG / 1.08, 12);
    expect(answer.minutes).toBeCloseTo(0.15 + (0.02 * 2) / (0.12 * 2), 12);
  });

  it('weighs the same whatever the number of faces', () => {
    const mass = (faces: 1 | 2) => spread({ areaMm2: 31_000, faces, adhesive: pva, method: card }).massG;
    expect(mass(1)).toBe(mass(2));
  });

  it('times a bead by its length and asks for it', () => {
    const bead = findSpreadMethod('bead');
    const job = { areaMm2: 20_000, faces: 1, adhesive: pva, method: bead } as const;
    expect(spread({ ...job, lengthMm: 3000 }).minutes).toBeCloseTo(0.1 + 3 / 1.5, 12);
    expect(() => spread(job)).toThrow(InputError);
  });

  it('can be recomputed from what it says it used, for every glue and method', () => {
    for (const adhesive of listAdhesives()) {
      for (const method of listSpreadMethods()) {
        const { massG, minutes, used } = spread({
          areaMm2: 47_000,
          lengthMm: 1900,
          faces: 2,
          adhesive,
          method,
        });
        const n = (name: string) => Number(used[name]);
        const cover = used.rateBasis === 'area' ? 0.047 : 1.9;
        expect(massG).toBeCloseTo(0.047 * n('spreadGPerM2') * (1 + n('waste')), 9);
        expect(minutes).toBeCloseTo(n('setUpMin') + (cover * n('faces')) / (n('ratePerMin') * n('hands')), 9);
      }
    }
  });

  it('mixes the fewest equal cups that are used up within 60 % of their life', () => {
    const epoxy = findAdhesive('epoxy-slow');
    fc.assert(
      fc.property(fc.double({ min: 1e3, max: 2e7, noNaN: true }), (areaMm2) => {
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
});

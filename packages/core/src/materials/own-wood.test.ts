import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { AT_TWELVE_PCT, findSpecies, listSpecies, type OwnWood, resolveSpecies } from '.';

const own = (change: Partial<OwnWood> = {}): OwnWood => ({
  id: 'own-1',
  name: 'Bog oak',
  like: 'white-oak',
  densityKgPerM3: 800,
  cR: null,
  cT: null,
  openPored: true,
  resinous: false,
  oily: false,
  ...change,
});
const resolved = (change: Partial<OwnWood> = {}) => resolveSpecies('own-1', 'species', [own(change)]);

describe('a wood of one’s own', () => {
  it('is the wood it is like where it weighs the same, under its own name', () => {
    for (const like of listSpecies()) {
      const {
        properties,
        name,
        like: of,
      } = resolved({
        like: like.id,
        densityKgPerM3: like.properties.sg * 1000 * AT_TWELVE_PCT,
      });
      expect([name, of]).toEqual(['Bog oak', like.id]);
      for (const key of Object.keys(properties) as (keyof typeof properties)[]) {
        expect(properties[key]).toBeCloseTo(like.properties[key], 9);
      }
    }
  });

  it('of twice the weight is 2^0.7 times as stiff and bears 2^2.09 times as much across, where it is like a hardwood', () => {
    const oak = findSpecies('white-oak');
    if (oak === undefined) throw new Error('no oak');
    const { properties } = resolved({ densityKgPerM3: 2 * oak.properties.sg * 1000 * AT_TWELVE_PCT });
    expect(properties.eLMPa / oak.properties.eLMPa).toBeCloseTo(2 ** 0.7, 9);
    expect(properties.gLTMPa / oak.properties.gLTMPa).toBeCloseTo(2 ** 0.7, 9);
    expect(properties.compPerpMPa / oak.properties.compPerpMPa).toBeCloseTo(2 ** 2.09, 9);
    expect(properties.nuLT).toBe(oak.properties.nuLT);
  });

  it('lies among its neighbours: as a wood of the catalogue of that weight, within how far one wood scatters', () => {
    const woods = listSpecies().filter(({ kind }) => kind === 'hardwood');
    // Every hardwood told as another one of its own weight: stiffness within 45 %, as the printed table scatters.
    for (const wood of woods) {
      const told = resolved({
        like: 'hard-maple',
        densityKgPerM3: wood.properties.sg * 1000 * AT_TWELVE_PCT,
      });
      const ratio = told.properties.eLMPa / wood.properties.eLMPa;
      expect({ wood: wood.id, near: ratio > 0.55 && ratio < 1.82 }).toEqual({ wood: wood.id, near: true });
    }
  });

  it('moves as measured where that is told, and has its own traits', () => {
    const { properties, traits } = resolved({ cT: 0.0041, oily: true, openPored: false });
    expect([properties.cT, properties.cR]).toEqual([0.0041, 0.0018]);
    expect(traits).toEqual({ openPored: false, resinous: false, oily: true });
  });

  it('is stiffer and bears more the heavier it is, whatever it is like', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...listSpecies().map(({ id }) => id)),
        fc.double({ min: 80, max: 1399, noNaN: true }),
        (like, densityKgPerM3) => {
          const lighter = resolved({ like, densityKgPerM3 }).properties;
          const heavier = resolved({ like, densityKgPerM3: densityKgPerM3 + 1 }).properties;
          return heavier.eLMPa > lighter.eLMPa && heavier.compPerpMPa > lighter.compPerpMPa;
        },
      ),
      { seed: 3 },
    );
  });

  it('is refused where it is like nothing, and never comes before the catalogue', () => {
    expect(() => resolved({ like: 'stone' })).toThrow(InputError);
    expect(() => resolveSpecies('own-2', 'answers.species', [own()])).toThrow(/own woods/);
    expect(resolveSpecies('cherry', 'species', [own({ id: 'cherry' })]).name).toBe('Cherry');
  });
});

import { findSpecies, listSpecies, modulusAcross, resolveSpecies } from '.';

const of = (id: string) => resolveSpecies(id).properties;

describe('the table of woods', () => {
  it('holds at least 24 woods and four sheet goods under distinct ids', () => {
    const ids = listSpecies().map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(listSpecies().filter(({ kind }) => kind !== 'sheet').length).toBeGreaterThanOrEqual(24);
    expect(listSpecies().filter(({ kind }) => kind === 'sheet').length).toBe(4);
  });

  it.each([
    ['hard-maple', 12.6, 0.132, 0.065, 0.111, 0.063, 0.63, 10.1, 0.00165, 0.00353],
    ['red-oak', 12.5, 0.154, 0.082, 0.089, 0.081, 0.63, 7.0, 0.00158, 0.00369],
    ['black-walnut', 11.6, 0.106, 0.056, 0.085, 0.062, 0.55, 7.0, 0.0019, 0.00274],
    ['cherry', 10.3, 0.197, 0.086, 0.147, 0.097, 0.5, 4.8, 0.00126, 0.00248],
    ['yellow-poplar', 10.9, 0.092, 0.043, 0.075, 0.069, 0.42, 3.4, 0.00158, 0.00289],
    ['white-ash', 12.0, 0.125, 0.08, 0.109, 0.077, 0.6, 8.0, 0.00169, 0.00274],
    ['douglas-fir', 13.4, 0.068, 0.05, 0.064, 0.078, 0.48, 5.5, 0.00165, 0.00267],
  ])(
    '%s stands at its tabulated values, E_L a tenth above the bending modulus',
    (id, gpa, r, t, lr, lt, sg, c, cR, cT) => {
      const wood = of(id);
      expect(wood.eLMPa).toBeCloseTo(gpa * 1100, 3);
      expect(wood.eRMPa / wood.eLMPa).toBeCloseTo(r, 4);
      expect(wood.eTMPa / wood.eLMPa).toBeCloseTo(t, 4);
      expect(wood.gLRMPa / wood.eLMPa).toBeCloseTo(lr, 4);
      expect(wood.gLTMPa / wood.eLMPa).toBeCloseTo(lt, 4);
      expect([wood.sg, wood.compPerpMPa, wood.cR, wood.cT]).toEqual([sg, c, cR, cT]);
    },
  );

  it('is orthotropically sound: ν² below E_L over E_across for every wood and cut', () => {
    for (const { properties, id } of listSpecies()) {
      for (const cut of ['flat', 'quarter', 'rift'] as const) {
        const bound = properties.eLMPa / modulusAcross(properties, cut);
        expect({ id, sound: properties.nuLT ** 2 < bound && properties.nuLR ** 2 < bound }).toEqual({
          id,
          sound: true,
        });
      }
    }
  });

  it('takes inline properties as they are, and refuses an unknown id by name', () => {
    const own = { ...of('cherry'), sg: 0.55 };
    expect(resolveSpecies(own).properties).toBe(own);
    expect(findSpecies('unobtainium')).toBeUndefined();
    expect(() => resolveSpecies('unobtainium', 'boards.2.species')).toThrow(/no species "unobtainium"/);
  });
});

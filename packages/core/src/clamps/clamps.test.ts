import fc from 'fast-check';
import { findAdhesive, listAdhesives } from '../adhesives';
import { findSpecies, type WoodProperties } from '../materials';
import {
  centreOutOrder,
  clampNeed,
  evenPositions,
  findClampKind,
  listClampKinds,
  openingFit,
  openingNeededMm,
  pressureWord,
  targetPressure,
} from '.';

const wood = (id: string) => findSpecies(id)?.properties as WoodProperties;
const pva = findAdhesive('pva-interior');

describe('targetPressure', () => {
  it('goes by density for water-borne glue, the softer wood deciding', () => {
    expect(targetPressure(pva, [wood('hard-maple').sg])).toEqual({
      lowMPa: 1.2,
      highMPa: 1.7,
      mostMPa: 2.5,
    });
    expect(targetPressure(pva, [wood('black-walnut').sg])).toEqual(
      expect.objectContaining({ lowMPa: 0.9, highMPa: 1.2 }),
    );
    expect(targetPressure(pva, [0.42])).toMatchObject({ lowMPa: 0.7, highMPa: 1 });
    expect(targetPressure(pva, [wood('hard-maple').sg, wood('eastern-white-pine').sg])).toMatchObject({
      lowMPa: 0.7,
      highMPa: 1,
    });
  });

  it('is the same for every PVA: little is enough under veneer, whatever the glue, and not on a panel', () => {
    const white = listAdhesives().filter(({ id }) => id.startsWith('pva-'));
    expect(white.map(({ id }) => id)).toContain('pva-veneer');
    for (const glue of white) expect(targetPressure(glue, [0.7])).toEqual(targetPressure(pva, [0.7]));
  });

  it('is contact only for epoxy', () => {
    expect(targetPressure(findAdhesive('epoxy-slow'), [0.7])).toEqual({
      lowMPa: 0.03,
      highMPa: 0.1,
      mostMPa: 0.35,
    });
  });
});

describe('pressureWord', () => {
  const target = { lowMPa: 1.2, highMPa: 1.7, mostMPa: 2.5 };
  it.each([
    [0.59, 'under-pressed'],
    [0.6, 'light'],
    [1.19, 'light'],
    [1.2, 'right'],
    [1.7, 'right'],
    [1.71, 'more-than-needed'],
    [2.5, 'more-than-needed'],
    [2.51, 'starves'],
    [10.2, 'crushes'],
  ])('calls %d MPa %s', (mpa, word) => expect(pressureWord(mpa, target, 10.1)).toBe(word));
});

describe('clampNeed', () => {
  it('asks 24 to 34 kN of a metre of 20 mm maple, and so many clamps', () => {
    const need = clampNeed({
      woods: [wood('hard-maple')],
      adhesive: pva,
      lengthMm: 1000,
      heightMm: 20,
      clampForceN: 5000,
    });
    expect(need.forceLowN).toBeCloseTo(24_000, 6);
    expect(need.forceHighN).toBeCloseTo(34_000, 6);
    expect(need.clampsMin).toBe(5);
    expect(need.clampsRecommended).toBe(6);
    expect(need.maxSpacingMm).toBeCloseTo(5000 / (1.2 * 20), 9);
    expect(need.padAreaMm2).toBeCloseTo(5000 / 10.1, 9);
  });

  it('never recommends fewer than the least, and the least always reaches the low end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 5000, noNaN: true }),
        fc.double({ min: 5, max: 100, noNaN: true }),
        fc.double({ min: 100, max: 9000, noNaN: true }),
        (lengthMm, heightMm, clampForceN) => {
          const need = clampNeed({ woods: [wood('cherry')], adhesive: pva, lengthMm, heightMm, clampForceN });
          return (
            need.clampsRecommended >= need.clampsMin &&
            need.clampsMin * clampForceN >= need.forceLowN * (1 - 1e-6) &&
            (need.clampsMin - 1) * clampForceN < need.forceLowN
          );
        },
      ),
      { seed: 6 },
    );
  });
});

describe('opening', () => {
  it('adds packing at both ends and 15 mm, refuses a short clamp and calls a huge one clumsy', () => {
    expect(openingNeededMm(600, 20)).toBe(655);
    expect(openingFit(654.9, 655)).toBe('too-short');
    expect(openingFit(655, 655)).toBe('fits');
    expect(openingFit(2000, 655)).toBe('clumsy');
  });
});

describe('placement', () => {
  it('spreads clamps evenly with an end overhang of 0.4 of the spacing', () => {
    const places = evenPositions(6, 1000);
    const gaps = places.slice(1).map((x, i) => x - (places[i] ?? 0));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
    expect((places[0] ?? 0) / (gaps[0] ?? 1)).toBeCloseTo(0.4, 1);
    expect(1000 - (places.at(-1) ?? 0)).toBe(places[0]);
    expect(evenPositions(1, 731)).toEqual([366]);
    expect(evenPositions(0, 731)).toEqual([]);
  });

  it('tightens from the centre outward', () => {
    expect(centreOutOrder([70, 241, 414, 586, 759, 930], 1000)).toEqual([2, 3, 1, 4, 0, 5]);
  });
});

describe('clamp kinds', () => {
  it('cover every id that scripts may name', () => {
    const ids =
      't-bar pipe parallel-jaw f-heavy f-light trigger c-clamp hand-screw edge band screw-band cam-mitre pointed-spring spring tape elastic-wrap vacuum weight';
    expect(listClampKinds().map(({ id }) => id)).toEqual(ids.split(' '));
    expect(() => findClampKind('string')).toThrow(/no clamp kind "string"/);
  });
});

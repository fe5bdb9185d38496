import { caulPlaces, clashesOf } from './clashes';
import { tighteningOrder } from './placement';
import { canLightSqueeze, LIGHT_SQUEEZE, targetPressure } from './target';
import { findAdhesive } from '../adhesives';

const clamp = (number: number, xMm: number, handle: 'first' | 'last' = 'last') => ({
  number,
  xMm,
  handle,
  padMm: 40,
  handleMm: 110,
});

describe('clashes', () => {
  it('finds jaws in one place, and handles that cannot be turned past each other', () => {
    expect(clashesOf([clamp(1, 100), clamp(2, 130)])).toEqual([
      { kind: 'jaws', clamp: 1, other: 2, apartMm: 30, neededMm: 40 },
    ]);
    expect(clashesOf([clamp(2, 180), clamp(1, 100)])[0]).toMatchObject({ kind: 'handles', neededMm: 110 });
  });

  it('lets neighbours stand with handles at different edges, and any that are far enough apart', () => {
    expect(clashesOf([clamp(1, 100), clamp(2, 180, 'first')])).toEqual([]);
    expect(clashesOf([clamp(1, 100), clamp(2, 210)])).toEqual([]);
    expect(clashesOf([])).toEqual([]);
  });
});

describe('places of cauls', () => {
  it('lie evenly, each beside the bar that is in its way', () => {
    expect(caulPlaces(1000, 2, 40, [])).toEqual([250, 750]);
    const [first, second] = caulPlaces(1000, 2, 40, [250, 760]);
    // Half a bar and half a caul away.
    expect([Math.abs((first ?? 0) - 250), Math.abs((second ?? 0) - 760)]).toEqual([26, 26]);
  });

  it('are fewer than asked where bars stand shoulder to shoulder', () => {
    const bars = Array.from({ length: 41 }, (_, i) => i * 25);
    expect(caulPlaces(1000, 3, 40, bars)).toEqual([]);
  });

  it('never overlap', () => {
    const places = caulPlaces(300, 6, 40, [150]);
    places.slice(1).forEach((x, i) => expect(x - (places[i] ?? 0)).toBeGreaterThanOrEqual(40));
  });
});

describe('order of tightening', () => {
  const at = [90, 300, 510, 720, 930];

  it('is from the centre outward, and from the ends where the widest gap is proud', () => {
    expect(tighteningOrder(at, 1020, [])).toEqual([2, 1, 3, 0, 4]);
    expect(tighteningOrder(at, 1020, [0.1, 0.3])).toEqual([2, 1, 3, 0, 4]);
    expect(tighteningOrder(at, 1020, [0.1, -0.4])[0]).toBe(4);
    expect(tighteningOrder(at, 1020, [0.1, -0.4], 'centre')[0]).toBe(2);
    expect(tighteningOrder([500, 90, 300], 1020, [0.4], 'end')).toEqual([1, 2, 0]);
  });
});

describe('the light squeeze', () => {
  it('wants less, only of glue that fills gaps, and never more than the family does', () => {
    const foaming = findAdhesive('polyurethane-foaming');
    expect(canLightSqueeze(foaming)).toBe(true);
    expect(canLightSqueeze(findAdhesive('pva-interior'))).toBe(false);
    expect(targetPressure(foaming, [0.6], 'light').lowMPa).toBe(LIGHT_SQUEEZE.lowMPa);
    const epoxy = findAdhesive('epoxy-slow');
    expect(targetPressure(epoxy, [0.6], 'light')).toEqual(targetPressure(epoxy, [0.6]));
  });
});

import fc from 'fast-check';
import { formatClock, formatScaled, formatWait, parseScaled, type ScaledQuantity } from '.';

describe('parseScaled', () => {
  it.each([
    ['64 °F', 'temperature', 'imperial', 17.7778],
    ['-40f', 'temperature', 'metric', -40],
    ['18', 'temperature', 'metric', 18],
    ['175 psi', 'pressure', 'metric', 1.206582],
    ['12 bar', 'pressure', 'metric', 1.2],
    ['1200 kPa', 'pressure', 'imperial', 1.2],
    ['8 fl oz', 'volume', 'metric', 236.588],
    ['1100 lbf', 'force', 'metric', 4893.04],
    ['5', 'force', 'metric', 5000],
    ['1,4 oz', 'mass', 'metric', 39.6893],
  ] as const)('reads %s', (text, quantity, system, core) => {
    const parsed = parseScaled(text, quantity, system);
    expect(parsed.ok).toBe(true);
    if (parsed.ok) expect(parsed.value).toBeCloseTo(core, 2);
  });

  it.each([
    ['warm', 'temperature'],
    ['12 psi', 'force'],
    ['', 'mass'],
    ['5 5', 'volume'],
  ] as const)('refuses %j as %s and shows examples', (text, quantity) => {
    const parsed = parseScaled(text, quantity, 'metric');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.examples.length).toBeGreaterThan(0);
  });

  it('reads back what it prints to the digits printed', () => {
    const digits: Record<ScaledQuantity, number> = {
      temperature: 0.51,
      pressure: 0.006,
      volume: 2,
      force: 60,
      area: 60,
      weight: 0.06,
      mass: 2,
    };
    fc.assert(
      fc.property(
        fc.constantFrom<ScaledQuantity>(
          'temperature',
          'pressure',
          'volume',
          'force',
          'area',
          'weight',
          'mass',
        ),
        fc.constantFrom('metric' as const, 'imperial' as const),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (quantity, system, size) => {
          const value = quantity === 'force' || quantity === 'area' ? size * 200 : size;
          const back = parseScaled(formatScaled(value, quantity, system), quantity, system);
          return back.ok && Math.abs(back.value - value) <= digits[quantity];
        },
      ),
      { seed: 4621 },
    );
  });
});

describe('durations', () => {
  it('prints a countdown with its sign', () => {
    expect(formatClock(3.1666667)).toBe('3:10');
    expect(formatClock(-0.136)).toBe('−0:08');
    expect(formatClock(-0.001)).toBe('0:00');
    expect(formatClock(59.99)).toBe('59:59');
    expect(formatClock(60)).toBe('1 h 00');
    expect(formatClock(72.4)).toBe('1 h 12');
    expect(formatClock(-61)).toBe('−1 h 01');
    expect(formatClock(2880)).toBe('48 h');
  });

  it('prints waits as coarsely as they are known', () => {
    expect(formatWait(44.6)).toBe('45 min');
    expect(formatWait(59.7)).toBe('1 h');
    expect(formatWait(64)).toBe('1 h 5 min');
    expect(formatWait(256)).toBe('4 h 15 min');
    expect(formatWait(1536)).toBe('26 h');
  });
});

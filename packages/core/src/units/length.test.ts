import fc from 'fast-check';
import { formatInches, formatLength, MM_PER_INCH, parseLength } from '.';

const inch = (value: number) => value * MM_PER_INCH;

describe('parseLength', () => {
  it.each([
    ['19 5/8', inch(19.625)],
    ['19-5/8"', inch(19.625)],
    ['19.625in', inch(19.625)],
    [`1' 3-5/16"`, inch(15.3125)],
    [`1'3 5/16`, inch(15.3125)],
    [`2'`, inch(24)],
    ['5/8', inch(0.625)],
    ['3½"', inch(3.5)],
    ['3½″', inch(3.5)],
    ['7 ft', inch(84)],
    ['-1/64"', inch(-1 / 64)],
    ['12', inch(12)],
    ['498 mm', 498],
    ['49,8 cm', 498],
    ['0.498 m', 498],
  ])('reads %s for somebody who thinks in inches', (text, mm) => {
    const parsed = parseLength(text, 'imperial');
    expect(parsed.ok).toBe(true);
    if (parsed.ok) expect(parsed.value).toBeCloseTo(mm, 9);
  });

  it('takes a bare number as millimetres for somebody who thinks in them, a bare fraction as inches', () => {
    expect(parseLength('498', 'metric')).toEqual({ ok: true, value: 498 });
    expect(parseLength('7/16', 'metric')).toEqual({ ok: true, value: (7 / 16) * 25.4 });
  });

  it.each(['', 'wide', '12 apples', '1/0', '--3', '3..4', '1 2 3'])(
    'refuses %j and shows forms that it reads',
    (text) => {
      const parsed = parseLength(text, 'metric');
      expect(parsed.ok).toBe(false);
      if (!parsed.ok) expect(parsed.examples).toContain('19 5/8');
    },
  );

  it('reads back whatever it prints, to the nearest 1/64 inch or tenth of a millimetre', () => {
    fc.assert(
      fc.property(fc.double({ min: -3000, max: 3000, noNaN: true }), (mm) => {
        const inches = parseLength(formatLength(mm, 'imperial'), 'imperial');
        const metric = parseLength(formatLength(mm, 'metric'), 'metric');
        return (
          inches.ok &&
          Math.abs(inches.value - mm) <= MM_PER_INCH / 128 + 1e-9 &&
          metric.ok &&
          Math.abs(metric.value - mm) <= 0.05 + 1e-9
        );
      }),
      { seed: 4620 },
    );
  });
});

describe('formatInches', () => {
  it.each([
    [0, '0"'],
    [25.4, '1"'],
    [15.875, '5/8"'],
    [498.475, '19 5/8"'],
    [-498.475, '−19 5/8"'],
    [25.3, '1"'],
    [0.1, '0"'],
    [0.25, '1/64"'],
  ])('prints %d mm as %s', (mm, text) => expect(formatInches(mm)).toBe(text));
});

describe('formatLength', () => {
  it('prints sizes plainly and feeler readings finely', () => {
    expect(formatLength(600, 'metric')).toBe('600 mm');
    expect(formatLength(19.96, 'metric')).toBe('20 mm');
    expect(formatLength(0.3, 'metric', true)).toBe('0.30 mm');
    expect(formatLength(0.3, 'imperial', true)).toBe('0.012"');
    expect(formatLength(-2, 'metric')).toBe('−2 mm');
  });
});

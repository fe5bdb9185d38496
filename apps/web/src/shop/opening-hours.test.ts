import fc from 'fast-check';
import { printHours, readHours, WEEK } from './opening-hours';

const hoursOf = (text: string) => {
  const read = readHours(1, text);
  return read.ok ? read.hours.map(({ fromMin, toMin }) => [fromMin, toMin]) : read.problem;
};

describe('readHours', () => {
  it('reads hours as people write them', () => {
    expect(hoursOf('8-17')).toEqual([[480, 1020]]);
    expect(hoursOf('13:30 – 17:00, 8.15 to 12')).toEqual([
      [495, 720],
      [810, 1020],
    ]);
    expect(hoursOf('18–24')).toEqual([[1080, 1440]]);
  });

  it.each(['', '  ', 'closed', 'Closed'])('takes %j for closed', (text) => {
    expect(hoursOf(text)).toEqual([]);
  });

  it('says what is wrong and how to type it', () => {
    expect(hoursOf('mornings')).toMatch(/"mornings" is no opening\. Type hours like/);
    expect(hoursOf('17–8')).toMatch(/"17–8" has to end after it begins/);
    expect(hoursOf('8:70–9')).toMatch(/has to end after it begins/);
    expect(hoursOf('8–9, 10–11, 12–13, 14–15')).toMatch(/At most 3/);
  });

  it('reads back what it prints', () => {
    const minute = fc.integer({ min: 0, max: 1440 });
    fc.assert(
      fc.property(fc.constantFrom(...WEEK), minute, minute, ({ day }, a, b) => {
        fc.pre(a !== b);
        const hours = [{ day, fromMin: Math.min(a, b), toMin: Math.max(a, b) }];
        expect(readHours(day, printHours(day, hours))).toEqual({ ok: true, hours });
      }),
    );
  });
});

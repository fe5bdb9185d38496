import { CALCULATIONS } from '@lean-clasp/core/calculations';
import { formatFor } from '@lean-clasp/words';
import { isRows, valueWords } from './answer-words';
import { labelOf, SUM_GROUPS, SUM_TITLES } from './labels';

const f = formatFor('metric');

describe('sums', () => {
  it('have a title, a heading and a name for every field that goes in or comes out', () => {
    for (const { name, input, output } of CALCULATIONS) {
      expect({ name, titled: SUM_TITLES[name] !== undefined }).toEqual({ name, titled: true });
      expect(SUM_GROUPS.filter(({ sums }) => sums.includes(name))).toHaveLength(1);
      const fields = [
        ...Object.keys(input.properties as object),
        ...Object.keys(output.properties as object),
      ];
      for (const field of fields.filter((each) => each !== 'used' && each !== 'findings')) {
        expect({ name, field, label: labelOf(field) }).not.toEqual({ name, field, label: field });
      }
    }
  });

  it('print every answer to their examples in words', () => {
    for (const { name, example, compute } of CALCULATIONS) {
      const answer = compute(example as never) as Record<string, unknown>;
      for (const [field, value] of Object.entries(answer)) {
        if (field === 'used' || field === 'findings') continue;
        const cells = isRows(value) ? value.flatMap(Object.entries) : [[field, value] as const];
        const words = cells.map(([name, cell]) => valueWords(name, cell, f)).join();
        expect({ name, field, sound: words !== '' && !/undefined|NaN|\[object/.test(words) }).toEqual({
          name,
          field,
          sound: true,
        });
      }
    }
  });

  it('print lists, ranges and missing answers', () => {
    expect(valueWords('cutsDeg', [45, 22.5], f)).toBe('45° · 22.5°');
    expect(valueWords('openMin', { low: 4, likely: 6, high: 8 }, f)).toBe('4 min to 8 min, likely 6 min');
    expect(valueWords('windMm', null, f)).toBe('the readings cannot tell');
    expect(valueWords('verdict', 'length-error', f)).toContain('wrong length');
  });
});

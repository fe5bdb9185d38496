import { type ListStyle, printList, readList } from './list';

const PLAIN: ListStyle = { shape: { kind: 'numbers' }, quantity: 'plain', system: 'metric' };
const ROWS: ListStyle = { ...PLAIN, shape: { kind: 'rows', keys: ['xMm', 'yMm', 'zMm'] } };
const INCHES: ListStyle = { ...PLAIN, quantity: 'length', system: 'imperial' };

describe('readList', () => {
  it('reads numbers with commas, semicolons or blanks between them, and rows line by line', () => {
    expect(readList('90, 45;45  −3', PLAIN)).toEqual([90, 45, 45, -3]);
    expect(readList('0, 0, 0.2\n100 0 0.3\n', ROWS)).toEqual([
      { xMm: 0, yMm: 0, zMm: 0.2 },
      { xMm: 100, yMm: 0, zMm: 0.3 },
    ]);
  });

  it.each(['90, x', '1.2.3', '90, 4e'])('refuses %s', (text) => expect(readList(text, PLAIN)).toBeNull());

  it('refuses rows of the wrong length', () => {
    expect(readList('1, 2\n3, 4, 5', ROWS)).toBeNull();
  });

  it('takes bare numbers in the person’s unit, fractions, and other units where they are named', () => {
    const [first, second, third, ...rest] = readList('20, 5 3/8, 100 mm', INCHES) as number[];
    expect(first).toBeCloseTo(508, 9);
    expect(second).toBeCloseTo(5.375 * 25.4, 9);
    expect(third).toBe(100);
    expect(rest).toEqual([]);
    expect(readList('5 3/8', INCHES)).toEqual([5.375 * 25.4]);
  });

  it('reads back what it prints to within a thousandth of an inch', () => {
    const sides = [524.2, 900, 646.2, -0.15];
    (readList(printList(sides, INCHES), INCHES) as number[]).forEach((mm, i) =>
      expect(mm).toBeCloseTo(sides[i] ?? 0, 2),
    );
    expect(printList([254, 12.7], INCHES)).toBe('10, 0.5');
    expect(printList(undefined, PLAIN)).toBe('');
  });
});

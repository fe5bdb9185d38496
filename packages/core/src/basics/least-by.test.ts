import { leastBy } from './least-by';

const self = (value: number) => value;

it.each([
  [[3, 1, 2], 1],
  [[2, 2 - 1e-9, 5], 2],
  [[2, 1.99, 5], 1.99],
  [[0, -1e-9], -1e-9],
  [[0, 0], 0],
  [[7], 7],
])('of %j takes %d: the least, the first of equals', (values, expected) => {
  expect(leastBy(values, self)).toBe(expected);
});

it('of nothing takes nothing', () => {
  expect(() => leastBy([], self)).toThrow(RangeError);
});

import { formatCount } from './count';

it.each([0, 7, 999, 1000, 6600, 12_345.6, 1_000_000, -4321])(
  'prints %d as the language’s tables do',
  (count) => {
    expect(formatCount(count)).toBe(Math.round(count).toLocaleString('en-GB'));
  },
);

import type { ShopDocument } from '../formats';
import { panelPressure } from '../mechanics';
import { planBuild } from '../plan';
import { newBuild } from '../templates';
import { ofCode } from '../findings';
import { PRACTICE_SHOP } from '../test-support/practice';
import { findFixes } from './find-fixes';

type Rack = ShopDocument['rack'];
/** So many bars that open far enough for anything here, and nothing else. */
const bars = (count: number): Rack =>
  PRACTICE_SHOP.rack
    .filter(({ kind }) => kind === 't-bar')
    .slice(0, 1)
    .map((lot) => ({ ...lot, count, maxOpeningMm: 1500 }));

function borrowed(template: string, answers: Record<string, number | string>, rack: Rack) {
  const shop = { ...PRACTICE_SHOP, rack };
  let made = 0;
  const build = newBuild(
    { template, name: 'Borrowing', project: '', service: 'dry', answers },
    shop,
    () => `b${(made += 1)}`,
  );
  const plan = planBuild({ ...build, crew: 2 }, shop);
  const fixes = findFixes(plan, shop, panelPressure).tight;
  const found = ofCode(
    fixes.map(({ change }) => change),
    'borrow-clamps',
  );
  return {
    count: found?.values.count ?? 0,
    after: fixes.find(({ change }) => change === found)?.after.state,
  };
}

// Shallow shelves want one clamp each.
const SHELVES = { shelves: 4, heightMm: 1600, widthMm: 800, depthMm: 120, backStrips: 0 };

it.each([
  ['none on the rack', 0, 6],
  ['two on the rack', 2, 4],
  ['one too few', 5, 1],
])('a case of six levels with %s is told to borrow one for each level', (_, there, wanted) => {
  expect(borrowed('case', SHELVES, bars(there))).toEqual({ count: wanted, after: 'holds' });
});

it('borrows nothing where every line has its clamps', () => {
  expect(borrowed('case', SHELVES, bars(6)).count).toBe(0);
});

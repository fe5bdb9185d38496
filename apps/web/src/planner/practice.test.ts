import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { practice } from './practice';

const BUILD = stageFloor(DEMO_SHOP);
/** Longer than it takes as a whole. */
const LONG_MS = 10_000;

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function practised(fails = false) {
  const turns: BuildDocument[] = [];
  const asked = practice((build) => {
    turns.push(build);
    if (fails) throw new Error('no such wood');
  });
  return { asked, turns };
}

it('begins once nobody has asked for a while, and ends', async () => {
  const { asked, turns } = practised();
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(400);
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(400);
  expect(turns).toHaveLength(0);
  await jest.advanceTimersByTimeAsync(LONG_MS);
  const enough = turns.length;
  expect(enough).toBeGreaterThan(5);
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(LONG_MS);
  expect(turns).toHaveLength(enough);
});

it('makes way for a question, and goes on after it', async () => {
  const { asked, turns } = practised();
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(560);
  const before = turns.length;
  expect(before).toBeGreaterThan(0);
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(400);
  expect(turns).toHaveLength(before);
  await jest.advanceTimersByTimeAsync(LONG_MS);
  expect(turns.length).toBeGreaterThan(before);
});

it('takes another size each time, by no more than a hair, and nothing else', async () => {
  const { asked, turns } = practised();
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(LONG_MS);
  const widths = turns.map(({ boards }) => boards?.[0]?.widthMm ?? 0);
  const width = BUILD.boards?.[0]?.widthMm ?? 0;
  expect(new Set([width, ...widths]).size).toBe(turns.length + 1);
  for (const each of widths) expect(Math.abs(each - width)).toBeLessThan(1e-3);
  for (const { name, crew, boards } of turns) {
    expect([name, crew, boards?.[0]?.mcPct]).toEqual([BUILD.name, BUILD.crew, BUILD.boards?.[0]?.mcPct]);
  }
});

it('is not put off by what cannot be planned', async () => {
  const { asked, turns } = practised(true);
  asked(BUILD, DEMO_SHOP);
  await jest.advanceTimersByTimeAsync(LONG_MS);
  expect(turns.length).toBeGreaterThan(5);
});

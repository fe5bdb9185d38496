import { type BuildDocument, type RowSection, USUAL_ROW } from '../formats';
import { planBuild } from '../plan';
import { maplePanel, type PanelChange, TEST_SHOP } from '../test-support/builds';
import { deepFreeze } from '../test-support/deep-freeze';
import { ASPECTS, stateRank } from '../verdicts';
import { findFixes } from '.';

const fixesOf = (build: BuildDocument) => findFixes(deepFreeze(planBuild(build, TEST_SHOP)), TEST_SHOP);
const base = maplePanel();
const { clamps, holding }: RowSection = base.row ?? USUAL_ROW;
const boards = base.boards ?? [];
const TROUBLED: readonly (readonly [string, PanelChange])[] = [
  ['too slow', { crew: 1, climate: { tempC: 28, rhPct: 30 } }],
  ['two clamps only', { clamps: clamps.slice(2, 4) }],
  ['too short clamps', { clamps: clamps.map((clamp) => ({ ...clamp, rackId: 'short' })) }],
  ['nothing holds it', { holding: { ...holding, barsTouch: false, caulPairs: 0 } }],
  ['far too cold', { climate: { tempC: 4, rhPct: 70 } }],
  [
    'racked',
    { dryFit: { ...base.dryFit, acMm: 1169, bdMm: 1164 }, holding: { ...holding, endStops: false } },
  ],
  ['lightly squeezed with glue that fills nothing', { school: 'light' }],
  ['jaw in jaw', { clamps: clamps.map((clamp, i) => (i === 1 ? { ...clamp, xMm: 80 } : clamp)) }],
  [
    'handle in handle',
    {
      clamps: clamps.map((clamp, i) => (i === 1 ? { ...clamp, xMm: (clamps[0]?.xMm ?? 0) + 60 } : clamp)),
    },
  ],
  ['open by a plane’s work', { gaps: [{ line: 1, gapMm: 4 }] }],
  ['too wet', { boards: boards.map((board) => ({ ...board, mcPct: 17 })) }],
  ['held by more cauls than there are', { holding: { ...holding, caulPairs: 14 } }],
  ['off the end', { clamps: clamps.map((clamp, i) => (i === 0 ? { ...clamp, xMm: 5 } : clamp)) }],
  ['pulled off its middle third', { pullOffsetMm: 4 }],
  ['bowed', { dryFit: { ...base.dryFit, bowMm: 5 }, holding: { ...holding, caulPairs: 0 } }],
  ['rings one way', { boards: boards.map((board) => ({ ...board, heart: 'up' as const })) }],
];

describe.each(TROUBLED)('fixes for a panel that is %s', (_name, change) => {
  const build = maplePanel(change);
  const before = planBuild(build, TEST_SHOP);
  const fixes = fixesOf(build);

  it('are at most three to a verdict, and there is one for a verdict that fails', () => {
    for (const aspect of ASPECTS) {
      expect(fixes[aspect].length).toBeLessThanOrEqual(3);
      if (before.verdicts[aspect].state === 'fails') expect(fixes[aspect].length).toBeGreaterThan(0);
    }
  });

  it('state an effect that really comes when they are applied', () => {
    for (const fix of ASPECTS.flatMap((aspect) => fixes[aspect])) {
      const after = planBuild(fix.build, TEST_SHOP);
      expect(fix.after).toEqual(after.verdicts[fix.aspect]);
      expect(fix.before).toEqual(before.verdicts[fix.aspect]);
    }
  });

  it('make their verdict better and no other worse, unless they mend a failure, and then break none', () => {
    for (const fix of ASPECTS.flatMap((aspect) => fixes[aspect])) {
      const better =
        stateRank(fix.after.state) > stateRank(fix.before.state) || fix.after.barShare > fix.before.barShare;
      expect(better).toBe(true);
      const mends = fix.before.state === 'fails' && fix.after.state !== 'fails';
      const worse = ASPECTS.filter(
        (aspect) => stateRank(fix.states[aspect]) < stateRank(before.verdicts[aspect].state),
      );
      expect(fix.costs).toEqual(worse);
      if (!mends) expect(worse).toEqual([]);
      expect(worse.filter((aspect) => fix.states[aspect] === 'fails')).toEqual([]);
    }
  });

  it('come out the same twice', () => {
    expect(fixesOf(build)).toEqual(fixes);
  });
});

describe('fixes', () => {
  const codes = (change: PanelChange, aspect: (typeof ASPECTS)[number]) =>
    fixesOf(maplePanel(change))[aspect].map((fix) => fix.change.code);

  it('propose hands, sessions or another glue for a panel that is too slow', () => {
    expect(codes(TROUBLED[0]?.[1] ?? {}, 'inTime')).toEqual(
      expect.arrayContaining(['one-more-pair', 'arrange-sessions', 'use-glue']),
    );
  });

  it('propose clamps that are long enough instead of short ones', () => {
    expect(codes(TROUBLED[2]?.[1] ?? {}, 'tight')).toContain('use-clamps');
  });

  it('propose bars or cauls for a panel that would pop', () => {
    expect(codes({ ...TROUBLED[3]?.[1], crew: 2 }, 'flat')).toEqual(
      expect.arrayContaining(['bars-both-faces', 'add-cauls']),
    );
  });

  it('propose a warmer hour for a shop that is too cold', () => {
    expect(codes(TROUBLED[4]?.[1] ?? {}, 'inTime')).toContain('other-hour');
  });

  it('are not offered where there is room to spare', () => {
    const easy = maplePanel({
      crew: 4,
      glue: { ...base.glue, adhesive: 'pva-exterior' },
      goals: { flatMm: 5, squareMm: 5 },
    });
    expect(fixesOf(easy).square).toEqual([]);
    expect(fixesOf(easy).flat).toEqual([]);
  });
});

import { gatherList } from '../../bench';
import { slidingBlock } from '../../assembly';
import { type Finding, ofCode } from '../../findings';
import type { BuildDocument, PlacedClamp, RackLot } from '../../formats';
import { buildOf } from '../../test-support/builds';
import { PRACTICE_SHOP } from '../../test-support/practice';
import { planBuild, pullTightening, settlePlan, withRow } from '..';
import { blockClampsOf } from './block-clamps';

const plannedWith = (template: string, answers: BuildDocument['answers'], rack?: RackLot[]) =>
  planBuild(
    buildOf({ template, name: 'B', project: '', service: 'dry', answers }),
    rack === undefined ? PRACTICE_SHOP : { ...PRACTICE_SHOP, rack },
  );
const lot = (id: string, kind: string, count: number, padMm: number): RackLot => ({
  id,
  kind,
  count,
  maxOpeningMm: 600,
  forceN: null,
  padWidthMm: padMm,
  padHeightMm: 38,
});
const codes = (findings: readonly Finding[]) => findings.map(({ code }) => code);
const ODD = { angleDeg: 130, firstMm: 400, secondMm: 400, widthMm: 60, thicknessMm: 20 };
const LIVE = {
  outline: 'live-edge',
  species: 'white-ash',
  boards: 4,
  widthMm: 600,
  lengthMm: 800,
  thicknessMm: 24,
};

describe('blocks of an odd angle', () => {
  it('are held by a clamp each, which pulls what friction under the jaw leaves', () => {
    const plan = plannedWith('odd-angle', ODD);
    const [pull] = plan.pulls;
    const half = (65 * Math.PI) / 180;
    // By forces along the member: pull · sin, less friction of what presses, over friction under the foot.
    const along = (pull?.reachN ?? 0) * Math.sin(half);
    const grips = 0.75 * (pull?.reachN ?? 0) * Math.cos(half);
    expect(blockClampsOf(plan)).toMatchObject({ count: 2, openingMm: 120, fouls: null });
    expect(blockClampsOf(plan)?.forceN).toBeCloseTo((along - grips) / 0.75, 6);
    expect(codes(gatherList(plan))).toContain('gather-block-clamps');
    const settled = settlePlan(plan);
    if (settled.squeeze === null) throw new Error('not settled');
    expect(codes(pullTightening(settled, settled.squeeze))[0]).toBe('blocks-held');
  });

  it('stay by themselves where the pull is nearly square to the member', () => {
    const plan = plannedWith('odd-angle', { ...ODD, angleDeg: 60 });
    expect(blockClampsOf(plan)).toBeNull();
    expect(plan.verdicts.tight.state).toBe('holds');
  });

  it('are told as sliding where the rack has nothing left to hold them', () => {
    const plan = plannedWith('odd-angle', ODD, [lot('f', 'f-heavy', 2, 38)]);
    expect(plan.verdicts.tight).toMatchObject({ state: 'close', cause: { code: 'blocks-not-held' } });
  });

  it('want room for both pads beside each other', () => {
    const close = { ...ODD, angleDeg: 90, firstMm: 128, secondMm: 128 };
    const wide = plannedWith('odd-angle', close, [lot('f', 'f-heavy', 8, 55)]);
    expect(wide.verdicts.tight.cause).toMatchObject({
      code: 'block-clamp-fouls',
      values: { neededMm: 55 },
    });
    const short = plannedWith('odd-angle', { ...ODD, firstMm: 150, secondMm: 150 });
    expect(codes(short.findings)).toContain('no-room-for-feet');
  });
});

describe('blocks of a curved edge', () => {
  const reachOf = (fixing: string) =>
    ofCode(plannedWith('round-panel', { ...LIVE, outline: 'oval', fixing }).findings, 'block-reach')?.values
      .blockMm ?? 0;

  it('reach less far round, the less holds them', () => {
    const reaches = ['abrasive', 'screwed-under', 'scribed-clamped', 'hooked-over'].map(reachOf);
    expect(reaches).toEqual([...reaches].sort((a, b) => b - a));
    expect(new Set(reaches).size).toBe(4);
  });

  it('take two light clamps each where clamps hold them, from what the rack has left', () => {
    const bars = { ...lot('bars', 'parallel-jaw', 8, 40), maxOpeningMm: 900 };
    const rack = [bars, lot('light', 'trigger', 12, 40)];
    const held = plannedWith('round-panel', { ...LIVE, fixing: 'scribed-clamped' }, rack);
    expect(blockClampsOf(held)).toMatchObject({ count: 12, lot: { id: 'light' } });
    const few = plannedWith('round-panel', { ...LIVE, fixing: 'scribed-clamped' }, [bars]);
    expect(few.verdicts.tight).toMatchObject({ state: 'close', cause: { code: 'blocks-not-held' } });
  });

  it('carry their jaws wholly, no two in one place', () => {
    const plan = plannedWith('round-panel', LIVE);
    expect(plan.row?.clampSet.clashes).toEqual([]);
    expect(plan.verdicts.tight.state).toBe('holds');
  });

  it('slide from under a jaw that stands where the edge falls away more than they are held', () => {
    const build = buildOf({
      template: 'round-panel',
      name: 'B',
      project: '',
      service: 'dry',
      answers: { ...LIVE, outline: 'oval', fixing: 'screwed-under' },
    });
    const strong = { ...lot('screw', 't-bar', 4, 40), maxOpeningMm: 1500, forceN: 8000 };
    const shop = { ...PRACTICE_SHOP, rack: [strong] };
    const row = planBuild(build, shop).row;
    const edge = row?.panel.stands[0]?.[0] ?? 0;
    const clamp = (id: string, xMm: number): PlacedClamp => ({ id, rackId: 'screw', xMm, side: 'above' });
    const placed = withRow(build, { clamps: [clamp('a', edge + 21), clamp('b', 400)], pullPct: 100 });
    const plan = planBuild(placed, shop);
    const sliding = plan.row === null ? null : slidingBlock(plan.row.panel, plan.row.clampSet.clamps);
    const [first] = plan.row?.clampSet.clamps ?? [];
    // The ellipse itself, by calculus: what its edge falls away at the middle of the jaw.
    const x = edge + 21 - 400;
    const slope = (300 / 400) * (Math.abs(x) / Math.sqrt(400 ** 2 - x ** 2));
    const fall = Math.atan(slope);
    expect(sliding?.slideN).toBeCloseTo((first?.forceN ?? 0) * (Math.sin(fall) - 0.35 * Math.cos(fall)), -2);
    expect(plan.verdicts.tight.cause).toMatchObject({
      code: 'block-slides',
      values: { clamp: 1, holdsN: 1000 },
    });
  });
});

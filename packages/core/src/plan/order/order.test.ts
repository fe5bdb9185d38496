import { buildOf } from '../../test-support/builds';
import { readWallTime } from '../../calendar';
import { DEMO_SHOP, wagonBuilds } from '../../demo';
import { findFixes } from '../../fixes';
import type { BuildDocument } from '../../formats';
import { deepFreeze } from '../../test-support/deep-freeze';
import { arrangements } from './arrange-order';
import type { Arranged } from './arranged';
import { datesOf } from '../dates/shop-calendar';
import { likelihoodOf } from './likelihood';
import type { Plan } from '../plan';
import { planBuild } from '../plan-build';

// Thousands of arrangements are gone through; a slow machine takes its time.
jest.setTimeout(180_000);

const demo = (id: string): BuildDocument => {
  const found = wagonBuilds().find((each) => each.id === id);
  if (found === undefined) throw new Error(`no ${id} in the demo`);
  return found.build;
};

function arranged(build: BuildDocument): { best: Arranged; plan: Plan } {
  let best: Arranged | null = null;
  for (const next of arrangements(planBuild(deepFreeze(build), DEMO_SHOP))) best = next;
  if (best === null) throw new Error('nothing arranged');
  const order = { sessions: best.sessions.map((ids) => [...ids]), pinned: [] };
  return { best, plan: planBuild({ ...build, order }, DEMO_SHOP) };
}

/** Closings in their order, each with the ids of its joints. */
const closings = (plan: Plan) => (plan.order?.sessions ?? []).flatMap((session) => session.closings);

const slatted = buildOf({
  template: 'slatted-frame',
  name: 'S',
  project: '',
  service: 'dry',
  answers: { slats: 13, betweenLegsMm: 980 },
});

describe('arrangements of builds', () => {
  it.each(['scenery-flats', 'lamp-posts', 'lantern', 'costume-trunk', 'dressing-mirror', 'prop-shelf'])(
    'give %s at least as much room as one go does',
    (id) => {
      const build = demo(id);
      const { best, plan } = arranged(build);
      expect(best.impossible).toEqual([]);
      expect(best.sessions.flat().sort()).toEqual(plan.joints.map(({ facts }) => facts.joint.id).sort());
      expect(plan.verdicts.inTime.barShare).toBeGreaterThanOrEqual(
        planBuild(build, DEMO_SHOP).verdicts.inTime.barShare,
      );
    },
  );

  it.each(['lamp-posts', 'lantern'])('close the ring of %s with two mitres at once, last of all', (id) => {
    const list = closings(arranged(demo(id)).plan);
    expect(list.slice(0, -1).every(({ joints }) => joints.length === 1)).toBe(true);
    expect(list.at(-1)?.joints).toHaveLength(2);
  });

  it('brings the sides of the trunk on after all that they hold', () => {
    const { plan } = arranged(demo('costume-trunk'));
    const ofSides = closings(plan).filter(({ joints }) => joints.some((joint) => joint.includes('side')));
    // What a side holds enters it all in one move; once both are on, nothing can enter between them any more.
    const parts = new Map(plan.joints.map(({ facts }) => [facts.joint.id, facts.joint]));
    const shelves = plan.joints.filter(({ facts }) => /shelf|divider/.test(facts.joint.id));
    expect(ofSides.length).toBeGreaterThan(1);
    for (const { facts } of shelves) {
      const at = closings(plan).findIndex(({ joints }) => joints.includes(facts.joint.id));
      const last = closings(plan).findLastIndex(({ joints }) =>
        joints.some((joint) => /side/.test(`${parts.get(joint)?.a} ${parts.get(joint)?.b}`)),
      );
      expect(at).toBeLessThanOrEqual(last);
    }
  });

  it('caps a slatted frame of 13 slats with a leg once the slats are in; spacers are tapped home afterwards', () => {
    const { best, plan } = arranged(slatted);
    expect(best.impossible).toEqual([]);
    const order = closings(plan);
    const whenOf = (joint: string) => order.findIndex(({ joints }) => joints.includes(joint));
    const cap = order.findLastIndex(({ joints }) => joints.some((joint) => joint.includes('leg')));
    const slats = plan.joints.filter(({ facts }) => facts.joint.id.includes('slat-'));
    expect(slats.length).toBe(26);
    // A slat slides in along the grooves of both rails at once, which the second leg closes.
    for (const { facts } of slats) expect(whenOf(facts.joint.id)).toBeLessThan(cap);
    expect(order[cap]?.joints).toHaveLength(2);
    const spacers = plan.joints.filter(({ facts }) => facts.joint.id.includes('spacer-'));
    expect(spacers.some(({ facts }) => whenOf(facts.joint.id) > cap)).toBe(true);
  });

  it('cuts a stack that outlasts its glue into sessions, and says what limits a build that cannot be made', () => {
    const feet = { ...demo('trestle-feet'), climate: { tempC: 26, rhPct: 30 }, crew: 2 };
    expect(planBuild(feet, DEMO_SHOP).verdicts.inTime.state).toBe('fails');
    const { best, plan } = arranged(feet);
    expect(best.sessions.length).toBeGreaterThan(1);
    expect(plan.verdicts.inTime.figure).toBeGreaterThan(0);
    const slowly = { ...demo('backdrop'), crew: 1, glue: { ...demo('backdrop').glue, method: 'roller' } };
    const [tape] = arrangements(planBuild(slowly, DEMO_SHOP));
    expect(tape?.status).toBe('infeasible');
    expect(tape?.impossible[0]?.code).toBe('window-too-short');
    expect(tape?.impossible[0]?.joints[0]).toContain('core');
  });

  it('keeps pinned joints where they are', () => {
    const build = demo('scenery-flats');
    const ids = planBuild(build, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
    const [first = '', ...rest] = ids;
    const pinned = { ...build, order: { sessions: [[first], rest], pinned: [first, rest[0] ?? ''] } };
    const { best } = arranged(pinned);
    expect(best.sessions[0]).toContain(first);
    expect(best.sessions[1]).toContain(rest[0]);
  });

  it('is among the fixes where it helps', () => {
    const fixes = findFixes(planBuild({ ...demo('drumhead'), crew: 1 }, DEMO_SHOP), DEMO_SHOP);
    expect(fixes.inTime.map(({ change }) => change.code)).toContain('arrange-sessions');
  });
});

describe('sessions that a person gives', () => {
  const ring = demo('lantern');
  const ids = planBuild(ring, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
  const withSessions = (sessions: string[][]) =>
    planBuild({ ...ring, order: { sessions, pinned: [] } }, DEMO_SHOP);

  it('are laid out as given, with what nobody named in the last', () => {
    const plan = withSessions([ids.slice(0, 2), ids.slice(2, 4)]);
    expect(plan.order?.sessions.map(({ joints }) => joints.length)).toEqual([2, 4]);
    expect(plan.handsOnMin).toBeCloseTo(
      (plan.order?.sessions ?? []).reduce((sum, { workMin }) => sum + workMin, 0),
      9,
    );
    expect(plan.order?.times.every(({ pressedAtMin, closedAtMin }) => pressedAtMin >= closedAtMin)).toBe(
      true,
    );
  });

  it('are refused where a joint would be closed before it is spread', () => {
    const plan = withSessions([ids.slice(0, 5), ids.slice(5)]);
    expect(plan.order?.impossible).toMatchObject({ session: 1, code: 'closed-already' });
    expect(plan.verdicts.inTime).toMatchObject({ state: 'fails', cause: { code: 'order-closed-already' } });
  });

  it('pass over joints that are no longer there', () => {
    expect(withSessions([['gone'], ids]).order?.sessions).toHaveLength(1);
  });
});

describe('likelihood', () => {
  const { plan } = arranged(demo('scenery-flats'));
  const slower = (paceFactor: number) =>
    likelihoodOf(planBuild(plan.build, { ...DEMO_SHOP, paceFactor }))?.share ?? NaN;

  it('is a share inside its interval, the same for the same seed, and lower for slower hands', () => {
    const likely = likelihoodOf(plan, 7);
    expect(likely).toEqual(likelihoodOf(plan, 7));
    expect(likely?.share).toBeGreaterThanOrEqual(likely?.low ?? 1);
    expect(likely?.share).toBeLessThanOrEqual(likely?.high ?? 0);
    const [brisk, slow, crawl] = [slower(1), slower(2), slower(3.2)];
    expect(brisk).toBeGreaterThan(slow ?? 1);
    expect(slow).toBeGreaterThan(crawl ?? 1);
    expect(crawl).toBeLessThan(0.2);
  });

  it('is a coin toss where the plan uses exactly the likely window, and tells which joint fails', () => {
    // One joint, its total window scaled so that the planned minutes end just with it: P ≈ ½ either way.
    const one = planBuild({ ...demo('awning-pole'), order: { sessions: [[]], pinned: [] } }, DEMO_SHOP);
    const [joint] = one.joints;
    const time = one.times[0];
    if (joint === undefined || time === undefined) throw new Error('no joint');
    const total = time.pressedAtMin - time.spreadStartMin;
    const wide = { low: 1e3, likely: 1e3, high: 1e3 };
    const window = {
      ...joint.window,
      openMin: wide,
      closedMin: wide,
      totalMin: { low: total, likely: total, high: total },
    };
    const likely = likelihoodOf({ ...one, joints: [{ ...joint, window }] });
    expect(likely?.share).toBeGreaterThan(0.42);
    expect(likely?.share).toBeLessThan(0.58);
    expect(likely?.weakest?.label).toBe(joint.facts.label);
    expect((likely?.weakest?.share ?? 0) + (likely?.share ?? 0)).toBeCloseTo(1, 9);
  });

  it('is told without an order of the person’s own as well, and is lower at a slower pace', () => {
    const build = { ...demo('scenery-flats'), crew: 1 };
    const shareAt = (paceFactor: number) =>
      likelihoodOf(planBuild(build, { ...DEMO_SHOP, paceFactor }))?.share ?? NaN;
    expect(shareAt(2)).toBeLessThan(shareAt(1));
    expect(likelihoodOf({ ...planBuild(build, DEMO_SHOP), joints: [] })).toBeNull();
  });
});

describe('dates of a build', () => {
  const build = demo('lantern');
  const ids = planBuild(build, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
  const plan = planBuild(
    { ...build, order: { sessions: [ids.slice(0, 2), ids.slice(2)], pinned: [] } },
    DEMO_SHOP,
  );

  it('let the second session wait for the clamps of the first, within shop hours', () => {
    const { status, sessions } = datesOf(plan, readWallTime('2027-03-01T16:00', 'from'));
    const [first, second] = sessions;
    expect(status).toBe('proven');
    expect(second?.start).toBeGreaterThanOrEqual(first?.clampsOff ?? Infinity);
    // Clamps of the first come off after five; the second starts when the shop opens again.
    expect(second?.start).toBe(readWallTime('2027-03-02T08:00', 'open'));
    expect(first?.latestThatDay).toBeGreaterThan(first?.start ?? Infinity);
  });

  it('go by the week that the shop gives', () => {
    const shop = {
      ...DEMO_SHOP,
      benches: [],
      week: { hours: [{ day: 3, fromMin: 600, toMin: 900 }], benches: 1 },
    };
    const { sessions } = datesOf({ ...plan, shop }, readWallTime('2027-03-01T16:00', 'from'));
    expect(sessions[0]?.start).toBe(readWallTime('2027-03-03T10:00', 'Wednesday'));
  });
});

describe('ways of going about it', () => {
  const trunk = demo('costume-trunk');
  const ids = planBuild(trunk, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
  const strips = ids.filter((id) => id.includes('strip'));
  const rest = ids.filter((id) => !id.includes('strip'));
  const inTwo = (dryJig: boolean) =>
    planBuild({ ...trunk, order: { sessions: [rest, strips], pinned: [], dryJig } }, DEMO_SHOP);

  it('puts the rest of a case together dry around its first session, and asks its minutes for that', () => {
    const [first, last] = inTwo(true).order?.sessions ?? [];
    expect(first?.dryJig?.joints).toBe(strips.length);
    expect(last?.dryJig).toBeNull();
    const [bare] = inTwo(false).order?.sessions ?? [];
    expect(bare?.dryJig).toBeNull();
    expect(first?.workMin).toBeCloseTo((bare?.workMin ?? 0) + (first?.dryJig?.minutes ?? 0), 9);
    expect(first?.dryJig?.minutes).toBeGreaterThan(0);
  });

  it('offers no dry jig where the kind has none to give', () => {
    const frame = demo('scenery-flats');
    const [one, ...others] = planBuild(frame, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
    const order = { sessions: [[one ?? ''], others], pinned: [], dryJig: true };
    const plan = planBuild({ ...frame, order }, DEMO_SHOP);
    expect(plan.order?.sessions.every(({ dryJig }) => dryJig === null)).toBe(true);
  });

  it('is slower with clamps that have to be opened first', () => {
    const later = planBuild({ ...trunk, preSet: false }, DEMO_SHOP);
    expect(later.handsOnMin).toBeGreaterThan(planBuild(trunk, DEMO_SHOP).handsOnMin);
  });

  it('wants a second pair of hands for parts that one cannot hold, and takes longer alone', () => {
    const long = buildOf({
      template: 'case',
      name: 'Long case',
      project: '',
      service: 'dry',
      answers: { widthMm: 2200 },
    });
    const hands = (crew: number) => planBuild({ ...long, crew }, DEMO_SHOP).joints;
    const strip = (crew: number) => hands(crew).find(({ facts }) => facts.joint.id.includes('strip'));
    expect(strip(2)?.closeHands).toBe(2);
    expect(strip(1)?.closeHands).toBe(1);
    expect(strip(1)?.closeMin).toBeGreaterThan(strip(2)?.closeMin ?? Infinity);
    // The trunk is small enough for one.
    expect(
      planBuild({ ...trunk, crew: 2 }, DEMO_SHOP).joints.every(({ closeHands }) => closeHands === 1),
    ).toBe(true);
  });

  it('glues the hatch mouldings corner by corner before the melt stiffens, in an order of its own and without one', () => {
    const mouldings = demo('hatch-mouldings');
    expect(planBuild(mouldings, DEMO_SHOP).verdicts.inTime.state).not.toBe('fails');
    const whole = { ...mouldings };
    delete whole.order;
    const plan = planBuild(whole, DEMO_SHOP);
    expect(plan.verdicts.inTime.state).not.toBe('fails');
    const operations = plan.order?.sessions[0]?.operations ?? [];
    const firstClosed = operations.find(({ kind }) => kind === 'close')?.endMin ?? NaN;
    expect(
      operations.filter(({ kind, startMin }) => kind === 'spread' && startMin < firstClosed),
    ).toHaveLength(1);
  });
});

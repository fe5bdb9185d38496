import { DEMO_SHOP, stageFloor, wagonBuilds } from '../demo';
import type { BuildDocument, ShopDocument } from '../formats';
import { KINDS } from '../kinds';
import { STARTER_SHOP } from '../templates';
import { PRACTICE_SHOP } from '../test-support/practice';
import { buildOf } from '../test-support/builds';
import { type PlanAnswer, planAnswer } from './plan-answer';
import { planBuild, settlePlan } from './plan-build';

const floor = stageFloor(DEMO_SHOP);
const lines = planBuild(floor, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);

/** Every kind at its start in three shops, everything of the demo, and a row in stages. */
const CASES: readonly (readonly [name: string, build: BuildDocument, shop: ShopDocument])[] = [
  ...KINDS.flatMap(({ id: template }) =>
    (
      [
        ['starter', STARTER_SHOP],
        ['practice', PRACTICE_SHOP],
        ['demo', DEMO_SHOP],
      ] as const
    ).map(
      ([shopName, shop]) =>
        [
          `${template} in the ${shopName} shop`,
          { ...buildOf({ template, name: 'T', project: '', service: 'dry', answers: {} }), crew: 2 },
          shop,
        ] as const,
    ),
  ),
  ...wagonBuilds().map(({ id, build }) => [`the demo’s ${id}`, build, DEMO_SHOP] as const),
  [
    'the stage floor board by board',
    { ...floor, order: { sessions: lines.map((id) => [id]), pinned: [] } },
    DEMO_SHOP,
  ],
];

/** Paths to numbers that are none. */
function unnumbered(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, each]) => unnumbered(each, `${path}/${key}`));
}
/** What is there twice. */
const twice = (ids: readonly string[]): string[] => ids.filter((id, i) => ids.indexOf(id) !== i);
/** What points nowhere. */
const stray = (ids: readonly string[], known: readonly string[]): string[] =>
  ids.filter((id) => !known.includes(id));

describe.each(CASES)('a plan as data: %s', (_, build, shop) => {
  let answer: PlanAnswer;
  beforeAll(() => {
    answer = planAnswer(settlePlan(planBuild(build, shop)));
  });
  const joints = () => answer.joints.map(({ id }) => id);
  const pieces = () => answer.pieces.map(({ id }) => id);

  it('is finite everywhere and survives being written down', () => {
    const written = JSON.parse(JSON.stringify(answer)) as PlanAnswer;
    // A gap that no force closes is told by words, not by a figure.
    const open = unnumbered(answer).filter((path) => !path.includes('/values/'));
    expect(open).toEqual([]);
    expect(Object.keys(written)).toEqual(Object.keys(answer));
  });

  it('knows everything by an id of its own, and points at nothing else', () => {
    expect(twice(joints())).toEqual([]);
    expect(twice(pieces())).toEqual([]);
    expect(twice(answer.clamps.map(({ id }) => id))).toEqual([]);
    expect(twice(answer.sessions.map(({ id }) => id))).toEqual([]);
    expect(twice(answer.checks.map(({ id }) => id))).toEqual([]);
    expect(
      stray(
        answer.joints.flatMap(({ a, b }) => [a, b]),
        pieces(),
      ),
    ).toEqual([]);
    expect(
      stray(
        answer.clamps.flatMap((clamp) => clamp.joints),
        joints(),
      ),
    ).toEqual([]);
    expect(
      stray(
        answer.checks.flatMap((check) => check.joints),
        joints(),
      ),
    ).toEqual([]);
  });

  it('glues every joint in one session, and no session before what it needs', () => {
    const glued = answer.sessions.flatMap((session) => session.joints);
    expect(twice(glued)).toEqual([]);
    if (answer.sessions.length > 0) expect([...glued].sort()).toEqual([...joints()].sort());
    answer.sessions.forEach(({ after }, i) => {
      const before = answer.sessions.slice(0, i).map(({ id }) => id);
      expect(
        stray(
          after.map(({ session }) => session),
          before,
        ),
      ).toEqual([]);
    });
  });

  it('has operations in time, by hands that are there, with clamps that are there', () => {
    for (const { operations, joints: own } of answer.sessions) {
      expect(twice(operations.map(({ id }) => id))).toEqual([]);
      for (const operation of operations) {
        const { startMin, endMin, hands, after } = operation;
        expect(endMin).toBeGreaterThanOrEqual(startMin);
        expect(stray(operation.joints, own)).toEqual([]);
        expect(hands.every((hand) => hand >= 0 && hand < answer.crew)).toBe(true);
        const ends = operations.filter(({ id }) => after.includes(id)).map((each) => each.endMin);
        expect(ends).toHaveLength(after.length);
        expect(Math.max(0, ...ends)).toBeLessThanOrEqual(startMin + 1e-9);
      }
    }
  });

  it('has a fuse for every joint that is glued: lit, closed and put out by operations of its session', () => {
    for (const { operations, fuses, joints: own } of answer.sessions) {
      const ids = operations.map(({ id }) => id);
      const when = (id: string) => operations.find((operation) => operation.id === id);
      const wet = answer.joints.filter(
        ({ id, state, window }) => own.includes(id) && state !== 'dry' && window.openMin !== null,
      );
      expect([...fuses.map(({ joint }) => joint)].sort()).toEqual(wet.map(({ id }) => id).sort());
      for (const { lit, closed, out } of fuses) {
        expect(stray([lit, closed, out], ids)).toEqual([]);
        expect(when(lit)?.startMin).toBeLessThanOrEqual(when(closed)?.startMin ?? NaN);
        expect(when(closed)?.startMin).toBeLessThanOrEqual(when(out)?.endMin ?? NaN);
      }
    }
  });

  it('pulls no clamp harder than it can, and counts on no more of a lot than hang there', () => {
    for (const { plannedN, mostN } of answer.clamps) {
      expect(plannedN).toBeGreaterThanOrEqual(0);
      expect(plannedN).toBeLessThanOrEqual(mostN * (1 + 1e-9));
    }
    for (const { lots } of answer.sessions) {
      for (const { lotId, count } of lots) {
        const lot = shop.rack.find(({ id }) => id === lotId);
        // What comes off a roll is on no rack.
        if (lot !== undefined) expect(count).toBeLessThanOrEqual(lot.count);
      }
    }
  });

  it('presses each joint between its least and its most, and calls it by that', () => {
    for (const { pressure, target, seatN, need, state } of answer.joints) {
      if (pressure !== null) {
        expect(pressure.minMPa).toBeLessThanOrEqual(pressure.meanMPa + 1e-9);
        expect(pressure.meanMPa).toBeLessThanOrEqual(pressure.maxMPa + 1e-9);
      }
      if (target !== null) {
        expect(target.lowMPa).toBeLessThan(target.highMPa);
        expect(target.highMPa).toBeLessThanOrEqual(target.mostMPa);
      }
      expect(seatN !== null).toBe(need === 'seat');
      if (state === 'right' && pressure !== null && target !== null) {
        expect(pressure.minMPa).toBeGreaterThanOrEqual(target.lowMPa * (1 - 1e-9));
        expect(pressure.meanMPa).toBeLessThanOrEqual(target.highMPa * (1 + 1e-9));
      }
    }
  });

  it('gives a verdict its figure in the unit it names, and never a green one over a refusal', () => {
    for (const { state, unit, against, cause } of Object.values(answer.verdicts)) {
      expect(['min', 'MPa', 'N', 'mm']).toContain(unit);
      expect(Number.isFinite(against)).toBe(true);
      if (state === 'holds') expect(cause.severity).not.toBe('refuses');
      if (state === 'fails') expect(cause.severity).toBe('refuses');
    }
  });
});

import fc from 'fast-check';
import type { RunEvent } from '../formats';
import { planBuild } from '../plan';
import { maplePanel, TEST_SHOP } from '../test-support/builds';
import {
  answersTo,
  asPlanned,
  bestOrder,
  benchScript,
  type BenchScript,
  bestWay,
  MISHAPS,
  type Moment,
  positionOf,
  waysOn,
} from '.';

const START = 1_780_000_000_000;
const MINUTE = 60_000;

type Operation = BenchScript['operations'][number];

const operation = (id: string, more: Partial<Operation>): Operation => ({
  id,
  kind: id.split(':')[0] ?? '',
  instruction: { code: 'do-bag', severity: 'informs', values: {} },
  joints: [],
  clamps: [],
  hands: [0],
  startMin: 0,
  endMin: 1,
  after: [],
  wait: null,
  asks: null,
  ...more,
});

/** Joints spread, closed and pulled in turn by one pair of hands; minutes and windows as given. */
function inTurn(
  joints: readonly { readonly min: readonly number[]; readonly windows: readonly number[] }[],
): BenchScript {
  let clock = 0;
  const kinds = ['spread', 'close', 'tighten'];
  // All are spread, then closed, then pulled: bad enough that another order can be better.
  const operations = kinds.flatMap((kind, k) =>
    joints.map(({ min }, i) => {
      const startMin = clock;
      clock += min[k] ?? 1;
      return operation(`${kind}:${i}`, { joints: [`j${i}`], startMin, endMin: clock });
    }),
  );
  return {
    operations: operations.map((each, i) => ({ ...each, after: operations.slice(0, i).map(({ id }) => id) })),
    fuses: joints.map(({ windows: [openMin = 1, closedMin = 1, totalMin = 1] }, i) => ({
      joint: `j${i}`,
      label: `joint ${i}`,
      lit: `spread:${i}`,
      closed: `close:${i}`,
      holds: [`spread:${i}`, `close:${i}`, `tighten:${i}`],
      openMin,
      closedMin,
      totalMin,
    })),
    plannedMin: clock,
  };
}

const someJoints = fc.array(
  fc.record({
    min: fc.tuple(...['s', 'c', 't'].map(() => fc.integer({ min: 2, max: 30 }).map((n) => n / 10))),
    windows: fc.tuple(...['o', 'c', 't'].map(() => fc.integer({ min: 10, max: 120 }).map((n) => n / 10))),
  }),
  { minLength: 2, maxLength: 3 },
);

/** So many steps of a script done, each a little late. */
function events(script: BenchScript, steps: number, lateMin: number): RunEvent[] {
  return script.operations.slice(0, steps).map(({ id, endMin }, seq) => ({
    id: `d-${seq}`,
    device: 'd',
    seq,
    hand: 0,
    kind: 'done',
    operation: id,
    atMs: Math.round(START + (endMin + lateMin) * MINUTE),
  }));
}

function momentOf(script: BenchScript, steps: number, lateMin: number, people = 1): Moment {
  const noted = events(script, steps, lateMin);
  const nowMs = noted.at(-1)?.atMs ?? START;
  return { script, position: positionOf(script, START, noted), nowMs, people };
}

/** Every order that keeps spreading before closing before pulling of a joint, and closings in their sequence; by one pair of hands. */
function* orders(
  left: readonly Operation[],
  placed: readonly Operation[] = [],
): Generator<readonly Operation[]> {
  if (left.length === 0) {
    yield placed;
    return;
  }
  for (const next of left) {
    const others = left.filter((each) => each !== next);
    const waits = others.some(
      (other) =>
        left.indexOf(other) < left.indexOf(next) &&
        (other.joints[0] === next.joints[0] || (other.kind === 'close' && next.kind === 'close')),
    );
    if (!waits) yield* orders(others, [...placed, next]);
  }
}

/** Least spare of an order worked by one pair of hands, reckoned on a clock that starts with the run. */
function spareBy({ script, position, nowMs }: Moment, order: readonly Operation[]): number {
  const began = new Map<string, number>();
  const ended = new Map<string, number>();
  for (const [id, atMs] of position.done) ended.set(id, (atMs - START) / MINUTE);
  for (const [id, atMs] of position.begunAtMs) {
    if (position.done.has(id)) began.set(id, (atMs - START) / MINUTE);
  }
  let clock = (nowMs - START) / MINUTE;
  for (const { id, startMin, endMin } of order) {
    // What is already on, was begun before.
    const begun = position.begunAtMs.get(id);
    began.set(id, begun === undefined ? clock : (begun - START) / MINUTE);
    clock += endMin - startMin;
    ended.set(id, clock);
  }
  return Math.min(
    ...script.fuses
      .filter(({ holds }) => holds.some((id) => !position.done.has(id)))
      .map(({ lit, closed, holds, openMin, closedMin, totalMin }) => {
        const [litMin = 0, closedAt = 0] = [began.get(lit), ended.get(closed)];
        const out = Math.max(...holds.map((id) => ended.get(id) ?? 0));
        const open = position.done.has(closed) ? Infinity : openMin - (closedAt - litMin);
        return Math.min(open, closedMin - (out - closedAt), totalMin - (out - litMin));
      }),
  );
}

describe('the rest, thought through', () => {
  it('is as good as the best of all orders, from any state of small sessions', () => {
    fc.assert(
      fc.property(someJoints, fc.nat({ max: 6 }), fc.integer({ min: 0, max: 40 }), (joints, steps, late) => {
        const script = inTurn(joints);
        const moment = momentOf(script, Math.min(steps, script.operations.length - 1), late / 10);
        const left = script.operations.filter(({ id }) => !moment.position.done.has(id));
        const best = Math.max(...[...orders(left)].map((order) => spareBy(moment, order)));
        expect(bestOrder(moment).spareMin).toBeCloseTo(best, 6);
        expect(asPlanned(moment).spareMin).toBeCloseTo(spareBy(moment, left), 6);
      }),
      { seed: 17, numRuns: 200 },
    );
  });

  it('never proposes a way that breaks a window where going on would keep them all', () => {
    fc.assert(
      fc.property(someJoints, fc.nat({ max: 6 }), fc.integer({ min: 0, max: 40 }), (joints, steps, late) => {
        const moment = momentOf(inTurn(joints), steps, late / 10);
        const way = bestWay(waysOn(moment));
        if ((asPlanned(moment).spareMin ?? 0) >= 0) expect(way?.what.code).toBe('way-go-on');
        else if ((bestOrder(moment).spareMin ?? 0) >= 0) expect(way?.keeps).toBe(true);
      }),
      { seed: 18, numRuns: 200 },
    );
  });

  it('comes out as a way promised once the way is taken', () => {
    fc.assert(
      fc.property(someJoints, fc.nat({ max: 6 }), fc.integer({ min: 0, max: 40 }), (joints, steps, late) => {
        const script = inTurn(joints);
        const moment = momentOf(script, steps, late / 10);
        const before = events(script, steps, late / 10);
        for (const { events: taken, outlook } of waysOn(moment)) {
          const told = taken.map((event, i): RunEvent => ({
            id: `e-${i}`,
            device: 'e',
            seq: i,
            hand: 0,
            atMs: moment.nowMs,
            ...event,
          }));
          const people = 1 + told.filter(({ kind }) => kind === 'helper-in').length;
          const position = positionOf(script, START, [...before, ...told]);
          const now = asPlanned({ ...moment, position, people });
          if (outlook.spareMin === null) expect(now.spareMin).toBeNull();
          else expect(now.spareMin).toBeCloseTo(outlook.spareMin, 6);
        }
      }),
      { seed: 20, numRuns: 200 },
    );
  });

  it('is not made worse by one more pair of hands', () => {
    fc.assert(
      fc.property(someJoints, fc.nat({ max: 5 }), (joints, steps) => {
        const script = inTurn(joints);
        const alone = bestOrder(momentOf(script, steps, 0.5));
        const helped = bestOrder(momentOf(script, steps, 0.5, 2));
        expect(helped.leftMin).toBeLessThanOrEqual(alone.leftMin + 1e-9);
      }),
      { seed: 19, numRuns: 100 },
    );
  });

  it('says go on first, and only that as long as it keeps every window', () => {
    const script = benchScript(planBuild(maplePanel({ crew: 2 }), TEST_SHOP));
    const onTime = waysOn(momentOf(script, 0, 0, 2));
    expect(onTime).toMatchObject([{ what: { code: 'way-go-on' }, keeps: true }]);
    const late = waysOn(momentOf(script, 5, 6, 2));
    expect(late[0]).toMatchObject({ what: { code: 'way-go-on' }, keeps: false });
  });
});

describe('what to do when it is late', () => {
  // Spread alone takes four minutes of a window of five: both at once cannot be had.
  const tight = inTurn([
    { min: [2, 0.5, 0.5], windows: [4, 4, 6] },
    { min: [2, 0.5, 0.5], windows: [4, 4, 6] },
    { min: [2, 0.5, 0.5], windows: [4, 4, 6] },
  ]);

  it('closes the first joint before the next is spread', () => {
    const way = bestWay(waysOn(momentOf(tight, 1, 0)));
    expect(way?.what).toMatchObject({ code: 'way-this-first', values: { joint: 'joint 0' } });
    expect(way?.keeps).toBe(true);
    expect(way?.outlook.order[0]?.operation).toBe('close:0');
  });

  it('leaves what is not begun for later where nothing else keeps the windows', () => {
    const each = inTurn([0, 1, 2].map(() => ({ min: [2, 0.5, 0.5], windows: [4, 6, 7] })));
    // One clamp presses all three, and can come on only once all are closed.
    const all = ['j0', 'j1', 'j2'];
    const pulled = each.operations.filter(({ kind }) => kind !== 'tighten');
    const script: BenchScript = {
      ...each,
      operations: [...pulled, operation('tighten:all', { joints: all, startMin: 7.5, endMin: 8 })],
      fuses: each.fuses.map((fuse) => ({ ...fuse, holds: [fuse.lit, fuse.closed, 'tighten:all'] })),
    };
    const moment = { script, position: positionOf(script, START, []), nowMs: START, people: 4 };
    const alone = waysOn({ ...moment, people: 1 });
    expect(bestWay(alone)?.what.code).toBe('way-helper');
    // Whoever could help is there already: with all hands it is closed in time.
    expect(bestWay(waysOn(moment))?.keeps).toBe(true);
    const left = alone.find(({ what }) => what.code === 'way-leave');
    expect(left?.keeps).toBe(true);
    expect(left?.events.map(({ kind }) => kind)).toEqual(['left-out', 'order']);
    expect(left?.events[0]).toEqual({ kind: 'left-out', joint: 'j2' });
  });

  it('a fresh bead lights the fuse anew, and what was done to the joint is done again', () => {
    const noted = events(tight, 4, 0);
    const at = (noted.at(-1)?.atMs ?? START) + MINUTE;
    const fresh: RunEvent = {
      id: 'd-9',
      device: 'd',
      seq: 9,
      hand: 0,
      kind: 'fresh-bead',
      joint: 'j0',
      atMs: at,
    };
    const position = positionOf(tight, START, [...noted, fresh]);
    expect(position.done.has('spread:0')).toBe(false);
    expect(position.done.has('close:0')).toBe(false);
    expect(position.done.has('spread:1')).toBe(true);
    expect(position.begunAtMs.get('spread:0')).toBe(at);
  });

  it('a joint left out is asked for no more, and burns no more', () => {
    const noted = events(tight, 2, 0);
    const gone: RunEvent = {
      id: 'd-9',
      device: 'd',
      seq: 9,
      hand: 0,
      kind: 'left-out',
      joint: 'j2',
      atMs: START,
    };
    const position = positionOf(tight, START, [...noted, gone]);
    expect(position.count).toBe(6);
    expect([position.showing, ...position.upcoming].some((each) => each?.joints.includes('j2'))).toBe(false);
  });
});

describe('answers to what went wrong', () => {
  const script = benchScript(planBuild(maplePanel({ crew: 2 }), TEST_SHOP));

  it.each(MISHAPS)('%s: at least one, what keeps the windows first, each with its outlook', (mishap) => {
    for (const steps of [1, 6, 12]) {
      const answers = answersTo(mishap, momentOf(script, steps, 1, 2));
      expect(answers.length).toBeGreaterThan(0);
      const keeping = answers.map(({ keeps }) => keeps);
      expect(keeping).toEqual([...keeping].sort((a, b) => Number(b) - Number(a)));
      for (const { outlook, takesMin } of answers) {
        expect(outlook.leftMin).toBeGreaterThan(0);
        expect(takesMin).toBeGreaterThanOrEqual(0);
      }
    }
  });

  it('takes the minutes of the answer off what is left', () => {
    const moment = momentOf(script, 2, 0, 2);
    const answer = answersTo('clamp-stuck', moment).find((each) => each.answer === 'work-it-loose');
    expect(answer?.takesMin).toBe(1.5);
    expect(answer?.outlook).toEqual(asPlanned({ ...moment, delayMin: 1.5 }));
    expect(answer?.outlook.leftMin).toBeGreaterThan(asPlanned(moment).leftMin);
    expect(answer?.outlook.leftMin).toBeLessThanOrEqual(asPlanned(moment).leftMin + 1.5 + 1e-9);
  });

  it('reckons without the helper who goes', () => {
    const answers = answersTo('helper-away', momentOf(script, 2, 0, 2));
    const alone = answers.find(({ answer }) => answer === 'alone-for-now');
    expect(alone?.events).toEqual([{ kind: 'helper-out' }]);
    expect(alone?.outlook.leftMin).toBeGreaterThan(asPlanned(momentOf(script, 2, 0, 2)).leftMin);
  });
});

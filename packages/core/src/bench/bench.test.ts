import { ofCode } from '../findings';
import type { RunEvent } from '../formats';
import { DEMO_SHOP, wagonBuilds } from '../demo';
import { maplePanel, TEST_SHOP } from '../test-support/builds';
import { planBuild, settlePlan } from '../plan';
import {
  benchScript,
  comesLater,
  gatherList,
  positionOf,
  promiseOf,
  readFuse,
  readinessOf,
  shortestFuse,
} from '.';

const MINUTE = 60_000;
const START = 1_750_000_000_000;
const plan = planBuild(maplePanel(), TEST_SHOP);
const script = benchScript(plan);
const session = script.operations.filter((operation) => !comesLater(operation));
/** What a person presses at some minute. */
interface Press {
  readonly way: 1 | -1;
  readonly minutes: number;
}
const next = (minutes: number): Press => ({ way: 1, minutes });
const back = (minutes: number): Press => ({ way: -1, minutes });
/** Presses as the page notes them: what is on show is done, or the last that was is taken back. */
function events(presses: readonly Press[]): RunEvent[] {
  const noted: RunEvent[] = [];
  presses.forEach(({ way, minutes }, seq) => {
    const { showing, last } = positionOf(script, START, noted);
    const operation = way === 1 ? showing?.id : (last ?? undefined);
    noted.push({
      id: `d-${seq}`,
      device: 'd',
      seq,
      hand: 0,
      kind: way === 1 ? 'done' : 'back',
      atMs: START + minutes * MINUTE,
      ...(operation === undefined ? {} : { operation }),
    });
  });
  return noted;
}
const fuse = (line: number) => {
  const found = script.fuses[line];
  if (found === undefined) throw new Error('no such fuse');
  return found;
};

describe('benchScript', () => {
  it('spreads and closes each line, sets and tightens each clamp, and checks last', () => {
    const codes = script.operations.map(({ instruction }) => instruction.code);
    expect(codes.filter((code) => code === 'do-spread')).toHaveLength(4);
    expect(codes.filter((code) => code === 'do-close')).toHaveLength(4);
    expect(codes.filter((code) => code === 'do-set-clamp')).toHaveLength(6);
    expect(codes.filter((code) => code === 'do-tighten')).toHaveLength(6);
    expect(codes.slice(-3)).toEqual(['do-check-squeeze-out', 'do-check-straightedge', 'do-check-flush']);
    expect(script.plannedMin).toBeCloseTo(plan.handsOnMin, 9);
  });

  it('lights each fuse before it closes and puts all out with the last full pull', () => {
    const place = (id: string | undefined) => session.findIndex((operation) => operation.id === id);
    for (const { lit, closed, holds } of script.fuses) {
      expect(place(lit)).toBeLessThan(place(closed));
      expect(Math.max(...holds.map(place))).toBe(session.length - 4);
    }
  });
});

describe('positionOf', () => {
  it('goes on, goes back and remembers when each step was begun', () => {
    const position = positionOf(script, START, events([next(0.5), next(1), back(1.2), next(2)]));
    expect(position.doneCount).toBe(2);
    const [first, second] = [...position.done];
    expect(first?.[1]).toBe(START + 0.5 * MINUTE);
    expect(second?.[1]).toBe(START + 2 * MINUTE);
    expect(position.last).toBe(second?.[0]);
    expect(position.begunAtMs.get(first?.[0] ?? '')).toBe(START);
    expect(position.begunAtMs.get(position.showing?.id ?? '')).toBeLessThanOrEqual(START + 2 * MINUTE);
  });

  it('is the same from two pages that both did it, in whatever order their events come', () => {
    const mine = events([next(0.5), next(1), next(1.5)]);
    const theirs = events([next(0.6), next(1.1)]).map((event) => ({
      ...event,
      device: 'e',
      id: `e-${event.seq}`,
    }));
    const both = positionOf(script, START, [...mine, ...theirs]);
    expect(both.doneCount).toBe(3);
    expect(positionOf(script, START, [...theirs, ...mine].reverse())).toEqual(both);
    expect(both.done.get(mine[0]?.operation ?? '')).toBe(START + 0.5 * MINUTE);
  });

  it('stays inside the script whatever is pressed', () => {
    expect(positionOf(script, START, events([back(0), back(0)])).doneCount).toBe(0);
    const many = Array.from({ length: 200 }, (_, i) => next(i / 10));
    expect(positionOf(script, START, events(many))).toMatchObject({
      doneCount: session.length,
      showing: null,
      upcoming: [],
    });
  });
});

describe('readFuse', () => {
  const line0 = fuse(0);

  it('burns against the open time until the faces close', () => {
    const position = positionOf(script, START, []);
    const reading = readFuse(line0, position, START + 1 * MINUTE);
    expect(reading).toMatchObject({ state: 'open' });
    expect(reading.leftMin).toBeCloseTo(Math.min(line0.openMin, line0.totalMin) - 1, 6);
  });

  it('then against the closed time from closing, or the total, whichever ends first', () => {
    const closedAt = 3.5;
    const pressed = events([next(1), next(closedAt)]);
    const reading = readFuse(line0, positionOf(script, START, pressed), START + 5 * MINUTE);
    expect(reading.state).toBe('closed');
    expect(reading.leftMin).toBeCloseTo(Math.min(closedAt + line0.closedMin, line0.totalMin) - 5, 6);
  });

  it('opens again when a step is taken back', () => {
    const pressed = events([next(1), next(2), back(2.1)]);
    expect(readFuse(line0, positionOf(script, START, pressed), START + 2.2 * MINUTE).state).toBe('open');
  });

  it('is unlit before its bead and out after the last pull; goes below zero when late', () => {
    expect(readFuse(fuse(3), positionOf(script, START, []), START).state).toBe('unlit');
    const all = session.map((_, i) => next(i / 10));
    expect(readFuse(line0, positionOf(script, START, events(all)), START + 99 * MINUTE).state).toBe('out');
    expect(readFuse(line0, positionOf(script, START, []), START + 60 * MINUTE).leftMin).toBeLessThan(0);
  });

  it('finds the shortest of those that burn', () => {
    const position = positionOf(script, START, events([next(0.4), next(0.8)]));
    const readings = script.fuses.map((each) => readFuse(each, position, START + 0.9 * MINUTE));
    const least = Math.min(...readings.map(({ leftMin }) => leftMin ?? Number.POSITIVE_INFINITY));
    expect(shortestFuse(readings)?.leftMin).toBe(least);
    expect(shortestFuse([])).toBeUndefined();
  });
});

describe('readinessOf', () => {
  it('forbids what could not hold and lets the rest be run with a warning', () => {
    expect(readinessOf(plan)).toEqual({ forbids: [], warns: [] });
    const hot = planBuild(maplePanel({ crew: 1, climate: { tempC: 33, rhPct: 20 } }), TEST_SHOP);
    expect(readinessOf(hot)).toMatchObject({ forbids: [], warns: [{ code: 'window-missed' }] });
    const bare = planBuild(maplePanel({ clamps: [] }), { ...TEST_SHOP, rack: [] });
    expect(readinessOf(bare).forbids.map(({ code }) => code)).toEqual(['no-clamps']);
    const cold = planBuild(maplePanel({ climate: { tempC: 5, rhPct: 50 } }), TEST_SHOP);
    expect(readinessOf(cold).forbids.map(({ code }) => code)).toContain('too-cold');
    expect(benchScript(cold).fuses).toEqual([]);
  });
});

describe('gatherList', () => {
  it('names every clamp with its opening, the glue with its amount, and the cauls', () => {
    const items = gatherList(plan);
    expect(items.find(({ code }) => code === 'gather-clamps')?.values).toMatchObject({
      count: 6,
      openingMm: 615,
      numbers: '1, 3, 5',
      below: '2, 4, 6',
    });
    expect(ofCode(items, 'gather-glue')?.values.massG).toBeCloseTo(plan.totals.massG, 9);
    expect(items.map(({ code }) => code)).not.toContain('gather-packing');
    const packed = planBuild(maplePanel({ edge: { kind: 'blocks', thicknessMm: 20 } }), TEST_SHOP);
    expect(ofCode(gatherList(packed), 'gather-packing')?.values.count).toBe(12);
  });

  it('has a block for each jaw of a frame, or cauls for its lines', () => {
    const frame = wagonBuilds().find(({ id }) => id === 'scenery-flats')?.build;
    if (frame === undefined) throw new Error('no scenery flats');
    const packed = (kind: 'bare' | 'blocks' | 'cauls') => {
      const build = { ...frame, squeeze: { packing: { kind, thicknessMm: 15 } } };
      return ofCode(gatherList(planBuild(build, DEMO_SHOP)), 'gather-packing')?.values;
    };
    // Three rails, a bar along each.
    expect(packed('blocks')).toEqual({ kind: 'blocks', thicknessMm: 15, count: 6 });
    expect(packed('cauls')).toEqual({ kind: 'cauls', thicknessMm: 15, count: 6 });
    expect(packed('bare')).toBeUndefined();
  });

  it('has boards planed, and what broke scraped, never planed', () => {
    const broken = wagonBuilds().find(({ id }) => id === 'bench-seat')?.build;
    if (broken === undefined) throw new Error('no bench seat');
    const codes = gatherList(planBuild(broken, DEMO_SHOP)).map(({ code }) => code);
    expect(codes).toContain('gather-broken');
    expect(codes).not.toContain('gather-boards');
    expect(gatherList(plan).map(({ code }) => code)).toContain('gather-boards');
  });
});

describe('gatherList of the demo', () => {
  it.each(wagonBuilds().map(({ id, build }) => [id, build] as const))(
    '%s: all that presses, once',
    (_, build) => {
      const settled = settlePlan(planBuild(build, DEMO_SHOP));
      const items = gatherList(settled);
      const loose = items.flatMap((item) => (item.code === 'gather-loose' ? [item.values.kind] : []));
      expect(new Set(loose).size).toBe(loose.length);
      if (settled.row !== null) return;
      const counted = items.flatMap((item) =>
        item.code === 'gather-loose' || item.code === 'gather-clamps' ? [item.values.count] : [],
      );
      const taken = settled.pulls.flatMap(({ taken: own }) => own.map(({ count }) => count));
      const sum = (counts: readonly number[]) => counts.reduce((total, count) => total + count, 0);
      expect(sum(counted)).toBe(sum(taken));
    },
  );
});

describe('a run of two people, or of wetter wood', () => {
  it('lights each fuse no later than its own bead begins, whoever is spreading', () => {
    const two = planBuild(maplePanel({ crew: 2 }), TEST_SHOP);
    const shared = benchScript(two);
    const operations = two.order?.sessions[0]?.operations ?? [];
    expect(shared.fuses).toHaveLength(4);
    for (const { joint, lit } of shared.fuses) {
      const startMin = operations.find(
        ({ kind, joints }) => kind === 'spread' && joints.includes(joint),
      )?.startMin;
      // It is lit once all that it waits for is done.
      const after = shared.operations.find(({ id }) => id === lit)?.after ?? [];
      const ends = shared.operations.filter(({ id }) => after.includes(id)).map(({ endMin }) => endMin);
      expect(Math.max(0, ...ends)).toBeCloseTo(startMin ?? NaN, 9);
    }
  });

  it('lets clamps off by the line that takes longest, not by the first', () => {
    const boards = maplePanel().boards ?? [];
    const wet = planBuild(
      maplePanel({ boards: boards.map((board, i) => (i === 4 ? { ...board, mcPct: 12 } : board)) }),
      TEST_SHOP,
    );
    const times = wet.joints.map(({ window }) => window.clampMin?.high ?? NaN);
    expect(times[3]).toBeGreaterThan((times[0] ?? NaN) + 5);
    expect(promiseOf(wet).clampMin).toBe(Math.max(...times));
  });

  it('tells a line that is spread in its own way so', () => {
    const [a, b] = maplePanel().boards ?? [];
    const own = planBuild(
      maplePanel({
        jointNotes: [
          {
            id: `${a?.id ?? ''}_${b?.id ?? ''}`,
            gapMm: null,
            reinforcement: 'none',
            spread: { method: 'roller', faces: 2 },
          },
        ],
      }),
      TEST_SHOP,
    );
    const [first, second] = benchScript(own).operations.filter(
      ({ instruction }) => instruction.code === 'do-spread',
    );
    expect(first?.instruction.values).toMatchObject({ method: 'hand roller', faces: 2 });
    expect(second?.instruction.values).not.toMatchObject({ method: 'hand roller' });
  });

  it('is not started with jaws in each other', () => {
    const fouled = maplePanel();
    const clamps = (fouled.row?.clamps ?? []).map((clamp, i) => (i === 1 ? { ...clamp, xMm: 80 } : clamp));
    const ready = readinessOf(planBuild(maplePanel({ clamps }), TEST_SHOP));
    expect(ready.forbids.map(({ code }) => code)).toEqual(['jaws-foul']);
  });
});

describe('promiseOf', () => {
  it('freezes what the plan says', () => {
    expect(promiseOf(plan)).toMatchObject({
      adhesive: 'pva-interior',
      clamps: 6,
      crew: 2,
      handsOnMin: plan.handsOnMin,
      flatMm: plan.verdicts.flat.figure,
    });
  });
});

import fc from 'fast-check';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '../../demo';
import { planBuild } from '../../plan';
import {
  type Answer,
  answerMishap,
  answersNow,
  beginDrill,
  type BenchScript,
  benchScript,
  debrief,
  type Drill,
  drillMoment,
  drillPosition,
  type DrillStart,
  playOn,
  stepsOfSession,
} from '..';
import { outcomeOf, playedBest } from './debrief';

const NAMED = ['costume-trunk', 'scenery-flats', 'lamp-posts', 'dressing-mirror'];
const SCRIPTS: { readonly script: BenchScript; readonly people: number }[] = [
  stageFloor(DEMO_SHOP),
  ...wagonBuilds().flatMap(({ id, build }) => (NAMED.includes(id) ? [build] : [])),
].map((build) => ({ script: benchScript(planBuild(build, DEMO_SHOP)), people: build.crew }));

const starts = fc
  .record({ which: fc.nat(SCRIPTS.length - 1), seed: fc.nat(10_000), more: fc.nat(1) })
  .map(({ which, seed, more }): DrillStart => {
    const { script, people } = SCRIPTS[which] as (typeof SCRIPTS)[number];
    return { script, people: people + more, seed };
  });

/** Plays to the end; every mishap is answered a while after it came by the answer of a number. */
function played(start: DrillStart, picks: readonly number[], thinkMin: number, stepMin: number): Drill {
  let drill = beginDrill(start);
  let asked = 0;
  for (let at = 0; !drill.over && at < 400; at += stepMin) {
    drill = playOn(drill, at);
    if (drill.pending !== null && at >= drill.pending.sinceMin + thinkMin) {
      const answers = answersNow(drill);
      const pick = (picks[asked] ?? 0) % answers.length;
      asked += 1;
      drill = answerMishap(drill, answers[pick] as Answer);
    }
  }
  return drill;
}

describe('a drill', () => {
  it('comes to its end with every step done once, whatever is answered', () => {
    fc.assert(
      fc.property(starts, fc.array(fc.nat(9), { maxLength: 6 }), (start, picks) => {
        const drill = played(start, picks, 0.2, 0.5);
        const { doneCount, count } = drillPosition(drill);
        expect(drill.over).toBe(true);
        expect(doneCount).toBe(count);
        expect(drill.handled.length + drill.toCome.length).toBeGreaterThan(0);
      }),
      { seed: 17, numRuns: 60 },
    );
  });

  it('is the same for its seed, in however many goes it is played', () => {
    fc.assert(
      fc.property(starts, fc.integer({ min: 1, max: 40 }), (start, parts) => {
        let inParts = beginDrill(start);
        for (let i = 1; i <= parts; i += 1) inParts = playOn(inParts, (30 * i) / parts);
        const inOne = playOn(beginDrill(start), 30);
        expect(inParts.events).toEqual(inOne.events);
        expect(inParts.pending?.operation).toBe(inOne.pending?.operation);
        expect(inParts.atMin).toBeCloseTo(inOne.atMin, 9);
      }),
      { seed: 18, numRuns: 60 },
    );
  });

  it('never has two steps in one pair of hands', () => {
    fc.assert(
      fc.property(starts, (start) => {
        let drill = beginDrill(start);
        for (let at = 0; !drill.over && at < 120; at += 0.3) {
          drill = playOn(drill, at);
          if (drill.pending !== null) drill = answerMishap(drill, answersNow(drill)[0] as Answer);
          expect(drill.hands).toHaveLength(drill.people);
          for (const busy of drill.hands) {
            const step = stepsOfSession(drill.script).find(({ id }) => id === busy?.operation);
            const at_ = drill.hands.filter((each) => each?.operation === step?.id).length;
            if (step !== undefined) expect(at_).toBe(Math.min(step.hands.length, drill.people));
          }
        }
      }),
      { seed: 19, numRuns: 40 },
    );
  });

  it('takes time from whoever thinks long, and never gives any', () => {
    const { script } = SCRIPTS[0] as (typeof SCRIPTS)[number];
    const spareAfter = (seed: number, thinkMin: number) => {
      let drill = beginDrill({ script, people: 1, seed });
      for (let at = 0; !drill.over && at < 400; at += 0.05) {
        drill = playOn(drill, at);
        if (drill.pending === null || at < drill.pending.sinceMin + thinkMin) continue;
        const own = answersNow(drill).find(({ what }) => what.code.startsWith('answer-'));
        drill = answerMishap(drill, own as Answer);
      }
      return outcomeOf(drill).spareMin as number;
    };
    const lost = Array.from({ length: 20 }, (_, seed) => spareAfter(seed, 0) - spareAfter(seed, 3));
    // A mishap before the first bead is laid costs nothing.
    for (const min of lost) expect(min).toBeGreaterThan(-0.06);
    expect(lost.filter((min) => min > 2.9).length).toBeGreaterThan(10);
  });

  it('is debriefed with what each answer cost and what would have been best', () => {
    const { script, people } = SCRIPTS[0] as (typeof SCRIPTS)[number];
    const start = { script, people, seed: 4 };
    const drill = played(start, [1, 1, 1, 1, 1], 1.5, 0.05);
    const told = debrief(drill);
    expect(told.handled.length).toBeGreaterThanOrEqual(2);
    for (const { thoughtMin } of told.handled) expect(thoughtMin).toBeGreaterThanOrEqual(1.5 - 1e-6);
    expect(told.own.spareMin as number).toBeLessThan(told.best.spareMin as number);
    expect(told.best).toEqual(outcomeOf(playedBest(start)));
    // Nobody answers at once and comes out worse than the plan by more than its mishaps and its scatter take.
    expect(told.plannedMin).toBeCloseTo(asPlannedAtFirst(start), 9);
  });

  it('draws mishaps that can happen there', () => {
    fc.assert(
      fc.property(starts, (start) => {
        const { toCome } = beginDrill(start);
        for (const { operation, mishap } of toCome) {
          const step = start.script.operations.find(({ id }) => id === operation);
          if (mishap === 'brush-dropped') expect(['spread', 'coat', 'size']).toContain(step?.kind);
          if (mishap === 'helper-away') expect(start.people).toBeGreaterThan(1);
        }
        expect(new Set(toCome.map(({ operation }) => operation)).size).toBe(toCome.length);
      }),
      { seed: 21, numRuns: 100 },
    );
  });
});

/** The spare of the plan itself, from the windows and the minutes of the script, one after the other. */
function asPlannedAtFirst({ script }: DrillStart): number {
  const at = new Map(script.operations.map(({ id, startMin, endMin }) => [id, { startMin, endMin }]));
  return Math.min(
    ...script.fuses.map(({ lit, closed, holds, openMin, closedMin, totalMin }) => {
      const litMin = at.get(lit)?.startMin ?? 0;
      const closeMin = at.get(closed)?.endMin ?? 0;
      const outMin = Math.max(...holds.map((id) => at.get(id)?.endMin ?? 0));
      return Math.min(
        openMin - (closeMin - litMin),
        closedMin - (outMin - closeMin),
        totalMin - (outMin - litMin),
      );
    }),
  );
}

describe('an order taken in the plan’s stead', () => {
  it('is what comes next, and lights no bead before its hands are free', () => {
    const { script } = SCRIPTS[1] as (typeof SCRIPTS)[number];
    const drill = beginDrill({ script, people: 1, seed: 1 });
    const { position } = drillMoment(drill);
    const order = [...stepsOfSession(script)].reverse().map(({ id, hands }) => ({ operation: id, hands }));
    const events = [
      {
        id: 'd-0',
        device: 'd',
        seq: 0,
        atMs: 1_577_836_860_000,
        hand: 0,
        kind: 'order' as const,
        payload: { order },
      },
    ];
    const after = drillPosition({ ...drill, events });
    expect(position.order.size).toBe(0);
    expect(after.showing?.id).not.toBe(position.showing?.id);
    // One pair of hands: only what was begun already, and the first of the order, is ready.
    const fresh = [...after.begunAtMs.keys()].filter((id) => !position.begunAtMs.has(id));
    expect(fresh.length).toBeLessThanOrEqual(
      script.operations.filter(({ hands }) => hands.includes(0)).length,
    );
    for (const id of fresh) expect(after.begunAtMs.get(id)).toBeGreaterThanOrEqual(1_577_836_860_000);
  });
});

import { InputError } from '@lean-clasp/core/basics';
import { findFixes } from '@lean-clasp/core/fixes';
import {
  BuildDocumentSchema,
  RunDocumentSchema,
  ShopDocumentSchema,
  upgradedBuild,
  upgradedRun,
} from '@lean-clasp/core/formats';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { type Plan, planBuild, settlePlan } from '@lean-clasp/core/plan';
import { summaryOf } from '@lean-clasp/core/runs';
import builds from '../../core/src/test-support/stored-1/builds.json';
import runs from '../../core/src/test-support/stored-1/runs.json';
import said from '../../core/src/test-support/stored-1/said.json';
import storedShop from '../../core/src/test-support/stored-1/shop.json';
import { createValidator } from '.';

const validator = createValidator();
const shop = validator.check(ShopDocumentSchema, storedShop);
const opened = (stored: unknown) => validator.check(BuildDocumentSchema, upgradedBuild(stored));
/** Since, both faces take 1.6 times the glue of one, and what stays open is filled. */
function massSince(wasG: number, { joints, adhesive }: Plan): number {
  const film = (factor: (faces: 1 | 2) => number) =>
    joints.reduce(
      (sum, { facts, method, faces }) => sum + facts.gluedMm2 * (1 + method.waste) * factor(faces),
      0,
    );
  const more = film((faces) => (faces === 2 ? 1.6 : 1)) / film(() => 1);
  const filledMl = joints.reduce((sum, { gap, closingForceN, facts }) => {
    const open = closingForceN > 0 && Number.isFinite(closingForceN) ? 0 : Math.abs(gap?.gapMm ?? 0);
    return sum + ((2 / 3) * open * facts.gluedMm2) / 1000;
  }, 0);
  return wasG * more + filledMl * adhesive.densityGPerMl;
}

const IDS = Object.keys(builds) as (keyof typeof builds)[];

/**
 * Kinds that plan differently since, on purpose: rows are judged by row mechanics, tightening is counted for every kind, and a pull
 * goes no further than what its joints want. Glue is laid as a bead before it is spread, scarfs get clamps as near as it takes, and
 * cauls are drawn flat whatever their crown. Pegs are driven in the script. End grain that holds gets a coat before the real one.
 * Clamps that are wanted back sooner than they come off are told. Wood that nobody has metered has lain in the usual air. What is told here is what came of it, so that no other change goes unseen.
 */
const CHANGED: Readonly<Partial<Record<keyof typeof builds, Readonly<Record<string, string>>>>> = {
  'bench-seat': { tight: 'holds → close' },
  'costume-trunk': { inTime: 'close → holds' },
  'awning-pole': { tight: 'close → holds' },
  drumhead: { inTime: 'holds → fails', tight: 'holds → fails', flat: 'close → holds' },
  'gable-sign': { tight: 'close → holds' },
  'lamp-posts': { tight: 'close → holds' },
  'side-panel': { inTime: 'holds → close', tight: 'close → holds' },
  'trestle-feet': { inTime: 'holds → close' },
};

/** A peg driven takes a quarter of a minute. */
const A_PEG_MIN = 0.25;

describe('what was stored before there was one plan', () => {
  it.each(IDS)('%s opens, and says what it said', (id) => {
    const before = JSON.stringify(builds[id]);
    const opens = opened(builds[id]);
    // Bands stood flush; since then they stand half a millimetre proud unless told otherwise, which adds a few milligrams at corners.
    const build =
      opens.template === 'edge-banding' ? { ...opens, answers: { ...opens.answers, proudMm: 0 } } : opens;
    expect(JSON.stringify(builds[id])).toBe(before);
    const plan = settlePlan(planBuild(build, shop), panelPressure);
    const was = said[id];
    const changes = Object.entries(was.verdicts).flatMap(([aspect, { state }]) => {
      const now = plan.verdicts[aspect as keyof typeof plan.verdicts].state;
      return now === state ? [] : [[aspect, `${state} → ${now}`]];
    });
    expect(Object.fromEntries(changes)).toEqual(CHANGED[id] ?? {});
    // Breadboard ends are glued over no more than moves half a millimetre; before, over a share by their pegs.
    const narrower =
      build.template === 'breadboard'
        ? (plan.joints[0]?.facts.joint.gluedShare ?? 1) * Number(build.answers['pegs'])
        : 1;
    expect(plan.totals.massG).toBeCloseTo(massSince(was.massG * narrower, plan) + plan.totals.coatG, 6);
    expect(plan.joints.length).toBeGreaterThan(0);
    const pegs = plan.pulls.reduce((sum, { pull }) => sum + pull.joints.length * (pull.pegs?.each ?? 0), 0);
    expect(plan.handsOnMin).toBeLessThan(1.85 * was.handsOnMin + pegs * A_PEG_MIN);
    expect(plan.handsOnMin).toBeGreaterThan(0.55 * was.handsOnMin);
    if (was.gaps !== null) expect(plan.joints.map(({ gap }) => gap)).toEqual(was.gaps);
  });

  it.each(['stage-floor', 'side-panel'] as const)(
    '%s presses as it did, its clamps where they were',
    (id) => {
      const { row, verdicts } = settlePlan(planBuild(opened(builds[id]), shop), panelPressure);
      const was = said[id];
      expect(row?.job.clamps.map(({ xMm }) => xMm)).toEqual(was.clamps?.map(({ xMm }) => xMm));
      // Eased by a third of a percent, so that no line is pressed harder than it wants.
      if (id === 'stage-floor') expect(verdicts.tight.figure).toBeCloseTo(was.verdicts.tight.figure, 1);
    },
  );

  it.each(IDS)('%s takes edits and stays what it is', (id) => {
    const build = opened(builds[id]);
    expect(opened(build)).toEqual(build);
    const edited = opened({ ...build, crew: 2, name: 'Edited' });
    expect(planBuild(edited, shop).build.crew).toBe(2);
    const [fix] = Object.values(findFixes(planBuild(build, shop), shop)).flat();
    if (fix !== undefined) expect(opened(fix.build)).toEqual(fix.build);
  });

  it('keeps its runs', () => {
    for (const run of runs) {
      const opened = validator.check(RunDocumentSchema, upgradedRun(run));
      // What was a state and a record then comes out of its events now.
      expect(summaryOf(opened)).toMatchObject({
        state: run.state,
        clampedAtMs: run.clampedAtMs,
        record: run.record,
        promise: run.promise,
      });
      expect(opened.events).toHaveLength(run.events.length + 1);
      expect(upgradedRun(opened)).toEqual(opened);
    }
  });

  it.each([
    ['a later version', { ...builds['stage-floor'], version: 3 }, 'version'],
    ['what has no version', { name: 'x' }, 'version'],
    ['a damaged one', { ...builds['stage-floor'], holding: null }, ''],
  ])('refuses %s in words', (_name, stored, field) => {
    expect(() => upgradedBuild(stored)).toThrow(InputError);
    expect(() => upgradedBuild(stored)).toThrow(expect.objectContaining({ field }) as Error);
  });
});

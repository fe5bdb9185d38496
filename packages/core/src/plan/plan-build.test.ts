import { buildOf } from '../test-support/builds';
import { findCalculation } from '../calculations';
import { DEMO_SHOP, wagonBuilds } from '../demo';
import { findFixes } from '../fixes';
import type { BuildDocument } from '../formats';
import { KINDS } from '../kinds';
import { STARTER_SHOP } from '../templates';
import { deepFreeze } from '../test-support/deep-freeze';
import { planBuild } from './plan-build';

const made = (template: string, answers = {}, change: Partial<BuildDocument> = {}): BuildDocument => ({
  ...buildOf({ template, name: 'T', project: '', service: 'dry', answers }),
  ...change,
});
const frame = made('tenon-frame');

describe('planBuild', () => {
  it.each(wagonBuilds().map(({ id, build }) => [id, build] as const))(
    'gives %s four finite verdicts and leaves its input alone',
    (_, build) => {
      const plan = planBuild(deepFreeze(build), deepFreeze(DEMO_SHOP));
      for (const { figure, against, barShare } of Object.values(plan.verdicts)) {
        expect(figure === null || Number.isFinite(figure)).toBe(true);
        expect(Number.isFinite(against)).toBe(true);
        expect(barShare).toBeGreaterThanOrEqual(0);
        expect(barShare).toBeLessThanOrEqual(1);
      }
    },
  );

  it.each(KINDS.map(({ id }) => [id]))('plans %s in a shop with one lot of clamps', (id) => {
    expect(planBuild(made(id), STARTER_SHOP).joints.length).toBeGreaterThan(0);
  });

  it('takes as much glue as the areas ask for, once for every set', () => {
    const one = planBuild(made('face-lamination', { blanks: 1 }), DEMO_SHOP);
    const four = planBuild(made('face-lamination', { blanks: 4 }), DEMO_SHOP);
    const { spreadGPerM2, waste } = one.joints[0]?.spread.used as Record<string, number>;
    expect(one.totals.massG).toBeCloseTo(
      (one.facts.gluedMm2 / 1e6) * (spreadGPerM2 ?? 0) * (1 + (waste ?? 0)),
      9,
    );
    expect(four.totals.massG).toBeCloseTo(4 * one.totals.massG, 9);
    expect(four.verdicts.inTime).toEqual(one.verdicts.inTime);
  });

  it('weighs the wood that is drawn', () => {
    const stack = planBuild(
      made('face-lamination', { species: 'white-ash', layers: 2, layerMm: 25, widthMm: 100, lengthMm: 400 }),
      DEMO_SHOP,
    );
    expect(stack.facts.massKg).toBeCloseTo(2 * 2.5 * 10 * 40 * 1e-3 * 0.6 * 1.12, 9);
  });

  it('never gets later with one more pair of hands, nor less late with slower ones', () => {
    for (const { build } of wagonBuilds()) {
      const spare = (crew: number, paceFactor: number) => {
        const { verdicts, order } = planBuild({ ...build, crew }, { ...DEMO_SHOP, paceFactor });
        return { share: verdicts.inTime.barShare, sessions: order?.sessions.length ?? 0 };
      };
      const [usual, slower] = [spare(1, 1), spare(1, 1.5)];
      expect(spare(2, 1).share).toBeGreaterThanOrEqual(usual.share);
      // Slow hands may be given one session more, which leaves more room in each.
      expect(slower.sessions).toBeGreaterThanOrEqual(usual.sessions);
      if (slower.sessions === usual.sessions) expect(slower.share).toBeLessThanOrEqual(usual.share);
    }
  });

  it('asks of a band what the band calculation gives back', () => {
    const sides = { sidesMm: [524.2, 900, 646.2], anglesDeg: [100, 45, 35] };
    const plan = planBuild(made('mitred-frame', { ...sides, widthMm: 54, thicknessMm: 24 }), DEMO_SHOP);
    const sharp = plan.joints.find(({ facts }) => facts.joint.angleDeg === 35);
    const pull = plan.pulls[0];
    const answer = findCalculation('band')?.compute({
      interiorAnglesDeg: [35],
      tensionN: pull?.neededN ?? 0,
      faceAreaMm2: sharp?.facts.contactMm2 ?? 0,
    } as never) as { corners: { pressureMPa: number }[] };
    expect(answer.corners[0]?.pressureMPa).toBeCloseTo(pull?.wanted.lowMPa ?? 0, 9);
  });

  it('tells a racked frame from one not read, and names how far to pull', () => {
    const read = (acMm: number | null, bdMm: number | null) =>
      planBuild({ ...frame, dryFit: { ...frame.dryFit, acMm, bdMm } }, DEMO_SHOP).verdicts.square;
    expect(read(null, null)).toMatchObject({
      state: 'close',
      figure: null,
      cause: { code: 'diagonals-unread' },
    });
    expect(read(1752, 1746)).toMatchObject({ state: 'fails', figure: 3 });
    expect(read(1749.3, 1749.1)).toMatchObject({ state: 'holds' });
  });

  it('sends gaps that cannot be bent shut back to the saw, and lets clamps close a sprung edge', () => {
    const tenon = frame.template === 'tenon-frame' ? 'stile-1_rail-1' : '';
    const wide = planBuild(
      { ...frame, jointNotes: [{ id: tenon, gapMm: 0.6, reinforcement: 'none' }] },
      DEMO_SHOP,
    );
    expect(wide.verdicts.tight.cause.code).toBe('joint-gap');
    const planks = made(
      'reglue',
      {},
      { jointNotes: [{ id: 'board-1_board-2', gapMm: 0.4, reinforcement: 'none' }] },
    );
    const sprung = planBuild(planks, DEMO_SHOP);
    expect(sprung.joints[0]?.closingForceN).toBeGreaterThan(0);
    expect(sprung.joints[0]?.closing).not.toBe('none');
    const [lot] = DEMO_SHOP.rack;
    const oneClamp = { ...DEMO_SHOP, rack: lot === undefined ? [] : [{ ...lot, count: 1 }] };
    const proud = planBuild(
      { ...planks, jointNotes: [{ id: 'board-1_board-2', gapMm: 4, reinforcement: 'none' }] },
      oneClamp,
    );
    expect(proud.joints[0]?.closing).toBe('back-to-plane');
  });

  it('spreads a joint in its own way where that is said, and leaves out what stays dry', () => {
    const [first, second] = planBuild(frame, DEMO_SHOP).joints;
    if (first === undefined || second === undefined) throw new Error('a frame without joints');
    const note = { gapMm: null, reinforcement: 'none' as const };
    const changed = planBuild(
      {
        ...frame,
        jointNotes: [
          { ...note, id: first.facts.joint.id, glued: 'none' },
          { ...note, id: second.facts.joint.id, spread: { method: 'finger', faces: 1 } },
        ],
      },
      DEMO_SHOP,
    );
    const [dry, fingered] = changed.joints;
    expect(dry?.spread).toMatchObject({ massG: 0, minutes: 0 });
    expect(fingered?.method.id).toBe('finger');
    expect(fingered?.window.used['film']).toBe(1);
    // Short joints follow each other without the spreader being taken up anew.
    const lengthM = second.facts.lengthMm / 1000;
    const worked = Math.max(lengthM / 3, second.facts.gluedMm2 / 1e6 / 0.05);
    expect(fingered?.spread.minutes).toBeCloseTo(lengthM / 5 + worked, 9);
    const whole = planBuild(frame, DEMO_SHOP);
    expect(changed.facts.gluedMm2).toBeCloseTo(whole.facts.gluedMm2 - first.facts.gluedMm2, 6);
  });

  it('seats a frame that is left dry altogether, and says that nothing is glued', () => {
    const jointNotes = planBuild(frame, DEMO_SHOP).joints.map(({ facts }) => ({
      id: facts.joint.id,
      gapMm: null,
      reinforcement: 'none' as const,
      glued: 'none' as const,
    }));
    const dry = planBuild({ ...frame, jointNotes }, DEMO_SHOP);
    expect(dry.totals.massG).toBe(0);
    expect(dry.verdicts.inTime.cause.code).toBe('nothing-glued');
    expect(Number.isFinite(dry.verdicts.tight.figure)).toBe(true);
  });

  it('warns of moisture that differs, of veneer on one face, and of old glue', () => {
    const wet = planBuild(
      made(
        'tenon-frame',
        {},
        { partNotes: [{ id: 'rail-1', species: null, mcPct: 13, condition: 'old-glue' }] },
      ),
      DEMO_SHOP,
    );
    expect(wet.verdicts.flat.cause.code).toBe('moisture-differs');
    expect(wet.findings.map(({ code }) => code)).toContain('faces-old-glue');
    expect(planBuild(made('veneered-sheet', { faces: 'one' }), DEMO_SHOP).verdicts.flat.state).toBe('fails');
  });

  it('says that a shop without a bag cannot press veneer', () => {
    expect(planBuild(made('veneered-sheet'), STARTER_SHOP).verdicts.tight.cause.code).toBe('no-bag');
  });
});

describe('findFixes', () => {
  it('offers edits whose new verdicts are really computed and never worse elsewhere', () => {
    const plan = planBuild(made('slatted-frame', { slats: 13, betweenLegsMm: 980 }), DEMO_SHOP);
    const fixes = findFixes(plan, DEMO_SHOP);
    expect(fixes.inTime.length).toBeGreaterThan(0);
    for (const fix of Object.values(fixes).flat()) {
      expect(planBuild(fix.build, DEMO_SHOP).verdicts[fix.aspect]).toEqual(fix.after);
      expect(fix.after.barShare).toBeGreaterThanOrEqual(fix.before.barShare);
    }
  });
});

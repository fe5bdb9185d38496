import { DEMO_SHOP, wagonBuilds } from '../demo';
import { type BuildDocument, NO_WISHES } from '../formats';
import { planBuild, settlePlan } from '../plan';
import { buildOf, maplePanel, planRow, TEST_SHOP } from '../test-support/builds';
import { ASPECTS, COMFORTABLE_MARGIN, windowUses } from '.';

const started = (template: string, change: Partial<BuildDocument> = {}): BuildDocument => ({
  ...buildOf({ template, name: 'One', project: '', service: 'dry', answers: {} }),
  crew: 2,
  ...change,
});

const verdictsOf = (build: BuildDocument) => settlePlan(planBuild(build, TEST_SHOP)).verdicts;

const read = (change: Partial<BuildDocument['dryFit']>): BuildDocument['dryFit'] => ({
  acMm: null,
  bdMm: null,
  bowMm: null,
  twistMm: null,
  ...change,
});

describe('In time', () => {
  it('is the window with the least share left, of every glued joint against all three', () => {
    const plan = planRow(maplePanel());
    const uses = windowUses(plan);
    expect(uses).toHaveLength(3 * plan.joints.length);
    const worst = uses.reduce((a, b) => (b.margin < a.margin ? b : a));
    expect(plan.verdicts.inTime.figure).toBeCloseTo(worst.windowMin - worst.usedMin, 9);
    expect(plan.verdicts.inTime.against).toBe(worst.windowMin);
    for (const { margin, usedMin, windowMin } of uses)
      expect(margin).toBeCloseTo(1 - usedMin / windowMin, 12);
  });

  it.each([0.5, 1, 1.5, 2, 3])('holds, comes close or fails by its margin at a pace of %d', (paceFactor) => {
    const plan = planBuild(maplePanel(), { ...TEST_SHOP, paceFactor });
    const worst = Math.min(...windowUses(plan).map(({ margin }) => margin));
    const state = worst < 0 ? 'fails' : worst < COMFORTABLE_MARGIN ? 'close' : 'holds';
    expect(plan.verdicts.inTime.state).toBe(state);
    expect(plan.verdicts.inTime.cause.code).toBe(worst < 0 ? 'window-missed' : 'tightest-window');
  });

  it('grows worse with every slower pace', () => {
    const figures = [0.8, 1, 1.2, 1.6, 2.4].map(
      (paceFactor) => planBuild(maplePanel(), { ...TEST_SHOP, paceFactor }).verdicts.inTime.figure ?? NaN,
    );
    figures.slice(1).forEach((figure, i) => expect(figure).toBeLessThan(figures[i] ?? NaN));
  });

  it('is refused in the cold whatever is glued, without a figure', () => {
    for (const template of ['edge-panel', 'tenon-frame', 'case', 'mitred-post']) {
      const { inTime } = verdictsOf(started(template, { climate: { tempC: 3, rhPct: 60 } }));
      expect(inTime).toMatchObject({ state: 'fails', figure: null, cause: { code: 'too-cold' } });
    }
  });

  it('is refused under an iron to a glue whose film does not melt again', () => {
    const glued = (adhesive: string) => {
      const build = started('dried-film');
      return verdictsOf({ ...build, glue: { ...build.glue, adhesive } }).inTime;
    };
    expect(glued('epoxy-slow')).toMatchObject({ state: 'fails', cause: { code: 'no-iron-on' } });
    expect(glued('pva-interior').state).toBe('holds');
  });

  it('does not simply hold where clamps are wanted back before they may come off', () => {
    const back = (clampsOffWithinMin: number | null) =>
      verdictsOf({ ...started('odd-angle'), wishes: { ...NO_WISHES, clampsOffWithinMin } }).inTime;
    expect(back(null).state).toBe('holds');
    expect(back(600).state).toBe('holds');
    expect(back(5)).toMatchObject({ state: 'close', cause: { code: 'clamps-on-too-long' } });
  });

  it('has nothing to say where every joint is left dry', () => {
    const build = started('tenon-frame');
    const dry = planBuild(build, TEST_SHOP).facts.joints.map(({ joint }) => ({
      id: joint.id,
      gapMm: null,
      reinforcement: 'none' as const,
      glued: 'none' as const,
    }));
    expect(verdictsOf({ ...build, jointNotes: dry }).inTime).toMatchObject({
      state: 'close',
      cause: { code: 'nothing-glued' },
    });
  });
});

describe('Tight', () => {
  it('holds at full pull and fails at a fifth of it', () => {
    const at = (pullPct: number) => planRow(maplePanel({ pullPct })).verdicts.tight;
    expect(at(100).state).toBe('holds');
    expect([at(20).state, at(20).cause.code]).toEqual(['fails', 'line-under-pressed']);
  });

  it('asks seats for force, and says so in newtons', () => {
    const { tight } = verdictsOf(started('tenon-frame'));
    expect(tight.kind).toBe('force');
    expect(tight.figure).toBeGreaterThanOrEqual(tight.against);
    const bare = settlePlan(planBuild(started('tenon-frame'), { ...TEST_SHOP, rack: [] })).verdicts.tight;
    expect(bare).toMatchObject({ state: 'fails', cause: { code: 'nothing-to-pull-with' } });
  });

  it('refuses glue made for dry rooms where the piece stands in the weather', () => {
    const build = started('tenon-frame', { service: 'exterior' });
    expect(verdictsOf(build).tight.cause.code).toBe('service-too-hard');
    const sound = { ...build, glue: { ...build.glue, adhesive: 'pva-exterior' } };
    expect(verdictsOf(sound).tight.state).toBe('holds');
  });

  it('has a gap in a mitre cut again, and one in a long edge pulled shut', () => {
    const frame = started('mitred-frame');
    const [joint] = planBuild(frame, TEST_SHOP).facts.joints;
    const note = { id: joint?.joint.id ?? '', gapMm: 1.2, reinforcement: 'none' as const };
    expect(verdictsOf({ ...frame, jointNotes: [note] }).tight).toMatchObject({
      state: 'fails',
      cause: { code: 'joint-gap' },
    });
    // What is open takes its share of the pull; how much grows with the gap.
    const closingN = (gapMm: number) =>
      planRow(maplePanel({ gaps: [{ line: 1, gapMm }] })).lines[1]?.closingForceN;
    expect(closingN(0.3)).toBeGreaterThan(0);
    expect(closingN(1)).toBeGreaterThan(closingN(0.3) ?? NaN);
  });

  it('is not sure of a dried film over a hollow, which it does not fill', () => {
    const build = started('dried-film');
    const id = planBuild(build, TEST_SHOP).facts.joints[0]?.joint.id ?? '';
    const over = (gapMm: number) =>
      verdictsOf({ ...build, jointNotes: [{ id, gapMm, reinforcement: 'none' }] }).tight;
    expect(over(0).state).toBe('holds');
    expect(over(0.8)).toMatchObject({ state: 'close', cause: { code: 'hollow-under-iron' } });
  });

  it.each(['edge-panel', 'tenon-frame', 'dried-film'])(
    'fails where a %s will stand warmer than its glue bears',
    (template) => {
      const build = started(template);
      const standing = (warmC: number | null) =>
        verdictsOf({
          ...build,
          glue: { ...build.glue, adhesive: 'pva-interior' },
          wishes: { ...NO_WISHES, warmC },
        }).tight.cause.code;
      expect(standing(90)).toBe('softens-there');
      expect(standing(null)).not.toBe('softens-there');
    },
  );
});

describe('Square', () => {
  it.each([
    [700, 700, 'holds', 0],
    [700.4, 700, 'holds', 0.2],
    [701.8, 700, 'close', 0.9],
    [704, 700, 'fails', 2],
  ] as const)(
    'reads diagonals of %d and %d as %s, half the difference to pull',
    (acMm, bdMm, state, figure) => {
      const { square } = verdictsOf(started('mitred-frame', { dryFit: read({ acMm, bdMm }) }));
      expect(square.figure).toBeCloseTo(figure, 6);
      expect(square.state).toBe(state);
      expect(square.cause.code).toBe('diagonals-read');
    },
  );

  it('does not call a frame square that nobody has read', () => {
    const { square } = verdictsOf(started('tenon-frame'));
    expect(square).toMatchObject({ state: 'close', figure: null, cause: { code: 'diagonals-unread' } });
  });

  it('opens the last mitre in proportion to what cuts are off by', () => {
    const off = (cutErrorDeg: number) =>
      verdictsOf(started('mitred-post', { squeeze: { cutErrorDeg } })).square.figure ?? NaN;
    expect(off(0.1) / off(0.05)).toBeCloseTo(2, 3);
    expect(off(0.2) / off(0.05)).toBeCloseTo(4, 2);
  });
});

describe('Flat', () => {
  it.each([
    [0.1, 'holds'],
    [0.9, 'close'],
    [1.5, 'fails'],
  ] as const)('takes a twist of %d mm as it was read: %s', (twistMm, state) => {
    const { flat } = verdictsOf(started('tenon-frame', { dryFit: read({ twistMm }) }));
    expect(flat.figure).toBeCloseTo(twistMm, 9);
    expect([flat.state, flat.cause.code]).toEqual([state, 'boards-twisted']);
  });

  it('counts on the base that it is clamped down to', () => {
    const dryFit = read({ bowMm: 2 });
    const figure = (template: string, squeeze: BuildDocument['squeeze']) =>
      verdictsOf(started(template, { dryFit, squeeze })).flat.figure ?? NaN;
    expect(figure('tenon-frame', { clampedDown: true })).toBeLessThan(figure('tenon-frame', {}) / 2);
    // Nothing on this rack reaches over a case as it stands.
    expect(figure('case', { clampedDown: true })).toBe(figure('case', {}));
  });

  it('warns where parts of one joint differ in moisture', () => {
    const build = started('tenon-frame');
    const [part] = planBuild(build, TEST_SHOP).facts.parts;
    const partNotes = [{ id: part?.part.id ?? '', species: null, mcPct: 12, condition: 'fresh' as const }];
    expect(verdictsOf({ ...build, partNotes }).flat.cause.code).toBe('moisture-differs');
  });
});

describe('all four', () => {
  it.each(wagonBuilds().map(({ id, build }) => [id, build] as const))(
    '%s: a bar, a limit and a cause that fits the state',
    (_, build) => {
      const { verdicts } = settlePlan(planBuild(build, DEMO_SHOP));
      for (const aspect of ASPECTS) {
        const { state, barShare, against, cause, figure } = verdicts[aspect];
        expect(barShare).toBeGreaterThanOrEqual(0);
        expect(barShare).toBeLessThanOrEqual(1);
        expect(against).toBeGreaterThanOrEqual(0);
        expect(figure === null || Number.isFinite(figure)).toBe(true);
        if (cause.severity === 'refuses') expect([aspect, state]).toEqual([aspect, 'fails']);
        if (state === 'holds') expect(cause.severity).not.toBe('refuses');
      }
    },
  );

  it('come close together where there is no joint yet', () => {
    const build = started('free', { free: { parts: started('free').free.parts, joints: [] } });
    const { verdicts } = planBuild(build, TEST_SHOP);
    expect(ASPECTS.map((aspect) => verdicts[aspect].cause.code)).toEqual(ASPECTS.map(() => 'no-joints'));
  });
});

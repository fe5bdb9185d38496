import type { InputError } from '../basics/checks';
import { type Finding, ofCode } from '../findings';
import { vacuumBag } from '../geometry';
import { toMill, usualRough } from '../materials';
import { operationsOf, planBuild, settlePlan } from '../plan';
import { reach, solidPoints } from '../solids';
import { buildOf } from '../test-support/builds';
import { practise, PRACTICE_SHOP } from '../test-support/practice';

type Given = Record<string, number | string>;
const start = (template: string, answers: Given) =>
  buildOf({ template, name: 'L', project: '', service: 'dry', answers });
const planned = (template: string, answers: Given) => planBuild(start(template, answers), PRACTICE_SHOP);
const codes = (findings: readonly Finding[]) => findings.map(({ code }) => code);

describe('a veneered sheet', () => {
  const SHEET = { lengthMm: 900, widthMm: 500, coreMm: 18, veneerMm: 0.6 };

  it('is glued where veneer lies on it, be that larger or smaller than the core', () => {
    const area = (overhangMm: number) =>
      planned('veneered-sheet', { ...SHEET, overhangMm }).joints[0]?.facts.gluedMm2;
    expect(area(10)).toBeCloseTo(900 * 500, 6);
    expect(area(-10)).toBeCloseTo(880 * 480, 6);
    const said = ofCode(planned('veneered-sheet', { ...SHEET, overhangMm: -10 }).findings, 'square-up-after');
    expect(said?.values).toEqual({ shortMm: 10, lengthMm: 880, widthMm: 480 });
  });

  const bagged = (bag: { lengthMm: number; widthMm: number } | undefined) =>
    practise({
      template: 'veneered-sheet',
      answers: { ...SHEET, overhangMm: 10 },
      shop: {
        ...PRACTICE_SHOP,
        rack: [
          {
            id: 'bag',
            kind: 'vacuum',
            count: 1,
            maxOpeningMm: 20,
            forceN: null,
            padWidthMm: 300,
            padHeightMm: 300,
            ...(bag === undefined ? {} : { bag }),
          },
        ],
      },
    }).answer.verdicts.tight;

  it('goes into a bag that is large enough, whichever way round, and into none that is a millimetre short', () => {
    const { insideLengthMm: l, insideWidthMm: w } = vacuumBag({
      lengthMm: 920,
      widthMm: 520,
      thicknessMm: 19.2,
    });
    expect(bagged({ lengthMm: l, widthMm: w }).state).not.toBe('fails');
    expect(bagged({ lengthMm: w, widthMm: l }).state).not.toBe('fails');
    expect(bagged(undefined).state).not.toBe('fails');
    for (const small of [
      { lengthMm: l - 1, widthMm: w },
      { lengthMm: l, widthMm: w - 1 },
    ]) {
      const { state, cause } = bagged(small);
      expect([state, cause.code]).toEqual(['fails', 'no-bag']);
      expect(cause.values).toMatchObject({ lengthMm: l, widthMm: w });
    }
  });
});

describe('edge bands', () => {
  it('stand proud of both faces to be trimmed, and are glued to the core alone', () => {
    const at = (proudMm: number) =>
      planned('edge-banding', {
        lengthMm: 800,
        widthMm: 300,
        thicknessMm: 18,
        bandMm: 5,
        edges: 'front',
        proudMm,
      });
    const proud = at(1);
    expect(proud.joints[0]?.facts.gluedMm2).toBeCloseTo(800 * 18, 6);
    const band = proud.facts.parts.find(({ part }) => part.id === 'band-1');
    expect(band?.part.blankMm).toEqual([800, 20, 5]);
    expect(ofCode(proud.findings, 'trim-flush')?.values).toEqual({ proudMm: 1 });
    expect(codes(at(0).findings)).not.toContain('trim-flush');
  });
});

describe('a slatted frame', () => {
  it('has legs that run on past its rails, and glues and measures no otherwise for it', () => {
    const [plain, longer] = [
      planned('slatted-frame', {}),
      planned('slatted-frame', { legMm: 180, hornMm: 25 }),
    ];
    const leg = longer.facts.parts.find(({ part }) => part.id === 'leg-1')?.part;
    if (leg === undefined) throw new Error('no leg');
    expect(reach(solidPoints(leg.solid), [0, 1, 0])).toEqual([-180, 620 + 25]);
    expect(leg.blankMm[0]).toBe(620 + 180 + 25);
    expect(longer.facts.gluedMm2).toBeCloseTo(plain.facts.gluedMm2, 6);
    expect(longer.facts.assembly.square).toEqual(plain.facts.assembly.square);
    expect(longer.handsOnMin).toBeCloseTo(plain.handsOnMin, 9);
  });

  it('warns of the way that other mortises look, where there are any', () => {
    expect(codes(planned('slatted-frame', {}).findings)).not.toContain('other-mortises');
    const said = ofCode(
      planned('slatted-frame', { otherMortises: 'to-the-front' }).findings,
      'other-mortises',
    );
    expect([said?.severity, said?.values]).toEqual(['warns', { side: 'to-the-front' }]);
  });
});

describe('a crack', () => {
  it('is glued and pressed as far as it runs', () => {
    const whole = planned('reglue', { shape: 'crack', lengthMm: 1200 });
    const part = planned('reglue', { shape: 'crack', lengthMm: 1200, crackMm: 400 });
    expect(part.facts.gluedMm2 / whole.facts.gluedMm2).toBeCloseTo(400 / 1200, 9);
    expect(part.row?.clampSet.clamps.length).toBeLessThan(whole.row?.clampSet.clamps.length ?? 0);
    expect(codes(part.findings)).toContain('crack-ends-inside');
    expect(codes(whole.findings)).not.toContain('crack-ends-inside');
  });

  it('is no longer than its top', () => {
    const tooLong = () => planned('reglue', { shape: 'crack', lengthMm: 500, crackMm: 501 });
    expect(tooLong).toThrow(/longer than the top/);
    try {
      tooLong();
    } catch (error) {
      expect((error as InputError).allowed).toMatch(/at most 500 mm/);
    }
  });
});

describe('rough boards', () => {
  it('lose as much from either face, edge and end', () => {
    expect(toMill([1000, 100, 20], [1060, 108, 24])).toEqual({ faceMm: 2, edgeMm: 4, endMm: 30, short: [] });
    expect(toMill([1000, 100, 20], [999, 105, 22.9]).short).toEqual(['length', 'width', 'thickness']);
    expect(toMill([1000, 100, 20], usualRough([1000, 100, 20])).short).toEqual([]);
  });

  it('are said to be too small, part by part, as soon as somebody has measured them', () => {
    const build = start('tenon-frame', {});
    const [stile] = planBuild(build, PRACTICE_SHOP).facts.parts;
    if (stile === undefined) throw new Error('no stile');
    const [l, w, t] = stile.part.blankMm;
    const saying = (roughMm: number[]) =>
      planBuild(
        {
          ...build,
          partNotes: [{ id: stile.part.id, species: null, mcPct: null, condition: 'fresh', roughMm }],
        },
        PRACTICE_SHOP,
      ).findings.filter(({ code }) => code === 'rough-too-small');
    expect(saying([...usualRough([l, w, t])])).toEqual([]);
    expect(saying([l, w + 6, t + 1]).map(({ values }) => values)).toEqual([
      { part: 'left stile', what: 'thickness', haveMm: t + 1, wantMm: t + 3 },
    ]);
  });
});

describe('strips of tape', () => {
  it('stand where they are counted: as many in the drawing as are taken from the roll', () => {
    const layouts: readonly Given[] = [
      { edges: 'all' },
      { edges: 'all', lengthMm: 530, widthMm: 410 },
      { edges: 'long' },
    ];
    for (const answers of layouts) {
      const { pulls, squeeze } = settlePlan(planned('edge-banding', answers));
      const taken = pulls.flatMap((pull) => pull.taken).reduce((sum, { count }) => sum + count, 0);
      expect(squeeze?.pulls.flatMap(({ clamps }) => clamps)).toHaveLength(taken);
    }
  });
});

describe('breadboard ends', () => {
  const END = { panelWidthMm: 500, panelLengthMm: 800, thicknessMm: 24, tongueMm: 30, pegs: 3 };
  const areaOf = (answers: Given) =>
    planned('breadboard', { ...END, ...answers }).joints[0]?.facts.contactMm2 ?? 0;

  it('touch by a tongue all along, by loose tenons or by dowels, each with its own walls', () => {
    const shoulder = 500 * 24;
    // A tongue: two cheeks, its two ends, its edge; the shoulder it stands in is open by as much as its edge.
    expect(areaOf({})).toBeCloseTo(2 * 500 * 30 + 500 * 8 + (shoulder - 500 * 8), 4);
    const tenon = (0.4 * 500) / 3;
    expect(areaOf({ letIn: 'loose-tenons' })).toBeCloseTo(3 * 2 * (tenon + 8) * 30 + shoulder, 4);
    // Walls of a dowel are π·d·l; drawn as a square of the same walls.
    expect(areaOf({ letIn: 'dowels' })).toBeCloseTo(3 * Math.PI * (0.4 * 24) * 30 + shoulder, 2);
    const blank = (letIn: string) =>
      planned('breadboard', { ...END, letIn }).facts.parts.find(({ part }) => part.id === 'panel')?.part
        .blankMm[0];
    expect([blank('tongue'), blank('dowels')]).toEqual([860, 800]);
  });

  it('are drawn home by pegs in offset holes alone; straight pegs and glue want clamps', () => {
    const none = { ...PRACTICE_SHOP, rack: [] };
    const tight = (held: string) => planBuild(start('breadboard', { ...END, held }), none).verdicts.tight;
    expect(tight('drawbored').cause.code).toBe('pegs-draw');
    for (const held of ['pegged', 'clamped']) expect([held, tight(held).state]).toEqual([held, 'fails']);
    const said = (held: string) => codes(planned('breadboard', { ...END, held }).findings);
    expect(said('clamped')).toContain('ends-slide-dry');
    expect(said('clamped')).not.toContain('drill-for-pegs');
    const { findings } = planned('breadboard', { ...END, held: 'pegged' });
    expect(ofCode(findings, 'drill-for-pegs')?.values.offsetMm).toBe(0);
  });
});

describe('a bend', () => {
  it('goes by the springback that was measured on the last one, and says so', () => {
    const bend = (springPct: number) =>
      ofCode(planned('bent-lamination', { radiusMm: 600, springPct }).findings, 'bend-plies')?.values;
    expect(bend(5)).toMatchObject({ springbackPct: 5, formRadiusMm: 570, measured: 'yes' });
    const reckoned = bend(0);
    expect(reckoned?.measured).toBe('no');
    expect(reckoned?.formRadiusMm).toBeCloseTo(600 * (1 - 1 / (reckoned?.plies ?? 1) ** 2), 9);
  });
});

describe('bands under clamps or pins', () => {
  it('are pressed two by two by bars over cauls, which is one force for both', () => {
    const { pulls } = planned('edge-banding', { pressedBy: 'clamps', edges: 'long' });
    expect(pulls.map(({ pull }) => [pull.stacked, pull.need])).toEqual([[true, 'line']]);
    const { answer } = practise({ template: 'edge-banding', crew: 2, answers: { pressedBy: 'clamps' } });
    expect(answer.verdicts.tight.state).toBe('holds');
  });

  it('are held by more tape where the glue foams', () => {
    const held = (adhesive: string) => {
      const build = start('edge-banding', {});
      return planBuild({ ...build, glue: { ...build.glue, adhesive } }, PRACTICE_SHOP);
    };
    const strips = ({ pulls }: ReturnType<typeof held>) =>
      pulls.flatMap(({ taken }) => taken).reduce((sum, { count }) => sum + count, 0);
    const [white, foaming] = [held('pva-interior'), held('polyurethane-foaming')];
    expect([white.verdicts.tight.against, foaming.verdicts.tight.against]).toEqual([0.02, 0.05]);
    expect(strips(foaming)).toBeGreaterThan(strips(white));
  });

  it('take a pin for each ten centimetres begun', () => {
    const { findings } = planned('edge-banding', { pressedBy: 'pins', edges: 'front', lengthMm: 810 });
    expect(ofCode(findings, 'pins-through-tape')?.values).toEqual({ pins: 9, everyMm: 100 });
  });
});

describe('the light school on a stack', () => {
  const laid = (adhesive: string, school: 'light' | 'matched') => {
    const build = start('face-lamination', {
      layers: 2,
      layerMm: 27,
      widthMm: 100,
      lengthMm: 600,
      blanks: 1,
    });
    return planBuild(
      { ...build, glue: { ...build.glue, adhesive }, squeeze: { ...build.squeeze, school } },
      PRACTICE_SHOP,
    );
  };

  it('wants less, says what strength that leaves, and comes again while the glue drags', () => {
    const [light, matched] = [laid('urea-formaldehyde', 'light'), laid('urea-formaldehyde', 'matched')];
    const wanted = (plan: typeof light) => plan.pulls[0]?.wanted.lowMPa ?? 0;
    expect([wanted(light), wanted(light) < wanted(matched)]).toEqual([0.2, true]);
    expect(light.pulls[0]?.neededN).toBeLessThan(matched.pulls[0]?.neededN ?? 0);
    expect(codes(light.verdicts.tight.workings)).toContain('how-light-squeeze');
    expect(codes(matched.verdicts.tight.workings)).not.toContain('how-light-squeeze');
    const again = (plan: typeof light) =>
      (plan.order?.sessions ?? [])
        .flatMap((session) => operationsOf(plan, session))
        .filter(({ id }) => id === 'tighten:again');
    const said = codes(light.findings).includes('no-second-squeeze');
    expect(again(light).length === 1 || said).toBe(true);
    expect(again(matched)).toEqual([]);
  });

  it('is refused for a glue that fills nothing', () => {
    expect(laid('pva-interior', 'light').verdicts.tight.cause.code).toBe('light-squeeze-needs-filler');
  });
});

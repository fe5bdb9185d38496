import { type Board, NO_WISHES, type RowSection, type ShopDocument, USUAL_ROW } from '../../formats';
import { equilibriumMoisturePct } from '../../materials';
import { newBuild } from '../../templates';
import {
  maplePanel,
  type PanelChange,
  planRow,
  type PlannedRowForTests,
  TEST_SHOP,
} from '../../test-support/builds';
import { type Aspect, ASPECTS, stateRank, windowUses } from '../../verdicts';
import { compareGlues } from '..';

const plan = (change: PanelChange = {}, shop: ShopDocument = TEST_SHOP) => planRow(maplePanel(change), shop);
const figure = (p: PlannedRowForTests, aspect: Aspect) => p.verdicts[aspect].figure ?? Number.NaN;
const code = (p: PlannedRowForTests, aspect: Aspect) => p.verdicts[aspect].cause.code;
const state = (p: PlannedRowForTests, aspect: Aspect) => p.verdicts[aspect].state;
const base = maplePanel();
const row = base.row ?? USUAL_ROW;
const holding = (change: Partial<RowSection['holding']>) => ({ holding: { ...row.holding, ...change } });
const boards = (change: (board: Board, i: number) => Partial<Board>) => ({
  boards: (base.boards ?? []).map((board, i) => ({ ...board, ...change(board, i) })),
});
const HELPED = { crew: 2 };

describe('the five-board maple panel at 18 °C and 45 %', () => {
  it('gets exact areas, recomputable amounts, a target of 1.2–1.7 MPa and the force that follows', () => {
    const { lines, totals, clampSet } = plan();
    expect(lines.map(({ line }) => line.areaMm2)).toEqual([20_000, 20_000, 20_000, 20_000]);
    expect(totals.massG).toBeCloseTo(4 * 0.02 * 180 * 1.05, 9);
    expect(lines[0]?.target).toEqual({ lowMPa: 1.2, highMPa: 1.7, mostMPa: 2.5 });
    // Six bars give 1.65 MPa at full pull: the plan eases them a little below the most that is wanted.
    expect(clampSet.totalForceN).toBeCloseTo(0.95 * 1.7 * 20_000, 6);
    expect(lines[0]?.pressure.meanMPa).toBeCloseTo(0.95 * 1.7, 9);
  });

  it('takes boards to have lain in the usual air unless they were metered, whatever the air does today', () => {
    const usual = (equilibriumMoisturePct(11, 60) + equilibriumMoisturePct(24, 40)) / 2;
    expect(plan().boardMcPct[0]).toBeCloseTo(usual, 9);
    expect(plan({ climate: { tempC: 8, rhPct: 92 } }).boardMcPct[0]).toBeCloseTo(usual, 9);
    expect(plan(boards((_b, i) => (i === 2 ? { mcPct: 11 } : {}))).boardMcPct[2]).toBe(11);
  });
});

describe('In time', () => {
  it('measures every line against three windows and reports the worst', () => {
    const p = plan();
    const uses = windowUses(p);
    expect(uses).toHaveLength(12);
    const worst = Math.min(...uses.map(({ margin }) => margin));
    const use = uses.find(({ margin }) => margin === worst);
    expect(figure(p, 'inTime')).toBeCloseTo((use?.windowMin ?? 0) - (use?.usedMin ?? 0), 12);
  });

  it('gains from hands, from clamps laid out, from a slower glue; loses in hot dry air', () => {
    const now = figure(plan(), 'inTime');
    expect(figure(plan({ crew: 1 }), 'inTime')).toBeLessThan(now);
    expect(figure(plan({ preSet: false }), 'inTime')).toBeLessThan(now);
    expect(figure(plan({ glue: { ...base.glue, adhesive: 'pva-exterior' } }), 'inTime')).toBeGreaterThan(now);
    const hot = plan({ climate: { tempC: 33, rhPct: 20 } });
    expect(figure(hot, 'inTime')).toBeLessThan(now);
    expect(state(plan({ crew: 1, climate: hot.climate }), 'inTime')).toBe('fails');
  });

  it('is refused below the coldest temperature, with no figure', () => {
    const cold = plan({ climate: { tempC: 6, rhPct: 60 } });
    expect(code(cold, 'inTime')).toBe('too-cold');
    expect(cold.verdicts.inTime.figure).toBeNull();
  });

  it('slows with the pace of the shop', () => {
    expect(figure(plan({}, { ...TEST_SHOP, paceFactor: 1.5 }), 'inTime')).toBeLessThan(
      figure(plan(), 'inTime'),
    );
  });
});

describe('Tight', () => {
  const clamps = (count: number, rackId = 'long') => ({
    clamps: Array.from({ length: count }, (_, i) => ({
      id: `c${i}`,
      rackId,
      xMm: Math.round((1000 * (i + 0.5)) / count),
      side: i % 2 === 0 ? ('above' as const) : ('below' as const),
    })),
  });

  it('holds with six strong clamps, is under-pressed with two', () => {
    expect(state(plan(), 'tight')).toBe('holds');
    const two = plan(clamps(2));
    expect([state(two, 'tight'), code(two, 'tight')]).toEqual(['fails', 'line-under-pressed']);
  });

  it('says clearly what the shop’s clamps reach when they reach less', () => {
    const weak = plan(clamps(6, 'weak'));
    expect(code(weak, 'tight')).toBe('line-under-pressed');
    expect(figure(weak, 'tight')).toBeLessThan(0.3);
    expect(weak.verdicts.tight.against).toBe(1.2);
  });

  it.each([
    ['a clamp too short', clamps(5, 'short'), 'clamp-too-short'],
    ['more than hang on the rack', clamps(9), 'not-enough-on-rack'],
    [
      'a clamp off the end',
      { clamps: [{ id: 'a', rackId: 'long', xMm: 995, side: 'above' as const }] },
      'clamp-off-end',
    ],
    ['wet wood', boards((_b, i) => (i === 4 ? { mcPct: 15 } : {})), 'wood-too-wet'],
    ['a service too hard', { service: 'exterior' as const }, 'service-too-hard'],
    ['a gap for the plane', { gaps: [{ line: 1, gapMm: 5 }], ...clamps(2, 'weak') }, 'gap-back-to-plane'],
    ['a pull outside the middle third', { pullOffsetMm: 4 }, 'pull-off-middle-third'],
  ])('is refused for %s', (_name, change, expected) => {
    const p = plan(change);
    expect([state(p, 'tight'), code(p, 'tight')]).toEqual(['fails', expected]);
  });

  it('is refused where nothing on the rack could be worked out', () => {
    const bare = plan({ clamps: [] }, { ...TEST_SHOP, rack: [] });
    expect([state(bare, 'tight'), code(bare, 'tight')]).toEqual(['fails', 'no-clamps']);
  });

  it('works clamps out from the rack while nobody has placed any, at most 400 mm apart, within what is wanted', () => {
    const { job, clampSet, lines } = plan({ clamps: [] });
    expect(job.workedOut).toBe(true);
    const places = clampSet.clamps.map(({ placed }) => placed.xMm);
    places.slice(1).forEach((xMm, i) => expect(xMm - (places[i] ?? 0)).toBeLessThanOrEqual(400));
    for (const { pressure, target } of lines) {
      expect(pressure.minMPa).toBeGreaterThanOrEqual(target.lowMPa);
      expect(pressure.meanMPa).toBeLessThanOrEqual(target.highMPa);
    }
  });

  it('is refused where a small jaw would crush soft wood, and not with blocks under it', () => {
    const soft = boards(() => ({ species: 'basswood' }));
    expect(code(plan(soft), 'tight')).toBe('jaw-crushes');
    expect(code(plan({ ...soft, edge: { kind: 'battens', thicknessMm: 60 } }), 'tight')).not.toBe(
      'jaw-crushes',
    );
  });

  it('drops in step with how hard the clamps are pulled', () => {
    expect(figure(plan({ pullPct: 40 }), 'tight')).toBeCloseTo(figure(plan({ pullPct: 80 }), 'tight') / 2, 9);
  });

  it('eases the pull where a glue wants contact only: never more than needed, never starved', () => {
    const { lines, verdicts } = plan({ glue: { ...base.glue, adhesive: 'epoxy-slow' } });
    for (const { pressure, target } of lines) {
      expect(pressure.meanMPa).toBeLessThanOrEqual(target.highMPa);
      expect(pressure.meanMPa).toBeGreaterThanOrEqual(target.lowMPa);
    }
    expect(verdicts.tight.cause.code).toBe('line-pressed');
  });
});

describe('Square', () => {
  it('answers to stops, board lengths, diagonals and what is sawn off later', () => {
    const stopped = plan();
    expect(figure(plan(holding({ endStops: false })), 'square')).toBeGreaterThan(figure(stopped, 'square'));
    expect(figure(plan(boards((_b, i) => (i === 0 ? { lengthMm: 1003 } : {}))), 'square')).toBeCloseTo(
      figure(stopped, 'square') + 3,
      9,
    );
    const racked = plan({ dryFit: { ...base.dryFit, acMm: 1168, bdMm: 1164 } });
    expect(code(racked, 'square')).toBe('diagonals-differ');
    expect(state(racked, 'square')).toBe('fails');
    const sawn = plan({ dryFit: { ...base.dryFit, acMm: 1168, bdMm: 1164 }, trimMm: 10 });
    expect([state(sawn, 'square'), code(sawn, 'square')]).toEqual(['holds', 'ends-trimmed-later']);
  });

  it('reads the diagonals as a rack of a true rectangle would give them', () => {
    // 1000 × 600 with its end leaning 2 mm over the width: corners (0,0) (1000,0) (1002,600) (2,600).
    const ac = Math.hypot(1002, 600);
    const bd = Math.hypot(998, 600);
    const leaning = plan({ dryFit: { ...base.dryFit, acMm: ac, bdMm: bd } });
    expect(figure(leaning, 'square') - figure(plan(), 'square')).toBeCloseTo(2, 2);
  });
});

describe('Flat', () => {
  const free = { barsTouch: false, caulPairs: 0 };

  it('says that the free panel would pop and what holds it', () => {
    const held = plan();
    expect(held.strut.loadShare).toBeGreaterThan(1);
    expect(held.verdicts.flat.cause).toMatchObject({
      code: 'held-from-popping',
      values: { heldBy: 'bars+cauls' },
    });
    const pops = plan(holding(free));
    expect([state(pops, 'flat'), code(pops, 'flat')]).toEqual(['fails', 'panel-pops']);
    expect(pops.verdicts.flat.figure).toBeNull();
  });

  it('counts bars only when they lie on both faces', () => {
    const oneSided = { clamps: row.clamps.map((clamp) => ({ ...clamp, side: 'above' as const })) };
    expect(plan({ ...holding({ caulPairs: 0 }), ...oneSided }).heldBy).toEqual([]);
    expect(plan(holding({ caulPairs: 0 })).heldBy).toEqual(['bars']);
  });

  it('warns of a free panel near popping and lets a thick one be', () => {
    const gentle = { ...holding(free), pullPct: 20 };
    expect(code(plan(gentle), 'flat')).toBe('panel-near-popping');
    const thick = plan({ ...gentle, ...boards(() => ({ thicknessMm: 45 })) });
    expect(thick.strut.loadShare).toBeLessThan(0.3);
  });

  it('answers to ring side, moisture in use, bow and twist read, and steps in thickness', () => {
    const now = figure(plan(), 'flat');
    expect(figure(plan(boards(() => ({ heart: 'up' }))), 'flat')).toBeGreaterThan(now + 1);
    expect(figure(plan({ mcInUse: { lowPct: 4, highPct: 14 } }), 'flat')).toBeGreaterThan(now);
    expect(figure(plan(boards(() => ({ cut: 'quarter' }))), 'flat')).toBeLessThan(now);
    expect(figure(plan({ dryFit: { ...base.dryFit, bowMm: 2 } }), 'flat')).toBeCloseTo(now + 0.6, 9);
    expect(figure(plan({ dryFit: { ...base.dryFit, twistMm: -2 } }), 'flat')).toBeCloseTo(now + 0.6, 9);
    expect(figure(plan(boards((_b, i) => (i === 1 ? { thicknessMm: 21 } : {}))), 'flat')).toBeGreaterThan(
      now + 0.4,
    );
    expect(figure(plan(holding({ heldFlatLater: true })), 'flat')).toBeLessThan(now);
  });
});

describe('every verdict', () => {
  it('can be opened to how it was got, and its bar agrees with its state', () => {
    const builds: PanelChange[] = [{}, HELPED, holding({ barsTouch: false, caulPairs: 0 }), { clamps: [] }];
    for (const change of builds) {
      const p = plan(change);
      for (const aspect of ASPECTS) {
        const verdict = p.verdicts[aspect];
        expect(verdict.workings.length).toBeGreaterThan(0);
        expect(verdict.barShare).toBeGreaterThanOrEqual(0);
        expect(verdict.barShare).toBeLessThanOrEqual(1);
        if (verdict.state === 'fails') expect(verdict.barShare).toBeLessThan(0.5);
        else expect(verdict.barShare).toBeGreaterThanOrEqual(0.5);
      }
    }
  });

  it('orders states from worst to best', () => {
    expect(['fails', 'close', 'holds'].map((s) => stateRank(s as 'fails'))).toEqual([0, 1, 2]);
  });
});

describe('compareGlues', () => {
  const compare = (build: typeof base, shop = TEST_SHOP) => compareGlues(build, shop, '2026-11-24').options;

  it('plans every family on the same build, refused ones last, the chosen one marked', () => {
    const options = compare(maplePanel({ climate: { tempC: 9, rhPct: 60 } }));
    expect(options.filter(({ chosen }) => chosen).map(({ adhesive }) => adhesive.id)).toEqual([
      'pva-interior',
    ]);
    const refused = options.map(({ refusals }) => refusals.length > 0);
    expect(refused.indexOf(true)).toBeGreaterThan(0);
    expect(refused.slice(refused.indexOf(true)).every(Boolean)).toBe(true);
    expect(
      options.find(({ adhesive }) => adhesive.id === 'pva-interior')?.refusals.map(({ code }) => code),
    ).toContain('too-cold');
  });

  it('gives each the verdict that choosing it would give', () => {
    for (const option of compare(maplePanel())) {
      const chosen = plan({ glue: { ...base.glue, adhesive: option.adhesive.id } });
      expect(option.inTime).toEqual(chosen.verdicts.inTime);
      expect(option.tight).toEqual(chosen.verdicts.tight);
    }
  });

  it('refuses what does not stand the service', () => {
    const wet = compare(maplePanel({ service: 'wet' }));
    expect(wet.filter(({ refusals }) => refusals.length === 0).map(({ adhesive }) => adhesive.id)).toEqual([
      'epoxy-slow',
      'epoxy-filled',
    ]);
  });

  it('goes by the person’s own label, everywhere', () => {
    const label = {
      openMin: { low: 0.5, high: 0.6 },
      totalMin: { low: null, high: null },
      clampMin: { low: null, high: null },
      minTempC: null,
      pressureMPa: { low: 0.3, high: 0.5 },
      gapMm: null,
      spreadGPerM2: 300,
      potLifeMin: null,
    };
    const shop = {
      ...TEST_SHOP,
      bottles: [{ id: 'own', adhesive: 'pva-interior', openedOn: null, remainingMl: 400, label }],
    };
    const [before, after] = [planRow(base, TEST_SHOP), planRow(base, shop)];
    expect(after.adhesive.labelled).toEqual(['openMin', 'pressure', 'spreadGPerM2']);
    expect(after.totals.massG / before.totals.massG).toBeCloseTo(300 / 180, 9);
    expect(after.lines[0]?.target).toEqual({ lowMPa: 0.3, highMPa: 0.5, mostMPa: 2.5 });
    expect(after.verdicts.inTime.figure ?? 0).toBeLessThan(before.verdicts.inTime.figure ?? 0);
    expect(String(after.lines[0]?.window.used.fromTheLabel)).toContain('openMin');
    expect(
      compare(base, shop).find(({ adhesive }) => adhesive.id === 'pva-interior')?.adhesive.labelled,
    ).toHaveLength(3);
  });

  it('warns of a bottle past its time and counts what it costs', () => {
    const shop = {
      ...TEST_SHOP,
      bottles: [
        { id: 'own', adhesive: 'pva-interior', openedOn: '2022-01-01', remainingMl: 400, pricePerLitre: 60 },
      ],
    };
    const own = compare(base, shop).find(({ adhesive }) => adhesive.id === 'pva-interior');
    expect(own?.reasons.map(({ code }) => code)).toEqual(expect.arrayContaining(['old-bottle', 'costs']));
    expect(own?.cost).toBeCloseTo(((own?.volumeMl ?? 0) / 1000) * 60, 9);
  });

  it('asks of an assembly’s glue what its kind is known for', () => {
    const job = (template: string) =>
      compareGlues(
        newBuild({ template, name: 'T', project: '', service: 'dry', answers: {} }, TEST_SHOP, () => 'b'),
        TEST_SHOP,
        null,
      ).job;
    expect(job('bent-lamination').lastingLoad).toBe(true);
    expect(job('veneered-sheet').veneer).toBe('sheet');
    expect(job('trim-set').freeForNextMin).toBe(5);
    expect(job('mitred-frame').endGrainShare).toBeGreaterThan(0.9);
    expect(job('face-lamination').endGrainShare).toBe(0);
  });
});

describe('what a person says of lines and bottles', () => {
  it('spreads one line in its own way, and that line alone', () => {
    const jointNotes = [
      {
        id: plan().lines[1]?.line.id ?? '',
        gapMm: null,
        reinforcement: 'none' as const,
        spread: { method: 'roller', faces: 2 as const },
      },
    ];
    const own = plan({ jointNotes }).lines;
    const rest = plan({}).lines;
    expect(own[1]?.method.id).toBe('roller');
    expect(own[1]?.faces).toBe(2);
    expect(own[1]?.spread.massG).not.toBeCloseTo(rest[1]?.spread.massG ?? 0, 3);
    expect(own[0]).toEqual(rest[0]);
    expect(own[2]).toEqual(rest[2]);
  });

  it('refuses a bottle that stood in the cold, in a warm shop', () => {
    const cold = plan({ wishes: { ...NO_WISHES, glueTempC: 4 } });
    expect(cold.lines[0]?.window.findings.map(({ code }) => code)).toContain('glue-too-cold');
    expect(cold.verdicts.inTime.state).toBe('fails');
    expect(plan({ wishes: { ...NO_WISHES, glueTempC: 19 } }).verdicts.inTime.state).not.toBe('fails');
  });
});

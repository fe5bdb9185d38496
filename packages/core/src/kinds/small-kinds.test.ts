import { InputError } from '../basics/checks';
import { planBuild, planQuestion, settlePlan } from '../plan';
import { ofCode } from '../findings';
import { asDriedFilm, coatDriesMin, findAdhesive, IRON_WITHIN_MIN } from '../adhesives';
import type { BuildDocument } from '../formats';
import { gatherList, readinessOf } from '../bench';
import { PRACTICE_SHOP, practise } from '../test-support/practice';
import { heldEveryMm } from './layouts/strip-planking';

const DRY = { tempC: 28, rhPct: 30 };
const DAMP = { tempC: 12, rhPct: 85 };

describe('a film that is left to dry and then ironed', () => {
  const white = findAdhesive('pva-interior');

  it('dries by the air: faster when it is warm and dry, slower when it is cold and damp, never without end', () => {
    const usual = coatDriesMin({ tempC: 20, rhPct: 50 }).likely;
    expect(usual).toBeCloseTo(20, 1);
    expect(coatDriesMin(DRY).likely).toBeLessThan(usual);
    expect(coatDriesMin(DAMP).likely).toBeGreaterThan(2 * usual);
    expect(coatDriesMin({ tempC: 20, rhPct: 100 }).likely).toBe(60);
  });

  it('has two days in place of minutes, and no wet steps', () => {
    const film = asDriedFilm(white);
    expect([film.openMin, film.closedMin, film.totalMin].map((range) => range?.low)).toEqual(
      Array.from({ length: 3 }, () => IRON_WITHIN_MIN),
    );
    expect(film.steps).toEqual([]);
    expect(asDriedFilm(findAdhesive('epoxy-slow'))).toBe(findAdhesive('epoxy-slow'));
  });

  it('goes on in three coats with their waits, is ironed, looked over and never clamped', () => {
    const { answer } = practise({ template: 'dried-film', climate: DAMP, answers: {} });
    const [session] = answer.sessions;
    const kinds = session?.operations.map(({ kind }) => kind);
    expect(kinds).toEqual(['lay-out', 'coat', 'coat', 'coat', 'iron', 'check']);
    const waits = session?.operations.flatMap(({ wait }) => (wait === null ? [] : [wait.min])) ?? [];
    expect(waits).toEqual(Array.from({ length: 3 }, () => coatDriesMin(DAMP).likely));
    const last = session?.operations.at(-1)?.endMin ?? 0;
    // Hands are busy for minutes, the clock runs for hours.
    expect(last).toBeCloseTo(answer.totals.handsOnMin + waits.reduce((a, b) => a + b, 0), 6);
    expect(answer.clamps).toEqual([]);
    expect(session?.fuses[0]).toMatchObject({
      lit: 'coat:1',
      closed: 'iron:core_veneer',
      openMin: IRON_WITHIN_MIN,
    });
    expect(answer.joints[0]).toMatchObject({ need: 'touch', state: 'right' });
  });

  it('is judged by whether heat comes through, and by whether the film melts', () => {
    const tight = (veneerMm: number, adhesive = 'pva-interior') =>
      practise({
        template: 'dried-film',
        answers: { veneerMm },
        glue: { adhesive, method: 'thinned-coats', faces: 2 },
      }).answer.verdicts.tight;
    expect(tight(0.7).state).toBe('holds');
    expect(tight(3)).toMatchObject({ state: 'close', cause: { code: 'too-thick-to-iron' } });
    expect(tight(5)).toMatchObject({ state: 'fails', cause: { code: 'too-thick-to-iron' } });
    expect(tight(0.7, 'polyurethane-foaming')).toMatchObject({
      state: 'fails',
      cause: { code: 'no-iron-on' },
    });
  });

  it('has an iron at hand and no clamp, and is not begun where the iron could do nothing', () => {
    const planned = (answers: Record<string, number>) => {
      const { build, shop } = planQuestion({ template: 'dried-film', shop: PRACTICE_SHOP, answers });
      return planBuild(build as BuildDocument, shop);
    };
    const codes = gatherList(planned({})).map(({ code }) => code);
    expect(codes).toContain('gather-iron');
    expect(codes).not.toContain('gather-spares');
    expect(codes).not.toContain('gather-clamps');
    expect(readinessOf(planned({})).forbids).toEqual([]);
    expect(readinessOf(planned({ veneerMm: 5 })).forbids.map(({ code }) => code)).toEqual([
      'too-thick-to-iron',
    ]);
  });

  it('says which curve is too tight and which face too large', () => {
    const on = (answers: Record<string, string | number>) => practise({ template: 'dried-film', answers });
    expect(() => on({ on: 'curved-edge', radiusMm: 30, veneerMm: 1, lengthMm: 60 })).toThrow(InputError);
    const { answer } = on({ on: 'face', lengthMm: 600, widthMm: 400 });
    expect(ofCode(answer.findings, 'iron-in-fields')?.values).toMatchObject({ areaM2: 0.24 });
    // An arc of 800 mm round 300 mm is glued over 800 mm of edge, less what 32 facets cut off.
    const curved = on({ on: 'curved-edge', radiusMm: 300, lengthMm: 800, thicknessMm: 18 }).answer;
    expect(curved.joints[0]?.areaMm2).toBeGreaterThan(0.999 * 800 * 18);
    expect(curved.joints[0]?.areaMm2).toBeLessThan(800 * 18);
  });
});

describe('a seam of veneer', () => {
  it('is stitched every 50 to 75 mm, held by tape alone, and takes a few drops', () => {
    const { answer } = practise({ template: 'veneer-seam', answers: { lengthMm: 1200, veneerMm: 0.6 } });
    const stitches = ofCode(answer.findings, 'seam-tape')?.values.stitches ?? 0;
    expect(1200 / (stitches - 1)).toBeGreaterThanOrEqual(50);
    expect(1200 / (stitches - 1)).toBeLessThanOrEqual(75);
    expect([...new Set(answer.clamps.map(({ kind }) => kind))]).toEqual(['tape']);
    expect(answer.clamps).toHaveLength(stitches);
    expect(answer.totals.volumeMl).toBeLessThan(1);
    // Tape was stretched before the seam was opened again: it costs no open time.
    expect(
      answer.sessions[0]?.operations.filter(({ kind, endMin }) => kind === 'tape' && endMin > 0),
    ).toEqual([]);
    expect(answer.verdicts.tight.state).toBe('holds');
  });
});

describe('what is only taped', () => {
  it('has no spare clamp standing by', () => {
    const { build, shop } = planQuestion({ template: 'veneer-seam', shop: PRACTICE_SHOP, answers: {} });
    const codes = gatherList(settlePlan(planBuild(build as BuildDocument, shop))).map(({ code }) => code);
    expect(codes).toContain('gather-loose');
    expect(codes).not.toContain('gather-spares');
  });
});

describe('strip planking', () => {
  it('is held down as far apart as a beam on thick glue allows, never past 400 mm', () => {
    // q·s⁴/(384·E·I) at the spacing must be the half millimetre that the glue fills.
    const [h, t, moe] = [10, 4, 8000];
    const s = heldEveryMm(h, t, moe);
    expect((0.03 * t * s ** 4) / (384 * moe * ((t * h ** 3) / 12))).toBeCloseTo(0.5, 9);
    expect(heldEveryMm(25, 8, 8000)).toBe(400);
    expect(heldEveryMm(8, 4, 8000)).toBeLessThan(s);
  });

  it('glues scarf and edge in one go, so many planks alike', () => {
    const { answer } = practise({ template: 'strip-planking', answers: { planks: 9, lengthMm: 4000 } });
    expect(answer.sessions).toHaveLength(1);
    expect(answer.joints.map(({ kind }) => kind)).toEqual(['scarf', 'edge', 'edge']);
    expect(answer.joints[1]?.lengthMm).toBeGreaterThan(1900);
    const more = practise({ template: 'strip-planking', answers: { planks: 18, lengthMm: 4000 } }).answer;
    expect(more.totals.massG).toBeCloseTo(2 * answer.totals.massG, 6);
    // About one clamp for each 400 mm of seam, and one for the short scarf.
    const held = answer.clamps.filter(({ joints }) => joints.some((id) => id.startsWith('board_')));
    expect(held.length).toBeGreaterThanOrEqual(10);
  });

  it('says when a scarf does not fit into its plank', () => {
    expect(() =>
      practise({ template: 'strip-planking', answers: { lengthMm: 600, thicknessMm: 25, ratio: 16 } }),
    ).toThrow(/too long for planks/);
  });
});

describe('a three-sided casing', () => {
  it('stands on two legs under a head, clamped corner by corner, its feet held apart', () => {
    const { answer } = practise({
      template: 'casing',
      answers: { openingWidthMm: 600, openingHeightMm: 290, widthMm: 60 },
    });
    expect(answer.pieces.map(({ label }) => label)).toEqual(['right leg', 'head', 'left leg']);
    expect(answer.joints).toHaveLength(2);
    expect(ofCode(answer.findings, 'feet-stay-apart')?.values.apartMm).toBe(600);
    // A leg of 350 mm moves 0.6 mm when both cuts of its corner are 0.05° off.
    expect(answer.verdicts.square.figure).toBeCloseTo(350 * Math.tan((0.1 * Math.PI) / 180), 2);
    expect(answer.sessions.flatMap(({ lots }) => lots).every(({ lotId }) => lotId !== 'band')).toBe(true);
  });

  it('takes a band on an open outline only over a spacer, and says so', () => {
    const open = (pressed: string) =>
      practise({ template: 'mitred-frame', answers: { chain: 'open', pressed } }).answer;
    expect(new Set(open('round').clamps.map(({ kind }) => kind))).toEqual(new Set(['pointed-spring']));
    const banded = open('band-with-spacer');
    expect(banded.clamps.map(({ kind }) => kind)).toEqual(['band']);
    expect(ofCode(banded.findings, 'band-wants-spacer')?.values.spacerMm).toBe(560);
  });

  it('calls the members of a square frame by where they lie', () => {
    const labels = practise({ template: 'mitred-frame', answers: {} }).answer.pieces.map(
      ({ label }) => label,
    );
    expect(labels).toEqual(['bottom rail', 'right stile', 'top rail', 'left stile']);
    const hexagon = practise({
      template: 'mitred-frame',
      answers: {
        sidesMm: Array.from({ length: 6 }, () => 200),
        anglesDeg: Array.from({ length: 6 }, () => 120),
      },
    }).answer.pieces;
    expect(hexagon.map(({ label }) => label)).toContain('member 4');
  });
});

describe('a top in two halves', () => {
  it('leaves the middle line dry, judges only what is glued, and wants an even number of boards', () => {
    const { build, shop } = planQuestion({
      template: 'round-panel',
      shop: PRACTICE_SHOP,
      answers: { outline: 'halves', boards: 4, lengthMm: 500, widthMm: 480 },
    });
    const plan = planBuild(build as BuildDocument, shop);
    const [, middle] = plan.joints;
    expect(middle?.facts.gluedMm2).toBe(0);
    expect(middle?.spread.massG).toBe(0);
    const { tight } = plan.verdicts;
    expect(JSON.stringify(tight.cause.values)).not.toContain('board 2 – board 3');
    const whole = planQuestion({
      template: 'round-panel',
      shop: PRACTICE_SHOP,
      answers: { outline: 'oval', boards: 4, lengthMm: 500, widthMm: 480 },
    });
    expect(plan.totals.massG).toBeLessThan(planBuild(whole.build as BuildDocument, shop).totals.massG);
    expect(() => practise({ template: 'round-panel', answers: { outline: 'halves', boards: 5 } })).toThrow(
      /two halves/,
    );
  });
});

describe('a round top that starves at its ends', () => {
  const round = (answers: Readonly<Record<string, string | number>>) =>
    practise({
      template: 'round-panel',
      shop: PRACTICE_SHOP,
      answers: { boards: 6, widthMm: 900, lengthMm: 900, ...answers },
    });

  it('is mended by leaving the boards square, which is then judged like any panel of its size', () => {
    const { answer, fixes } = round({ outline: 'oval' });
    expect(fixes.tight.map(({ change }) => change.code)).toContain('saw-after');
    const { answer: square } = round({ outline: 'oval-after' });
    const { answer: panel } = practise({
      template: 'edge-panel',
      shop: PRACTICE_SHOP,
      answers: { boards: 6, widthMm: 900, lengthMm: 900, thicknessMm: 24 },
    });
    expect(square.verdicts.tight.figure).toBe(panel.verdicts.tight.figure);
    expect(answer.verdicts.tight.state).toBe('fails');
    expect(square.verdicts.tight.state).not.toBe('fails');
    const did = square.sessions.flatMap(({ operations }) => operations.map(({ id }) => id));
    expect(did).not.toContain('before:blocks');
    expect(did).toContain('before:bars-open');
    // Three lines in the middle and two beside them, all as long as the blank.
    expect(square.joints.map(({ areaMm2 }) => Math.round(areaMm2))).toEqual(Array(5).fill(900 * 24));
  });
});

describe('what came apart', () => {
  const reglue = (answers: Record<string, string | number>) =>
    practise({ template: 'reglue', answers }).answer;

  it('is a round top between blocks, its lines their own chords', () => {
    const round = reglue({ shape: 'round-top', widthMm: 600, lengthMm: 600, pieces: 3 });
    const [a, b] = round.joints.map(({ lengthMm }) => lengthMm);
    // Chords of a circle of 600 mm, 100 mm off its middle.
    expect(a).toBeCloseTo(2 * Math.sqrt(300 ** 2 - 100 ** 2), 0);
    expect(b).toBeCloseTo(a ?? 0, 6);
    expect(round.findings.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['block-reach', 'pull-lifts-middle']),
    );
  });

  it('is one crack with two sides, whatever the pieces', () => {
    const crack = reglue({ shape: 'crack', pieces: 5, lengthMm: 400, widthMm: 300 });
    expect(crack.joints).toHaveLength(1);
    expect(crack.findings.map(({ code }) => code)).toContain('crack-to-its-end');
  });
});

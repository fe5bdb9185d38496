import { InputError } from '@lean-clasp/core/basics';
import { CALCULATIONS, findCalculation } from '@lean-clasp/core/calculations';
import { BuildDocumentSchema, RunDocumentSchema, ShopDocumentSchema } from '@lean-clasp/core/formats';
import { planBuild } from '@lean-clasp/core/plan';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { summaryOf } from '@lean-clasp/core/runs';
import { createCalculator, createValidator, errorBody } from '.';

const validator = createValidator();
const calculator = createCalculator(validator);

function refusalOf(name: string, input: unknown): InputError {
  try {
    calculator.run(name, input);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error(`${name} answered`);
}

describe('the registry', () => {
  it('holds the first six names that scripts rely on', () => {
    expect(CALCULATIONS.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['emc', 'movement', 'cup', 'adhesive-window', 'spread', 'clamp-need']),
    );
  });

  it.each(CALCULATIONS.map(({ name }) => [name]))(
    '%s answers its example with what its output schema says',
    (name) => {
      const entry = findCalculation(name);
      if (entry === undefined) throw new Error('not listed');
      const answer = calculator.run(name, entry.example);
      expect(validator.check(entry.output, answer)).toBe(answer);
      expect(JSON.parse(JSON.stringify(answer))).toEqual(answer);
    },
  );

  it('takes inline wood wherever a species id is taken', () => {
    const inline = {
      eLMPa: 12600,
      eRMPa: 1663,
      eTMPa: 819,
      gLRMPa: 1399,
      gLTMPa: 794,
      nuLR: 0.42,
      nuLT: 0.48,
      compPerpMPa: 10.1,
      sg: 0.63,
      cR: 0.00165,
      cT: 0.00353,
    };
    const job = { widthMm: 600, cut: 'flat', mcFromPct: 6, mcToPct: 10 };
    expect(calculator.run('movement', { ...job, species: inline })).toEqual(
      calculator.run('movement', { ...job, species: 'hard-maple' }),
    );
  });
});

describe('bad input', () => {
  const movement = { species: 'hard-maple', widthMm: 600, cut: 'flat', mcFromPct: 6, mcToPct: 10 };
  it.each([
    ['a number below its range', { ...movement, widthMm: -5 }, 'out-of-range', 'widthMm', /from 1 to 5000/],
    ['text for a number', { ...movement, widthMm: 'wide' }, 'not-a-number', 'widthMm', /number/],
    ['null for a number', { ...movement, mcToPct: null }, 'not-a-number', 'mcToPct', /number/],
    [
      'a missing field',
      { species: 'hard-maple', widthMm: 600, cut: 'flat', mcFromPct: 6 },
      'missing',
      'mcToPct',
      /value/,
    ],
    ['an unknown field', { ...movement, colour: 'red' }, 'inconsistent', 'colour', /species, widthMm/],
    ['an unknown word', { ...movement, cut: 'sideways' }, 'unknown-id', 'cut', /flat, quarter, rift/],
    ['an unknown species', { ...movement, species: 'balsa' }, 'unknown-id', 'species', /hard-maple/],
    ['half an inline species', { ...movement, species: { eLMPa: 1 } }, 'missing', 'species.eRMPa', /./],
    ['no object at all', 12, 'inconsistent', '', /object/],
  ])('%s is refused by field, with what is allowed', (_name, input, code, field, allowed) => {
    const refusal = refusalOf('movement', input);
    expect({ code: refusal.code, field: refusal.field }).toEqual({ code, field });
    expect(refusal.allowed).toMatch(allowed);
    expect(refusal.message.length).toBeGreaterThan(10);
    expect(Object.keys(errorBody(refusal).error)).toEqual(['code', 'field', 'message', 'allowed']);
  });

  it('names the calculations there are when asked for another', () => {
    expect(refusalOf('magic', {}).allowed).toContain('clamp-need');
  });

  it('asks for the length that a bead is timed along', () => {
    const refusal = refusalOf('spread', {
      areaMm2: 1000,
      faces: 1,
      adhesive: 'pva-interior',
      method: 'bead',
    });
    expect({ code: refusal.code, field: refusal.field }).toEqual({ code: 'missing', field: 'lengthMm' });
  });

  it('refuses a clamp that has no force of its own', () => {
    const job = { species: ['cherry'], adhesive: 'pva-interior', lengthMm: 500, heightMm: 20 };
    expect(refusalOf('clamp-need', { ...job, clampKind: 'vacuum' }).field).toBe('clampKind');
    expect(calculator.run('clamp-need', { ...job, clampKind: 'vacuum', clampForceN: 900 })).toMatchObject({
      clamps: { min: 10 },
    });
  });
});

describe('the documents that ship', () => {
  it('satisfy their schemas and can be planned', () => {
    const build = stageFloor(DEMO_SHOP);
    expect(validator.check(BuildDocumentSchema, build)).toBe(build);
    for (const shop of [DEMO_SHOP, STARTER_SHOP])
      expect(validator.check(ShopDocumentSchema, shop)).toBe(shop);
    for (const run of pastRuns(build, 'stage-floor', DEMO_SHOP, 1_750_000_000_000)) {
      expect(validator.check(RunDocumentSchema, run)).toBe(run);
      expect(summaryOf(run)).toMatchObject({
        state: 'clamped',
        record: { note: expect.any(String) as string },
      });
    }
    expect(build.boards?.reduce((sum, board) => sum + board.widthMm, 0)).toBe(600);
    expect(planBuild(build, DEMO_SHOP).verdicts.tight.state).toBe('holds');
  });

  it('are refused with unknown or absurd parts', () => {
    const build = stageFloor(DEMO_SHOP);
    const check = (change: object) => () => validator.check(BuildDocumentSchema, { ...build, ...change });
    expect(check({ extra: 1 })).toThrow(InputError);
    expect(check({ boards: [] })).toThrow(InputError);
    expect(check({ boards: build.boards?.map((board) => ({ ...board, lengthMm: 40_000 })) })).toThrow(
      /from 50 to 6000/,
    );
    expect(check({ crew: 1.5 })).toThrow(InputError);
    expect(check({ version: 3 })).toThrow(InputError);
  });
});

import { InputError } from '@lean-clasp/core/basics';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { BuildDocumentSchema, ShopDocumentSchema } from '@lean-clasp/core/formats';
import { createValidator } from '.';
import { planReply } from './plan';

const validator = createValidator();
const FLOOR = stageFloor(DEMO_SHOP) as unknown as Record<string, unknown>;
const FRAME = wagonBuilds().find(({ id }) => id === 'scenery-flats')?.build as unknown as Record<
  string,
  unknown
>;

/** A document with one place changed, by a path such as `boards.0.widthMm`. */
function changed(document: unknown, path: string, value: unknown): unknown {
  const [first = '', ...rest] = path.split('.');
  if (first === '') return value;
  const inner = (document as Record<string, unknown>)[first];
  const next = rest.length === 0 ? value : changed(inner, rest.join('.'), value);
  return Array.isArray(document)
    ? document.map((each: unknown, i) => (String(i) === first ? next : each))
    : { ...(document as object), [first]: next };
}

/** What a document is refused with. */
function refusalOf(run: () => unknown): InputError {
  try {
    run();
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('nothing was refused');
}

const clear = ({ message, allowed }: InputError) => {
  expect(message.length).toBeGreaterThan(8);
  expect(`${message} ${allowed}`).not.toMatch(/undefined|NaN|\[object|must NOT|should match/);
};

describe('a build that cannot be', () => {
  it.each([
    ['boards.0.widthMm', -5],
    ['boards.0.widthMm', 1e9],
    ['boards.2.thicknessMm', 0],
    ['boards.1.lengthMm', '1 m'],
    ['boards.1.cut', 'sideways'],
    ['boards.1.heart', 'left'],
    ['boards.3.mcPct', 140],
    ['boards.3.ringRadiusMm', -1],
    ['crew', 0],
    ['crew', 2.5],
    ['crew', 'two'],
    ['glue.faces', 3],
    ['glue.method', 7],
    ['goals.flatMm', -1],
    ['goals.squareMm', null],
    ['climate', { tempC: 18 }],
    ['climate', { tempC: 900, rhPct: 50 }],
    ['climate', { tempC: 18, rhPct: 160 }],
    ['service', 'underwater'],
    ['name', 12],
    ['dryFit.acMm', 'long'],
    ['row.trimMm', -3],
    ['row.pullPct', 900],
    ['row.school', 'gentle'],
    ['row.edge.kind', 'marble'],
    ['row.clamps.0.xMm', Number.MAX_VALUE],
    ['row.clamps.0.side', 'inside'],
    ['jointNotes.0.gapMm', 99],
    ['jointNotes.0.reinforcement', 'magic'],
    ['mcInUse', { lowPct: 5 }],
    ['preSet', 'yes'],
    ['unheardOf', 1],
  ] as const)('is refused for %s = %j, in words, naming the place', (path, value) => {
    const refusal = refusalOf(() => validator.check(BuildDocumentSchema, changed(FLOOR, path, value)));
    clear(refusal);
    const place = path.split('.').at(-1) ?? '';
    expect(`${refusal.field} ${refusal.message}`).toContain(place);
  });

  it.each([[null], [7], ['a build'], [[]], [{}]])('is refused for %j altogether', (value) => {
    clear(refusalOf(() => validator.check(BuildDocumentSchema, value)));
  });

  it('is let through untouched where nothing is wrong', () => {
    const before = JSON.stringify(FLOOR);
    expect(validator.check(BuildDocumentSchema, FLOOR)).toBe(FLOOR);
    expect(JSON.stringify(FLOOR)).toBe(before);
    for (const { build } of wagonBuilds()) expect(validator.check(BuildDocumentSchema, build)).toBe(build);
  });
});

describe('a shop that cannot be', () => {
  it.each([
    ['rack.0.count', -1],
    ['rack.0.count', 1.5],
    ['rack.0.maxOpeningMm', 0],
    ['rack.0.forceN', -10],
    ['rack.0.padWidthMm', 'wide'],
    ['bottles.0.remainingMl', -1],
    ['bottles.0.openedOn', 'yesterday'],
    ['cauls.0.crownMm', -0.5],
    ['cauls.0.lengthMm', 0],
    ['hours.0.hour', 25],
    ['hours.0.tempC', 'warm'],
    ['climate.rhPct', -1],
    ['paceFactor', 0],
    ['crew', 'Maud'],
    ['altitudeM', 90_000],
  ] as const)('is refused for %s = %j', (path, value) => {
    clear(refusalOf(() => validator.check(ShopDocumentSchema, changed(DEMO_SHOP, path, value))));
  });
});

describe('a plan that cannot be made', () => {
  it.each([
    ['neither a build nor a kind', {}],
    ['both', { build: FLOOR, template: 'edge-panel' }],
    ['a kind that is none', { template: 'spaceship' }],
    ['an answer that is none', { template: 'edge-panel', answers: { wings: 2 } }],
    ['an answer out of bounds', { template: 'edge-panel', answers: { boards: 400 } }],
    ['a choice that is none', { template: 'mitred-frame', answers: { chain: 'ajar' } }],
    ['a wood that nobody knows', { template: 'reglue', answers: { species: 'unobtainium' } }],
    [
      'a glue that nobody knows',
      { template: 'reglue', answers: {}, glue: { adhesive: 'spit', method: 'card', faces: 1 } },
    ],
    [
      'a method that nobody knows',
      { template: 'reglue', answers: {}, glue: { adhesive: 'pva-interior', method: 'spoon', faces: 1 } },
    ],
    [
      'an outline that does not close',
      { template: 'mitred-frame', answers: { sidesMm: [400, 300, 500, 300] } },
    ],
    ['a tenon longer than its stile', { template: 'tenon-frame', answers: { memberMm: 40, tenonMm: 90 } }],
    ['a tongue longer than its end', { template: 'breadboard', answers: { endWidthMm: 40, tongueMm: 60 } }],
    [
      'slats that do not fit',
      { template: 'slatted-frame', answers: { slats: 24, slatWidthMm: 80, betweenLegsMm: 500 } },
    ],
    [
      'scarfs longer than the pole',
      { template: 'scarf', answers: { pieces: 6, lengthMm: 900, thicknessMm: 80, ratio: 16 } },
    ],
    ['a later version', { build: { ...FLOOR, version: 99 } }],
    ['a field too many', { template: 'reglue', answers: {}, colour: 'red' }],
  ] as const)('is refused for %s, with what is allowed', (_, input) => {
    const refusal = refusalOf(() => planReply(input, validator));
    clear(refusal);
    expect(refusal.allowed.length).toBeGreaterThan(3);
  });

  it('is made for what the same kinds can be', () => {
    for (const input of [
      { template: 'mitred-frame', answers: { chain: 'open' } },
      { template: 'scarf', answers: { pieces: 2, lengthMm: 3000 } },
    ]) {
      const { verdicts, drawing, fixes } = planReply(input, validator);
      expect(Object.keys(verdicts).sort()).toEqual(['flat', 'inTime', 'square', 'tight']);
      expect(drawing.paths.length).toBeGreaterThan(2);
      expect(Array.isArray(fixes)).toBe(true);
    }
  });
});

describe('an assembly', () => {
  it.each([
    ['answers.widthMm', -3],
    ['answers.species', 'unobtainium'],
    ['partNotes', [{ id: 'stile-1', species: null, mcPct: 300, condition: 'fresh' }]],
    ['partNotes', [{ id: 'stile-1', species: null, mcPct: 9, condition: 'rotten' }]],
    ['squeeze', { counts: [{ pull: 'across', count: -1 }] }],
    ['squeeze', { cutErrorDeg: 45 }],
    ['order', { sessions: 'all' }],
  ] as const)('is refused for %s = %j, by its schema or by its kind', (path, value) => {
    clear(refusalOf(() => planReply({ build: changed(FRAME, path, value) }, validator)));
  });
});

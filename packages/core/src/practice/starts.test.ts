import { InputError } from '../basics/checks';
import { DEMO_SHOP } from '../demo';
import type { BuildDocument } from '../formats';
import { findKind, type Kind, KINDS, startOf } from '../kinds';
import { compareGlues, planAnswer, planBuild, planQuestion, settlePlan } from '../plan';
import { STARTER_SHOP } from '../templates';
import { ASPECTS } from '../verdicts';
import { PRACTICE_SHOP, practise } from '../test-support/practice';

/** What a small rack may fall short of, told with what to get: not a fault of the plan. */
const TEACHES: readonly string[] = [
  'nothing-to-pull-with',
  'no-bag',
  'pull-short',
  'line-under-pressed',
  'line-opens',
  'clamps-far-apart',
];
const MILD = { tempC: 20, rhPct: 50 };
const SHOPS = [
  ['the starter shop', { ...STARTER_SHOP, climate: MILD }],
  ['the demo’s rack', { ...DEMO_SHOP, climate: MILD, paceFactor: 1 }],
] as const;

const IDS = KINDS.map(({ id }) => id);

describe.each(SHOPS)('every kind at its start in %s', (_, shop) => {
  it.each(IDS)('%s has nothing red but what teaches and names what to get', (template) => {
    const { answer, fixes } = practise({ template, shop, answers: {} });
    for (const aspect of ASPECTS) {
      const { state, cause } = answer.verdicts[aspect];
      if (state !== 'fails') continue;
      expect([aspect, cause.code]).toEqual([aspect, expect.stringMatching(new RegExp(TEACHES.join('|')))]);
      expect(fixes[aspect].length).toBeGreaterThan(0);
    }
  });

  it.each(IDS)('%s is given a glue that the comparison does not refuse', (template) => {
    const { build } = planQuestion({ template, shop, crew: 2, answers: {} });
    const plan = planBuild(build as BuildDocument, shop);
    const chosen = compareGlues(build as BuildDocument, shop, null).options.find(
      ({ adhesive }) => adhesive.id === plan.adhesive.id,
    );
    expect([template, chosen?.refusals.map(({ code }) => code)]).toEqual([template, []]);
  });

  it.each(IDS)('%s never counts on more of a lot than the rack holds in one session', (template) => {
    const { answer } = practise({ template, shop, answers: {} });
    for (const { lots } of answer.sessions) {
      for (const { lotId, count } of lots) {
        const have = shop.rack.find(({ id }) => id === lotId)?.count;
        if (have !== undefined) expect([lotId, count <= have]).toEqual([lotId, true]);
      }
    }
  });
});

/** Answers of a kind with all its numbers at one place between their bounds; everything else as it starts. */
function answersAt(kind: Kind, share: number): BuildDocument['answers'] {
  const start = startOf(kind);
  const asIs = (name: string) => {
    const value = start[name] ?? '';
    return typeof value === 'object' ? ([...value] as number[] | string[]) : value;
  };
  return Object.fromEntries(
    Object.entries(kind.questions).map(([name, question]) => {
      if (
        question.kind === 'species' ||
        question.kind === 'choice' ||
        'least' in question ||
        'pieces' in question
      ) {
        return [name, asIs(name)];
      }
      const { min, max } = question.bounds;
      const value = min + share * (max - min);
      return [name, Number.isInteger(start[name]) && question.kind === 'count' ? Math.round(value) : value];
    }),
  );
}

const finite = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : value === null || typeof value !== 'object' || Object.values(value).every(finite);

describe('every kind from three extremes', () => {
  it.each(IDS.flatMap((id) => [0, 0.15, 0.5, 1].map((share) => [id, share] as const)))(
    '%s at %d of its bounds plans finite, or says the nearest that can be made',
    (template, share) => {
      const kind = findKind(template);
      try {
        const { build, shop } = planQuestion({
          template,
          shop: PRACTICE_SHOP,
          crew: 2,
          answers: answersAt(kind, share),
        });
        const estimate = planBuild(build as BuildDocument, shop);
        // Twenty metres of elements would only cost time here; the estimate is what the first look shows.
        const answer = planAnswer(share >= 0.5 ? estimate : settlePlan(estimate));
        expect(finite(answer)).toBe(true);
        expect(answer.joints.every(({ areaMm2 }) => areaMm2 >= 0)).toBe(true);
        expect(answer.totals.handsOnMin).toBeGreaterThanOrEqual(0);
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
        const { message, allowed, field } = error as InputError;
        expect(message.length).toBeGreaterThan(20);
        expect(allowed.length).toBeGreaterThan(3);
        expect(field).not.toBe('');
        expect(`${message} ${allowed}`).not.toMatch(/NaN|undefined|Infinity/);
      }
    },
  );
});

describe('a cold damp night', () => {
  it.each(IDS)('refuses no dry board of %s that was metered', (template) => {
    const { build, shop } = planQuestion({
      template,
      shop: PRACTICE_SHOP,
      crew: 2,
      climate: { tempC: 12, rhPct: 85 },
      answers: {},
    });
    const document = build as BuildDocument;
    const metered: BuildDocument =
      document.boards === undefined
        ? {
            ...document,
            partNotes: planBuild(document, shop).facts.parts.map(({ part }) => ({
              id: part.id,
              species: null,
              mcPct: 9,
              condition: 'fresh',
            })),
          }
        : { ...document, boards: document.boards.map((board) => ({ ...board, mcPct: 9 })) };
    const plan = planBuild(metered, shop);
    const wet = plan.joints.flatMap(({ window }) => window.findings).map(({ code }) => code);
    expect(wet).not.toContain('wood-too-wet');
  });
});

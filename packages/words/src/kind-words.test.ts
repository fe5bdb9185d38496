import type { Service } from '@lean-clasp/core/adhesives';
import { findFixes } from '@lean-clasp/core/fixes';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { type Answers, FREE, KINDS, PREPARATIONS } from '@lean-clasp/core/kinds';
import { planBuild } from '@lean-clasp/core/plan';
import { newBuild } from '@lean-clasp/core/templates';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import { formatFor } from './format';
import { says } from './say';
import { choiceWords } from './choice-words';
import { KIND_CAUTIONS, PREPARATION_WORDS, questionWords } from './kind-words';
import { KIND_WORDS } from './kind-names';
import { workingOf } from './workings';

const inches = formatFor('imperial');

/** A sentence or a name, not a code, without holes in it. */
function expectWords(words: string | undefined): void {
  expect(words).toBeDefined();
  expect(words).not.toMatch(/^[a-z]+(-[a-z]+)+$|[a-z]Mm\b|undefined|NaN|Infinity|\[object/);
}

/** A new build that is asked for in few words. */
function made(template: string, service: Service, answers: Answers = {}): BuildDocument {
  let next = 0;
  return newBuild({ template, name: 'x', project: '', service, answers }, DEMO_SHOP, () => `n${(next += 1)}`);
}

describe('words of the kinds', () => {
  it('exist for every kind, question, choice and preparation', () => {
    [...KINDS.map(({ id }) => id), 'edge-panel', FREE].forEach((id) => expectWords(KIND_WORDS[id]?.about));
    for (const { id, questions, preparation, cautions } of KINDS) {
      for (const [name, question] of Object.entries(questions)) {
        const words = questionWords(id, name);
        expectWords(words);
        expect(words).not.toBe(name);
        if (question.kind === 'choice')
          question.options.forEach((option) => expectWords(choiceWords(option)));
      }
      preparation.forEach((what) => expectWords(PREPARATION_WORDS[what]));
      cautions.forEach((caution) => expectWords(KIND_CAUTIONS[caution]));
    }
    PREPARATIONS.forEach((what) => expectWords(PREPARATION_WORDS[what]));
  });

  it('exist for whatever the plans of all kinds say, with their fixes', () => {
    const odd = [
      made('veneered-sheet', 'wet', { faces: 'one' }),
      made('heavy-slab', 'dry', { caulPairs: 1 }),
      { ...made(FREE, 'dry'), climate: { tempC: 2, rhPct: 70 } },
    ];
    const plans = [...wagonBuilds().map(({ build }) => build), ...odd].map((build) =>
      planBuild(build, DEMO_SHOP),
    );
    for (const plan of plans) {
      plan.findings.forEach((finding) => expectWords(says(finding, inches)));
      for (const aspect of ASPECTS) {
        const { cause, workings } = plan.verdicts[aspect];
        expectWords(says(cause, inches));
        workings.forEach((working) => expectWords(workingOf(working, inches)?.title));
      }
    }
    for (const plan of plans.slice(0, 4)) {
      Object.values(findFixes(plan, DEMO_SHOP))
        .flat()
        .forEach(({ change }) => expectWords(says(change, inches)));
    }
  });
});

describe('a pull that does not do', () => {
  const said = (code: 'pull-short' | 'pull-light', reachN: number) =>
    says(
      {
        code,
        values: { line: 'a – b', minMPa: 0.9, neededN: 80_000, reachN },
      },
      formatFor('metric'),
    );

  it.each(['pull-short', 'pull-light'] as const)(
    'lacks force, or evenness where there is force enough (%s)',
    (code) => {
      expect(said(code, 60_000)).toMatch(/80\.0 kN .*the rack gives 60\.0 kN/);
      expect(said(code, 99_000)).toBe('a – b gets 0.90 MPa at its weakest place; the pull in all would do');
    },
  );
});

import { AMOUNT_TRAITS, type Condition, WORD_TRAITS } from '@lean-clasp/core/formats';
import { LIBRARY, LIBRARY_IDS } from '@lean-clasp/core/lessons';
import { formatFor } from './format';
import { LIBRARY_WORDS } from './lesson-library';
import { conditionWords, lessonWords, triggerWords, WORD_TRAIT_WORDS } from './lessons';

const HOLES = /undefined|NaN|\[object|[a-z]+-[a-z]+-[a-z]+-(mm|pct|min)/;
const metric = formatFor('metric');

describe('words of lessons', () => {
  it('tell every lesson of the library whole, each with a title of its own', () => {
    const told = LIBRARY_IDS.map((id) => LIBRARY_WORDS[id]);
    expect(new Set(told.map(({ title }) => title)).size).toBe(LIBRARY_IDS.length);
    told
      .flatMap((words) => Object.values<string>({ ...words }))
      .forEach((text) => expect(text.length).toBeGreaterThan(12));
  });

  it.each(['metric', 'imperial'] as const)('say every condition plainly, %s', (system) => {
    const f = formatFor(system);
    const conditions: Condition[] = [
      ...AMOUNT_TRAITS.flatMap((trait): Condition[] => [
        { trait, above: 12 },
        { trait, below: 0.5 },
      ]),
      ...WORD_TRAITS.flatMap((trait): Condition[] => {
        const words = WORD_TRAIT_WORDS[trait].choices.map(({ value }) => value);
        return [
          { trait, any: words },
          { trait, none: words.slice(0, 1) },
        ];
      }),
    ];
    for (const condition of conditions) {
      expect(conditionWords(condition, f)).not.toMatch(HOLES);
      expect(conditionWords(condition, f)).toContain(
        'above' in condition ? 'above' : 'below' in condition ? 'below' : ': ',
      );
    }
  });

  it('name every word that the library asks about', () => {
    for (const { when } of LIBRARY) {
      for (const condition of when) {
        if (!('any' in condition) && !('none' in condition)) continue;
        const known = WORD_TRAIT_WORDS[condition.trait].choices.map(({ value }) => value);
        const asked = 'any' in condition ? condition.any : condition.none;
        expect([condition.trait, asked.filter((word) => !known.includes(word))]).toEqual([
          condition.trait,
          [],
        ]);
      }
    }
  });

  it('give a lesson of one’s own its own words', () => {
    const own = {
      id: 'x',
      title: 'The stop slipped',
      happened: 'It slipped.',
      cause: '',
      cost: '',
      change: 'Screw it down.',
      when: [{ trait: 'crew' as const, below: 2 }],
      at: 'before' as const,
      learnedOn: null,
      runId: null,
    };
    expect(lessonWords(own).change).toBe('Screw it down.');
    expect(triggerWords(own.when, metric)).toBe('pairs of hands below 2');
  });
});

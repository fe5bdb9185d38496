import { CAUSES, FEATURES, SYMPTOMS } from '@lean-clasp/core/diagnosis';
import { CAUSE_WORDS, SIGN_WORDS, SYMPTOM_WORDS } from './diagnosis';

describe('words of the diagnosis', () => {
  it('name every symptom and tell every cause whole', () => {
    expect(new Set(SYMPTOMS.map((symptom) => SYMPTOM_WORDS[symptom])).size).toBe(SYMPTOMS.length);
    expect(new Set(CAUSES.map((cause) => CAUSE_WORDS[cause].name)).size).toBe(CAUSES.length);
    CAUSES.forEach((cause) =>
      Object.values<string>({ ...CAUSE_WORDS[cause] }).forEach((text) =>
        expect(text.length).toBeGreaterThan(15),
      ),
    );
  });

  it('name every level of every sign', () => {
    for (const [feature, levels] of Object.entries(FEATURES)) {
      expect([feature, Object.keys(SIGN_WORDS[feature as keyof typeof FEATURES]).sort()]).toEqual([
        feature,
        Object.keys(levels).sort(),
      ]);
    }
  });
});

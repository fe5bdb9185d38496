import { compareGlues } from '@lean-clasp/core/plan';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { formatFor } from './format';
import { says } from './say';
import { CHANGE_WORDS, reasonWords } from './reasons';

const inches = formatFor('imperial');
const HOLES = /^[a-z]+(-[a-z]+)+$|undefined|NaN|Infinity|\[object/;

const shop = {
  ...DEMO_SHOP,
  bottles: DEMO_SHOP.bottles.map((bottle) => ({ ...bottle, openedOn: '2020-01-01', pricePerLitre: 90 })),
};
const airs = [
  { tempC: 6, rhPct: 70 },
  { tempC: 23, rhPct: 40 },
];
const wishes = {
  finish: 'stain' as const,
  repairable: true,
  lastingLoad: true,
  warmC: 70,
  clampsOffWithinMin: 30,
  noSensitisers: true,
  woodTempC: 4,
};

describe('words of the reasons', () => {
  it('say every reason, refusal and change that the whole wagon brings up, plainly and in inches', () => {
    const builds = [stageFloor(DEMO_SHOP), ...wagonBuilds().map(({ build }) => build)];
    let said = 0;
    for (const build of builds) {
      for (const climate of airs) {
        for (const change of [{}, { wishes, service: 'exterior' as const }]) {
          const { options, changes } = compareGlues({ ...build, climate, ...change }, shop, '2026-11-24');
          for (const { reasons, refusals } of options) {
            for (const reason of reasons) expect(reasonWords(reason, inches)).not.toMatch(HOLES);
            for (const refusal of refusals) expect(says(refusal, inches)).not.toMatch(HOLES);
            said += reasons.length + refusals.length;
          }
          for (const { code } of changes) expect(CHANGE_WORDS[code]).toMatch(/^[A-Z]/);
        }
      }
    }
    expect(said).toBeGreaterThan(1000);
  });
});

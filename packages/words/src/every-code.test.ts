import type { Finding, FindingValue } from '@lean-clasp/core/findings';
import { detailWords } from './bench';
import { formatFor } from './format';
import { EVERY_CODE, says } from './say';
import { EVERY_WORKING, workingOf } from './workings';

const HOLES = /undefined|NaN|\[object|^[a-z]+(-[a-z]+)+$/;

/** Ids that sentences look up in the catalogues. */
const IDS: Readonly<Record<string, FindingValue>> = {
  kind: 't-bar',
  adhesive: 'pva-interior',
  species: 'cherry',
  method: 'brush',
  window: 'open',
  line: 'A–B',
  lines: 'A–B',
  board: 'A',
  part: 'rail',
  corner: 'left stile – top rail',
  lesson: 'cold-shop',
};

/** A finding of any code, with a figure for whatever its sentence asks for and nobody knows by name. */
function findingOf(code: string, figure: number): Finding {
  const values = new Proxy(IDS, {
    get: (ids, name) => (typeof name === 'string' ? (ids[name] ?? figure) : undefined),
  });
  return { code, severity: 'informs', values } as unknown as Finding;
}

describe.each(['metric', 'imperial'] as const)('%s', (system) => {
  const f = formatFor(system);

  it.each([0, 1, 2.5, 1200])('says every code without holes where its figures are %p', (figure) => {
    for (const code of EVERY_CODE) {
      const finding = findingOf(code, figure);
      expect([code, says(finding, f)]).toEqual([code, expect.not.stringMatching(HOLES)]);
      expect([code, detailWords(finding, f)]).toEqual([code, expect.not.stringMatching(HOLES)]);
    }
  });

  it.each([0, 1, 2.5, 1200])('explains every working where its figures are %p', (figure) => {
    for (const code of EVERY_WORKING) {
      const working = workingOf(findingOf(code, figure), f);
      const told = [working?.title, working?.rule, working?.source, ...(working?.inputs.flat() ?? [])];
      told.forEach((words) => expect([code, words]).toEqual([code, expect.not.stringMatching(HOLES)]));
    }
  });
});

it('shows a code that it does not know, as an older run may hold one', () => {
  expect(says(findingOf('left-in-the-attic', 1), formatFor('metric'))).toBe('left-in-the-attic');
  expect(workingOf(findingOf('left-in-the-attic', 1), formatFor('metric'))).toBeUndefined();
});

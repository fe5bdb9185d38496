import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Finding } from '@lean-clasp/core/basics';
import { formatFor } from './format';
import { sumWords } from './sums';
import { workingOf } from './workings';

const CORE = join(__dirname, '../../core/src');
const f = formatFor('metric');

/** Every code that a finding is made with by name anywhere in the core. */
function codes(): Map<string, string> {
  const found = new Map<string, string>();
  for (const file of readdirSync(CORE, { recursive: true, encoding: 'utf8' })) {
    if (!file.endsWith('.ts') || file.endsWith('.test.ts')) continue;
    const text = readFileSync(join(CORE, file), 'utf8');
    for (const [, code = ''] of text.matchAll(/finding\(\s*'([a-z0-9-]+)'/g)) found.set(code, file);
  }
  return found;
}

/** Ids that sentences look up in the catalogues. */
const IDS: Finding['values'] = {
  kind: 't-bar',
  adhesive: 'pva-interior',
  species: 'cherry',
  method: 'brush',
  window: 'open',
  joint: 'a–b',
};
const values = new Proxy(IDS, {
  get: (ids, name) => (typeof name === 'string' ? (ids[name] ?? 1) : undefined),
});

it('says every code that the core makes a finding with', () => {
  const all = codes();
  // The scan is of use only while it finds what there is.
  expect(all.size).toBeGreaterThan(150);
  const silent = [...all].filter(([code]) => {
    const finding: Finding = { code, severity: 'informs', values };
    if (code.startsWith('how-')) return workingOf(finding, f) === undefined;
    return sumWords(finding, f) === null;
  });
  expect(silent).toEqual([]);
});

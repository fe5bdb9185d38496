import type { Finding } from '@lean-clasp/core/basics';
import type { Format } from './format';
import { clampName } from './causes';
import { says } from './say';
import { type Say, sayFrom } from './values';

/** What the single sums find worth saying; plans have words of their own for the same things. */
const SUM_FINDINGS: Readonly<Record<string, Say>> = {
  'rack-falls-short': ({ n }) =>
    `The rack falls short: at best ${Math.round(n('sharePct'))} % of the pressure wanted in the weakest place.`,
  'platen-lifts': () => 'The platen lifts off between its clamps: nothing is pressed there.',
  'no-pull': () => 'No clamp pulls: nothing is pressed.',
  'clamps-in-one-place': ({ n }, f) =>
    `Clamps ${n('first')} and ${n('second')} stand in one place, at ${f.length(n('xMm'))}; they press as one.`,
  'line-open': ({ n }, f) => `Line ${n('line') + 1} stays open by up to ${f.fine(n('openMm'))}.`,
  'thickness-differs': ({ n }, f) =>
    `The boards of line ${n('line') + 1} differ in thickness; ${f.length(n('thicknessMm'))} of it touches.`,
  'pads-short': ({ n }, f) =>
    `Pads of ${f.length(n('padMm'))} are shorter than ${f.length(n('thicknessMm'))} of thickness; they press deeper than is reckoned with.`,
  'one-session-is-least': ({ n }) =>
    n('sessions') > 1 ? `${n('sessions')} sessions are the fewest.` : 'One session is the fewest.',
  'sessions-pinned': ({ n }) => `Pins ask for ${n('sessions')} sessions.`,
  'clamps-go-round': ({ n, s }) =>
    `${n('count')} ${clampName(s('kind'), n('count'))} are wanted and ${n('there')} are there: ${n('sessions')} sessions at least.`,
  'closed-already': () => 'Parts of these joints are closed in by an earlier session.',
  captive: ({ n }) => `${n('parts')} parts hold each other: whichever comes last has no way left to come in.`,
  'too-few-clamps': ({ n, s }) =>
    s('kind') === ''
      ? 'More clamps are wanted at once than there are.'
      : `More ${clampName(s('kind'), 2)} are wanted at once than the ${n('there')} that are there.`,
  'too-few-hands': () => 'More pairs of hands are wanted at once than there are.',
  'too-few-benches': () => 'Wants a bench where there is none.',
  'no-opening-long-enough': () => 'Hands-on work and setting up fit into no opening of the shop.',
  'waits-in-a-circle': () => 'These wait for each other.',
  'window-too-short': ({ n }) =>
    `Takes ${Math.round(100 * n('usedShare'))} % of what the glue gives, even by itself.`,
  'hands-on-not-proven': () => 'Fewest sessions and most room are proven; the least hands-on time is not.',
  'pins-contradict': () => 'Joints are pinned to sessions that cannot follow one another.',
};

/** What a sum found, as it comes out of it: sessions and joints by name, figures where there are any. */
export interface SumFinding {
  readonly code: string;
  readonly severity?: Finding['severity'];
  readonly values?: Finding['values'];
  readonly joints?: readonly string[];
  readonly sessions?: readonly string[];
}

/** A finding of a single sum as a sentence, with the joints or sessions that it concerns; null for a code without words. */
export function sumWords(found: SumFinding, f: Format): string | null {
  const { code, severity = 'informs', values = {}, joints = [], sessions = [] } = found;
  const finding = { code, severity, values };
  const own = sayFrom(SUM_FINDINGS, finding, f);
  const words = own === code ? says(finding, f) : own;
  const names = [...joints, ...sessions];
  return words === null || names.length === 0 ? words : `${names.join(', ')}: ${words}`;
}

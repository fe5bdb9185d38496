import type { SumValues } from '@lean-clasp/core/findings';
import { clampName } from './catalogue';
import type { Words } from './values';

/** What the single sums find worth saying; plans have words of their own for the same things. */
export const SUM_FINDINGS: Words<SumValues> = {
  'rack-falls-short': ({ sharePct }) =>
    `The rack falls short: at best ${Math.round(sharePct)} % of the pressure wanted in the weakest place.`,
  'platen-lifts': () => 'The platen lifts off between its clamps: nothing is pressed there.',
  'no-pull': () => 'No clamp pulls: nothing is pressed.',
  'clamps-in-one-place': ({ first, second, xMm }, f) =>
    `Clamps ${first} and ${second} stand in one place, at ${f.length(xMm)}; they press as one.`,
  'line-open': ({ line, openMm }, f) => `Line ${line + 1} stays open by up to ${f.fine(openMm)}.`,
  'thickness-differs': ({ line, thicknessMm }, f) =>
    `The boards of line ${line + 1} differ in thickness; ${f.length(thicknessMm)} of it touches.`,
  'pads-short': ({ padMm, thicknessMm }, f) =>
    `Pads of ${f.length(padMm)} are shorter than ${f.length(thicknessMm)} of thickness; they press deeper than is reckoned with.`,
  'one-session-is-least': ({ sessions }) =>
    sessions > 1 ? `${sessions} sessions are the fewest.` : 'One session is the fewest.',
  'sessions-pinned': ({ sessions }) => `Pins ask for ${sessions} sessions.`,
  'clamps-go-round': ({ count, kind, there, sessions }) =>
    `${count} ${clampName(kind, count)} are wanted and ${there} are there: ${sessions} sessions at least.`,
  'clamps-packed': ({ sessions }) =>
    `However joints are shared out, clamps go round in no fewer than ${sessions} sessions.`,
  'closed-already': () => 'Parts of these joints are closed in by an earlier session.',
  captive: ({ parts }) => `${parts} parts hold each other: whichever comes last has no way left to come in.`,
  'too-few-clamps': ({ kind, there }) =>
    kind === ''
      ? 'More clamps are wanted at once than there are.'
      : `More ${clampName(kind, 2)} are wanted at once than the ${there} that are there.`,
  'too-few-hands': () => 'More pairs of hands are wanted at once than there are.',
  'too-few-benches': () => 'Wants a bench where there is none.',
  'no-opening-long-enough': () => 'Hands-on work and setting up fit into no opening of the shop.',
  'waits-in-a-circle': () => 'These wait for each other.',
  'window-too-short': ({ usedShare }) =>
    `Takes ${Math.round(100 * usedShare)} % of what the glue gives, even by itself.`,
  'hands-on-not-proven': () => 'Fewest sessions and most room are proven; the least hands-on time is not.',
  'impossible-not-proven': () => 'No way was found, but not every way was looked at.',
  'pins-contradict': () => 'Joints are pinned to sessions that cannot follow one another.',
};

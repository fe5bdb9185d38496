import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { Range } from '@lean-clasp/core/basics';
import type { Finding } from '@lean-clasp/core/findings';
import { readWallTime } from '@lean-clasp/core/calendar';
import { formatWait } from '@lean-clasp/core/units';
import { says, reasonWords } from '@lean-clasp/words';
import { dayAndTime } from '../order/wall-words';
import type { Format } from '../quantities/use-format';

/** Amounts measured with feelers rather than with a tape. */
const FINE =
  /(change|sagitta|gap|rack|lengthError|pull|residual|wind|cup|bow|sag|wedge|closure|ward|slot|crown|open|y)Mm$/;

/** Unit of a field, by the suffix that its name carries. */
const PRINTERS: readonly (readonly [suffix: RegExp, print: (value: number, f: Format) => string])[] = [
  [FINE, (value, f) => f.fine(value)],
  [/Mm2$/, (value, f) => f.area(value)],
  [/Mm$/, (value, f) => f.length(value)],
  [/MPa$/, (value, f) => f.pressure(value)],
  [/(forceN|N)$/, (value, f) => f.force(value)],
  [/Deg$/, (value) => `${Number(value.toFixed(2))}°`],
  [/(machineMin|CureMin|clampMin)$/, (value) => formatWait(value)],
  [/(Min|minutes)$/, (value) => `${Number(value.toFixed(1))} min`],
  [/Ml$/, (value, f) => f.volume(value)],
  [/massG$/, (value, f) => f.mass(value)],
  [/Pct$/, (value) => `${value.toFixed(1)} %`],
];

/** A day and a time as the calendar writes them. */
const WALL_TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/;

/** Words that answers use as codes. */
const WORDS: Readonly<Record<string, string>> = {
  'length-error': 'not racked: a side has the wrong length',
  both: 'racked, and a side has the wrong length',
  proven: 'proven: none is better',
  'best-found': 'the best found',
  infeasible: 'cannot be made',
  none: 'neither',
  ac: 'a–c',
  bd: 'b–d',
};

function printNumber(field: string, value: number, f: Format): string {
  const printer = PRINTERS.find(([suffix]) => suffix.test(field));
  return printer === undefined ? String(Number(value.toFixed(3))) : printer[1](value, f);
}

/** A value of an answer in words: a number in its unit, a range as low to high, a list item by item. */
export function valueWords(field: string, value: unknown, f: Format): string {
  if (value === null)
    return NOTHING[field] ?? (field.endsWith('Min') ? 'none: refused' : 'the readings cannot tell');
  if (typeof value === 'number') return printNumber(field, value, f);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string' && (field === 'adhesive' || field === 'best'))
    return findAdhesive(value).name;
  if (typeof value === 'string' && WALL_TIME.test(value))
    return dayAndTime(readWallTime(value.slice(0, 16), field));
  if (typeof value === 'string') return WORDS[value] ?? value.replaceAll('-', ' ');
  if (field === 'why' && Array.isArray(value)) return whyWords(value as Why, f);
  if (isRows(value)) return String(value.length);
  if (Array.isArray(value)) return listWords(field, value, f);
  if (isRange(value)) {
    return `${printNumber(field, value.low, f)} to ${printNumber(field, value.high, f)}, likely ${printNumber(field, value.likely, f)}`;
  }
  if (typeof value === 'object') {
    return Object.entries(value as Readonly<Record<string, number>>)
      .map(([part, number]) => `${part} ${printNumber(field, number, f)}`)
      .join(', ');
  }
  return '';
}

/** Reasons as a ranking of glues gives them. */
type Why = readonly (Finding & { readonly weight: number })[];

function whyWords(why: Why, f: Format): string {
  return why
    .filter(({ weight }) => weight === 0 || Math.abs(weight) >= 0.5)
    .map((reason) =>
      reason.weight === 0 ? says(reason, f) : `${reason.weight > 0 ? '+' : '−'} ${reasonWords(reason, f)}`,
    )
    .join('; ');
}

/** What an empty list means, where it means something of its own. */
const EMPTY: Readonly<Record<string, string>> = { batches: 'nothing to mix' };

/** What no answer means, where it means something of its own. */
const NOTHING: Readonly<Record<string, string>> = {
  worstMargin: 'cannot be made',
  handsOnMin: 'cannot be made',
  elapsedMin: 'cannot be made',
  finish: 'never',
};

/** Longer lists of numbers are told by their ends. */
const MOST_LISTED = 12;

function listWords(field: string, values: readonly unknown[], f: Format): string {
  const numbers = values.filter((value) => typeof value === 'number');
  if (numbers.length === values.length && values.length > MOST_LISTED) {
    const [low, high] = [Math.min(...numbers), Math.max(...numbers)];
    return `${printNumber(field, low, f)} to ${printNumber(field, high, f)}, ${values.length} values`;
  }
  return values.length === 0
    ? (EMPTY[field] ?? 'none')
    : values.map((value) => valueWords(field, value, f)).join(' · ');
}

/** A row of named values inside an answer. */
export type AnswerRow = Readonly<Record<string, unknown>>;

/** True for a list of rows, which is shown as a table instead of in words. */
export function isRows(value: unknown): value is readonly AnswerRow[] {
  return Array.isArray(value) && value.length > 0 && typeof value[0] === 'object';
}

function isRange(value: unknown): value is Range {
  return typeof value === 'object' && value !== null && 'likely' in value;
}

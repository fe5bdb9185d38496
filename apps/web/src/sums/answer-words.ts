import { formatWait, type Range } from '@lean-clasp/core';
import type { Format } from '../quantities/use-format';

/** Unit of a field, by the suffix that its name carries. */
const PRINTERS: readonly (readonly [suffix: RegExp, print: (value: number, f: Format) => string])[] = [
  [/(changeMm|sagittaMm)$/, (value, f) => f.fine(value)],
  [/Mm2$/, (value) => `${(value / 100).toFixed(value < 10000 ? 1 : 0)} cm²`],
  [/Mm$/, (value, f) => f.length(value)],
  [/MPa$/, (value, f) => f.pressure(value)],
  [/(forceN|N)$/, (value, f) => f.force(value)],
  [/(machineMin|CureMin|clampMin)$/, (value) => formatWait(value)],
  [/(Min|minutes)$/, (value) => `${Number(value.toFixed(1))} min`],
  [/Ml$/, (value, f) => f.volume(value)],
  [/massG$/, (value, f) => f.mass(value)],
  [/Pct$/, (value) => `${value.toFixed(1)} %`],
];

function printNumber(field: string, value: number, f: Format): string {
  const printer = PRINTERS.find(([suffix]) => suffix.test(field));
  return printer === undefined ? String(Number(value.toFixed(3))) : printer[1](value, f);
}

/** A value of an answer in words: a number in its unit, a range as low–high, a list by its length. */
export function valueWords(field: string, value: unknown, f: Format): string {
  if (value === null) return 'none: refused';
  if (typeof value === 'number') return printNumber(field, value, f);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length === 0 ? 'nothing to mix' : String(value.length);
  if (isRange(value)) {
    return `${printNumber(field, value.low, f)} to ${printNumber(field, value.high, f)}, likely ${printNumber(field, value.likely, f)}`;
  }
  if (typeof value === 'object') {
    return Object.entries(value as Readonly<Record<string, number>>)
      .map(([part, number]) => `${part} ${printNumber(field, number, f)}`)
      .join(', ');
  }
  return typeof value === 'string' ? value : '';
}

function isRange(value: unknown): value is Range {
  return typeof value === 'object' && value !== null && 'likely' in value;
}

import { type ParsedQuantity, refusal } from './parsed';

const NUMBER = /^([-−]?\d+(?:[.,]\d+)?)\s*\D*$/;

/** Reads a plain number, with a decimal point or comma and whatever unit stands behind it; whole ones alone if asked. */
export function parseNumber(text: string, whole = false): ParsedQuantity {
  const found = NUMBER.exec(text.trim())?.[1]?.replace(',', '.').replace('−', '-');
  const value = Number(found ?? Number.NaN);
  return Number.isFinite(value) && (!whole || Number.isInteger(value))
    ? { ok: true, value }
    : refusal(whole ? '4' : '8.5');
}

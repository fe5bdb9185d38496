import { type ParsedQuantity, numberPattern, readNumber, refusal } from './parsed';

/** Millimetres in one inch, exact by definition (1959 international yard). */
export const MM_PER_INCH = 25.4;

/** How a person prefers to read and type quantities. */
export type UnitSystem = 'metric' | 'imperial';

const FACTORS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
};

const INCHES = String.raw`(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)|(\d*[.,]?\d+|\d+[.,]?)`;
const INCH_MARK = String.raw`(?:"|in|inch|inches)`;
const FEET_AND_INCHES = new RegExp(`^(\\d+)\\s*(?:'|ft)\\s*(?:[-\\s]?\\s*(?:${INCHES})\\s*${INCH_MARK}?)?$`);
const FRACTION = new RegExp(String.raw`^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)\s*(${INCH_MARK})?$`);
const PLAIN = new RegExp(`^(${numberPattern})\\s*(mm|cm|m|in|inch|inches|"|ft|')?$`);

/** Curly quotes, primes and vulgar fractions become their plain-keyboard forms. */
function normalise(text: string): string {
  const fractions: Readonly<Record<string, string>> = {
    '¼': ' 1/4',
    '½': ' 1/2',
    '¾': ' 3/4',
    '⅛': ' 1/8',
    '⅜': ' 3/8',
    '⅝': ' 5/8',
    '⅞': ' 7/8',
  };
  return text
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (sign) => fractions[sign] ?? sign)
    .replace(/[’′]/g, "'")
    .replace(/[”″]|''/g, '"')
    .trim()
    .toLowerCase();
}

function fraction(whole: string | undefined, top: string, bottom: string): number | null {
  const denominator = Number(bottom);
  return denominator === 0 ? null : Number(whole ?? 0) + Number(top) / denominator;
}

/**
 * Reads a length as people write it and returns millimetres.
 *
 * Accepted: `12`, `12.5`, `12,5` (in the person's own unit), `mm`, `cm`, `m`, `in`, `"`, `ft`, `'`, fractions
 * such as `5/8`, `19 5/8`, `19-5/8"`, and feet with inches such as `1' 3-5/16"`. A bare fraction is inches
 * in either system, because nobody writes fractions of a millimetre.
 * @param system decides the unit of a bare number.
 */
export function parseLength(text: string, system: UnitSystem): ParsedQuantity {
  const source = normalise(text);
  const negative = /^[-−]/.test(source);
  const body = negative ? source.slice(1).trim() : source;
  const magnitude = parseMagnitude(body, system);
  if (magnitude === null) {
    return refusal('19 5/8, 19.625in, 1\' 3-5/16", 498 mm, 49.8 cm');
  }
  return { ok: true, value: negative ? -magnitude : magnitude };
}

function parseMagnitude(body: string, system: UnitSystem): number | null {
  const feet = FEET_AND_INCHES.exec(body);
  if (feet?.[1] !== undefined) {
    const inches =
      feet[3] !== undefined && feet[4] !== undefined
        ? fraction(feet[2], feet[3], feet[4])
        : Number((feet[5] ?? '0').replace(',', '.'));
    return inches === null ? null : (Number(feet[1]) * 12 + inches) * MM_PER_INCH;
  }
  const parts = FRACTION.exec(body);
  if (parts?.[2] !== undefined && parts[3] !== undefined) {
    const inches = fraction(parts[1], parts[2], parts[3]);
    return inches === null ? null : inches * MM_PER_INCH;
  }
  const plain = PLAIN.exec(body);
  if (plain?.[1] === undefined) return null;
  const factor = FACTORS[plain[2] ?? (system === 'metric' ? 'mm' : 'in')] ?? 1;
  return readNumber(plain[1]) * factor;
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/**
 * Prints millimetres as inches with the nearest fraction.
 * @param denominator finest fraction, a power of two up to 64.
 */
export function formatInches(mm: number, denominator = 64): string {
  const ticks = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator);
  const sign = mm < 0 && ticks > 0 ? '−' : '';
  const whole = Math.floor(ticks / denominator);
  const rest = ticks % denominator;
  if (rest === 0) return `${sign}${whole}"`;
  const divisor = greatestCommonDivisor(rest, denominator);
  const part = `${rest / divisor}/${denominator / divisor}`;
  return whole === 0 ? `${sign}${part}"` : `${sign}${whole} ${part}"`;
}

/** Decimals that suit a length in millimetres: tenths below 100 mm when they matter, else whole. */
function metricText(mm: number, decimals: number): string {
  return mm
    .toFixed(decimals)
    .replace(/\.?0+$/, (tail) => (tail.includes('.') ? '' : tail))
    .replace(/^-0$/, '0')
    .replace('-', '−');
}

/**
 * Prints a length with its unit, for reading.
 * Small amounts (bow, gap, wind) are printed in decimal thousandths of an inch, sizes in fractions.
 * @param fine true for amounts measured with feelers rather than a tape.
 */
export function formatLength(mm: number, system: UnitSystem, fine = false): string {
  if (system === 'imperial') {
    return fine ? `${(mm / MM_PER_INCH).toFixed(3).replace('-', '−')}"` : formatInches(mm);
  }
  return `${metricText(mm, fine ? 2 : 1)} mm`;
}

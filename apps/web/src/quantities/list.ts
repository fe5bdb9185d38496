import { MM_PER_INCH, parseLength, type UnitSystem } from '@lean-clasp/core/units';

/** What the numbers of a list are: lengths in the person's unit, or plain numbers. */
export type ListQuantity = 'length' | 'plain';

/** What a list is made of: numbers, or rows of named numbers. */
export type ListShape =
  { readonly kind: 'numbers' } | { readonly kind: 'rows'; readonly keys: readonly string[] };

type Row = Readonly<Record<string, number>>;
/** Numbers in core units, or rows of them. */
export type List = readonly (number | Row)[];

/** How a list's text is read and written. */
export interface ListStyle {
  readonly shape: ListShape;
  readonly quantity: ListQuantity;
  readonly system: UnitSystem;
}

const NUMBER = /^[-−+]?\d+(?:\.\d+)?$/;
/** A thousandth of an inch is 0.025 mm: finer than any reading. */
const DECIMALS = { metric: 3, imperial: 4 } as const;

/** A list as text: numbers with commas between them, rows on lines of their own. */
export function printList(value: unknown, style: ListStyle): string {
  if (!Array.isArray(value)) return '';
  const { shape, quantity, system } = style;
  const factor = quantity === 'length' && system === 'imperial' ? MM_PER_INCH : 1;
  const print = (number: number | undefined) =>
    String(Number(((number ?? 0) / factor).toFixed(DECIMALS[system])));
  return shape.kind === 'numbers'
    ? (value as number[]).map(print).join(', ')
    : (value as Row[]).map((row) => shape.keys.map((key) => print(row[key])).join(', ')).join('\n');
}

/** The list that a text stands for, in core units; null when it cannot be read. */
export function readList(text: string, style: ListStyle): List | null {
  const { shape } = style;
  if (shape.kind === 'numbers') return readNumbers(text, style);
  const rows = text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => readNumbers(line, style));
  const whole = rows.every((row) => row?.length === shape.keys.length);
  return whole
    ? rows.map((row) => Object.fromEntries(shape.keys.map((key, i) => [key, row?.[i] ?? 0])))
    : null;
}

function readNumbers(text: string, { quantity, system }: ListStyle): number[] | null {
  // Commas or semicolons part the numbers; where there are none, blanks do, unless they may be part of 5 3/8.
  const byComma = /[,;]/.test(text);
  const pieces = text
    .split(quantity === 'plain' ? /[,;\s]+/ : byComma ? /[,;\n]/ : text.includes('/') ? /\n/ : /\s+/)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '');
  const numbers = pieces.map((piece) => {
    if (quantity === 'plain') return NUMBER.test(piece) ? Number(piece.replace('−', '-')) : null;
    const parsed = parseLength(piece, system);
    return parsed.ok ? parsed.value : null;
  });
  return numbers.every((number) => number !== null) ? numbers : null;
}

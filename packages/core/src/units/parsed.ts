/** Outcome of reading what a person typed: a value in core units, or the forms that would have been read. */
export type ParsedQuantity =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly examples: string };

/** A decimal number with point or comma. */
export const numberPattern = String.raw`\d+(?:[.,]\d*)?|[.,]\d+`;

/** Reads what `numberPattern` matched. */
export function readNumber(text: string): number {
  return Number(text.replace(',', '.'));
}

/** A failed reading that shows accepted forms. */
export function refusal(examples: string): ParsedQuantity {
  return { ok: false, examples };
}

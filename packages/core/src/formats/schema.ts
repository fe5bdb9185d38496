import type { TNumber, TSchema } from '@sinclair/typebox';
import { Type } from '../basics/type';
import type { Bounds } from '../basics/checks';

/** A finite number inside bounds. */
export function bounded(bounds: Bounds): TNumber {
  return Type.Number({ minimum: bounds.min, maximum: bounds.max });
}

/** A whole number inside bounds. */
export function wholeBounded(bounds: Bounds) {
  return Type.Integer({ minimum: bounds.min, maximum: bounds.max });
}

/** A value that has not been read or chosen yet is null, never absent. */
export function orNull<T extends TSchema>(schema: T) {
  return Type.Union([schema, Type.Null()]);
}

/** From here to there, each null where it is not said. */
export function between(bounds: Bounds) {
  const end = orNull(bounded(bounds));
  return strictObject({ low: end, high: end });
}

/** One of a fixed list of words. */
export function oneOf<const T extends readonly string[]>(words: T) {
  return Type.Unsafe<T[number]>({ type: 'string', enum: [...words] });
}

/** An object that accepts exactly its own fields. */
export function strictObject<T extends Parameters<typeof Type.Object>[0]>(fields: T) {
  return Type.Object(fields, { additionalProperties: false });
}

/** A person's own short text. */
export const ShortText = Type.String({ maxLength: 200 });
/** A day, as `2026-03-14`. */
export const Day = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' });
/** A document-local identifier. */
export const Id = Type.String({ minLength: 1, maxLength: 64, pattern: '^[A-Za-z0-9_-]+$' });

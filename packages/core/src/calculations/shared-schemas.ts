import type { TSchema } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { oneOf, orNull, strictObject } from '../formats';

const positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });

/** An id of the catalogue. */
export const CatalogueId = Type.String({ maxLength: 64 });

/** Properties given in place of a catalogue id. */
const InlineSpecies = strictObject({
  eLMPa: positive(50000),
  eRMPa: positive(20000),
  eTMPa: positive(20000),
  gLRMPa: positive(10000),
  gLTMPa: positive(10000),
  nuLR: Type.Number({ minimum: 0, maximum: 1 }),
  nuLT: Type.Number({ minimum: 0, maximum: 1 }),
  compPerpMPa: positive(100),
  sg: positive(1.5),
  cR: Type.Number({ minimum: 0, maximum: 0.01 }),
  cT: Type.Number({ minimum: 0, maximum: 0.01 }),
});

/** A species id or an inline object of properties. */
export const SpeciesSchema = Type.Union([CatalogueId, InlineSpecies]);

/** Low, likely and high estimate. */
export const RangeSchema = strictObject({ low: Type.Number(), likely: Type.Number(), high: Type.Number() });
/** A range, or null where the family is refused. */
export const RangeOrNull = orNull(RangeSchema);
/** A number, or null where the family is refused. */
export const NumberOrNull = orNull(Type.Number());

/** Everything that went into an answer. */
export const UsedSchema = Type.Record(Type.String(), Type.Union([Type.Number(), Type.String()]));

/** Findings as data: code, severity, values. */
export const FindingsSchema = Type.Array(
  strictObject({
    code: Type.String(),
    severity: oneOf(['refuses', 'warns', 'informs']),
    values: UsedSchema,
  }),
);

/** Number of wetted faces. */
export const FacesSchema = Type.Union([Type.Literal(1), Type.Literal(2)]);

/** Marks a field as one that may be left out. */
export const optional = <T extends TSchema>(schema: T) => Type.Optional(schema);

import { Type } from '../basics/type';
import { LIMITS } from '../basics/limits';
import { FINISHES } from './finishes';
import { bounded, oneOf, orNull, strictObject } from './schema';

/** What a person wants of the glue beside holding. */
export const WishesSchema = strictObject({
  finish: oneOf(FINISHES),
  /** To be taken apart again one day. */
  repairable: Type.Boolean(),
  /** A load, or a bend, that never goes away. */
  lastingLoad: Type.Boolean(),
  /** Lasting warmth where it will stand; null for a room. */
  warmC: orNull(bounded({ min: 20, max: 120, unit: '°C' })),
  /** Clamps must be free again after this long; null for whenever. */
  clampsOffWithinMin: orNull(bounded(LIMITS.minutes)),
  /** Nothing that makes skin or lungs allergic. */
  noSensitisers: Type.Boolean(),
  /** Wood brought in from elsewhere; null for as warm as the shop. */
  woodTempC: orNull(bounded(LIMITS.tempC)),
  /** A bottle kept elsewhere; null or left out for as warm as the shop. */
  glueTempC: Type.Optional(orNull(bounded(LIMITS.tempC))),
});

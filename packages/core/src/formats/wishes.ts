import type { Static } from '@sinclair/typebox';
import type { WishesSchema } from './wishes-schema';

/** What a person wants of the glue beside holding. */
export type Wishes = Static<typeof WishesSchema>;

/** What is wanted where nothing is said. */
export const NO_WISHES: Wishes = {
  finish: 'clear',
  repairable: false,
  lastingLoad: false,
  warmC: null,
  clampsOffWithinMin: null,
  noSensitisers: false,
  woodTempC: null,
};

/** What a build says of it, else what is usual. */
export const wishesOf = ({ wishes }: { readonly wishes?: Wishes | undefined }): Wishes => wishes ?? NO_WISHES;

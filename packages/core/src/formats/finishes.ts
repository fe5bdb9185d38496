/** What comes over the wood afterwards. */
export const FINISHES = ['none', 'clear', 'stain', 'paint'] as const;
/** One of `FINISHES`. */
export type Finish = (typeof FINISHES)[number];

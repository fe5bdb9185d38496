/** The four things a glue-up is judged on, in order of urgency. */
export const ASPECTS = ['inTime', 'tight', 'square', 'flat'] as const;
/** One of `ASPECTS`. */
export type Aspect = (typeof ASPECTS)[number];

/** Good with room, good without room, or not good. */
export const STATES = ['holds', 'close', 'fails'] as const;
/** One of `STATES`. */
export type VerdictState = (typeof STATES)[number];

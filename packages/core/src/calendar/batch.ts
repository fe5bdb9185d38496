/** Equal pieces glued one after the other with as many sets of clamps as there are. */
export interface BatchJob {
  /** Pieces to make. */
  readonly pieces: number;
  /** Hands-on work for one, min. */
  readonly handsOnMin: number;
  /** From full pressure until its clamps may come off, min. */
  readonly clampMin: number;
  /** Taking its clamps off, min; hands are at it. */
  readonly unclampMin: number;
  /** Pieces that can be in clamps at once. */
  readonly clampSets: number;
}

/** A batch on the clock. Minutes from the first move. */
export interface Batch {
  /** When each piece is begun. */
  readonly startMin: readonly number[];
  /** When the first clamps may come off. */
  readonly firstFreeMin: number;
  /** When the last clamp is off. */
  readonly doneMin: number;
  /** Pieces an hour once it flows. */
  readonly perHour: number;
  /** What holds it up once it flows. */
  readonly heldUpBy: 'hands' | 'clamps';
  /** Sets of clamps from which on hands are never waiting. */
  readonly clampSetsToFlow: number;
}

/**
 * Works a batch through with one team: the next piece is begun as soon as there are clamps for it; clamps come off only
 * when they are wanted again and their time is over, or at the end. Once it flows a piece takes the longer of its
 * hands-on minutes and its round of clamps shared among the sets; no other way of going about it is quicker.
 */
export function batchOf({ pieces, handsOnMin, clampMin, unclampMin, clampSets }: BatchJob): Batch {
  const sets = Math.max(1, Math.floor(clampSets));
  const startMin: number[] = [];
  const inClamps: number[] = [];
  let clock = 0;
  const takeOff = () => {
    clock = Math.max(clock, inClamps.shift() ?? clock) + unclampMin;
  };
  for (let piece = 0; piece < pieces; piece += 1) {
    while (inClamps.length >= sets) takeOff();
    startMin.push(clock);
    clock += handsOnMin;
    inClamps.push(clock + clampMin);
  }
  while (inClamps.length > 0) takeOff();
  const byHands = handsOnMin + unclampMin;
  const round = handsOnMin + clampMin + unclampMin;
  const eachMin = Math.max(byHands, round / sets);
  return {
    startMin,
    firstFreeMin: handsOnMin + clampMin,
    doneMin: clock,
    perHour: eachMin > 0 ? 60 / eachMin : Infinity,
    heldUpBy: byHands >= round / sets - 1e-9 ? 'hands' : 'clamps',
    clampSetsToFlow: byHands > 0 ? Math.max(1, Math.ceil(round / byHands - 1e-9)) : 1,
  };
}

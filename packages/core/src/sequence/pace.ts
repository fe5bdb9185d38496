/**
 * Minutes of hands-on work at the built-in pace, all [judgement] for one practised person; the shop's pace
 * factor multiplies them and the logbook shows how near they were.
 */
export const PACE = Object.freeze({
  /** Turning a board down onto its neighbour, rubbing it and flushing the ends. */
  placeBoardMin: 0.35,
  /** Extra for each metre of board beyond the first. */
  placePerMetreMin: 0.1,
  /** Extra for each 10 kg of board. */
  placePer10KgMin: 0.15,
  /** Setting a clamp on, line of pull checked, light pull. */
  setClampMin: 0.4,
  /** The same when it was opened to size and laid out beforehand. */
  setPreSetClampMin: 0.25,
  /** Bringing one clamp to full pull in the second pass. */
  tightenClampMin: 0.15,
  /** Taking a clamp off again. */
  takeOffClampMin: 0.1,
  /** A pair of cauls across, film under it, snugged. */
  caulPairMin: 0.6,
  /** A light clamp over film, or a weight, on one line so that its faces are level. */
  flushLineMin: 0.3,
  /** Squeeze-out, flat and square looked at while it still moves. */
  checkMin: 0.75,
});

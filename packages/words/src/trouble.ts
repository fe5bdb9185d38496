import type { Mishap } from '@lean-clasp/core/bench';
import type { CorrectionValues, TroubleValues } from '@lean-clasp/core/findings';
import { formatClock } from '@lean-clasp/core/units';
import type { Words } from './values';

/** What goes wrong at a bench, as one would call it out. */
export const MISHAP_WORDS: Readonly<Record<Mishap, string>> = {
  'clamp-stuck': 'A clamp is stuck',
  'clamp-short': 'A clamp is too short',
  'brush-dropped': 'Brush on the floor',
  'helper-away': 'The helper has to go',
  'grabs-early': 'A joint grabs already',
  'wrong-way': 'A part is the wrong way round',
  'glue-out': 'The glue runs out',
  'called-away': 'Called away, or the telephone',
  other: 'Something else',
};

const about = (takesMin: number): string => (takesMin > 0 ? `, takes ${formatClock(takesMin)}` : '');

/** What can be done when it is late or something went wrong. */
export const TROUBLE: Words<TroubleValues> = {
  'way-go-on': () => 'Go on as planned.',
  'way-this-first': ({ joint }) => `${joint === '' ? 'Another step' : joint} first, then the rest.`,
  'way-helper': () => 'Call another pair of hands now.',
  'way-leave': ({ joints, count }) =>
    `Leave ${joints} for a session of ${count === 1 ? 'its' : 'their'} own.`,
  'way-afresh': ({ joint }) => `Pull ${joint} apart while it is wet, wipe off, lay a fresh bead.`,
  'answer-next-spare-clamp': ({ takesMin }) => `Take a spare clamp${about(takesMin)}`,
  'answer-work-it-loose': ({ takesMin }) => `Work it loose${about(takesMin)}`,
  'answer-drop-the-blocks': ({ takesMin }) =>
    `Leave its blocks off, a scrap under the jaws${about(takesMin)}`,
  'answer-two-in-line': ({ takesMin }) => `Hook two clamps into each other${about(takesMin)}`,
  'answer-spare-brush': ({ takesMin }) => `Take the spare one${about(takesMin)}`,
  'answer-by-finger': ({ takesMin }) => `Spread with a finger, gloves on${about(takesMin)}`,
  'answer-alone-for-now': () => 'Go on alone',
  'answer-mallet-and-block': ({ takesMin }) =>
    `A soft mallet over a block sets it moving again${about(takesMin)}; then its clamps at once`,
  'answer-turn-it-round': ({ takesMin }) =>
    `Pull it out, turn it round, look that its bead is whole${about(takesMin)}`,
  'answer-next-bottle': ({ takesMin }) => `Open the next bottle${about(takesMin)}`,
  'answer-thinner-from-others': ({ takesMin }) =>
    `Scrape up what stands proud on the spread faces${about(takesMin)}; the film gets thinner`,
  'answer-go-on-now': () => 'Go on now',
};

/** What a reading comes to. */
export const CORRECTIONS: Words<CorrectionValues> = {
  'reads-true': () => 'That will do. Leave it.',
  'draw-diagonal': ({ where, long, pullMm, outMm }, f) =>
    `${where === '' ? 'Racked' : `Racked at the ${where}`} by ${f.fine(outMm)}: clamp lightly across ${long}, draw it in by ${f.fine(pullMm)}, read again.`,
  'twisted-base': ({ outMm }, f) =>
    `It leans one way here and the other way there, ${f.fine(outMm)} at most: look first whether it stands on a flat base, shim under the corner that rocks.`,
  'wrong-length': ({ sides, byMm }, f) =>
    `${sides} differ by ${f.fine(byMm)}: a part of the wrong length, which no clamp mends. Equal diagonals share it out; leave it there.`,
  'lower-corner': ({ corner, byMm }, f) =>
    `In wind: corner ${corner} stands ${f.fine(byMm)} high. Ease the nearest clamp, bring ${corner} down to the base or shim under its neighbours, read again.`,
  'bars-too-low': ({ byMm }, f) =>
    `The middle stands ${f.fine(byMm)} high, as when the pull sits low: ease the lower bars a quarter turn, draw the upper ones, read again.`,
  'bars-too-high': ({ byMm }, f) =>
    `The middle is hollow by ${f.fine(byMm)}, as when the pull sits high: ease the upper bars a quarter turn, draw the lower ones, read again.`,
  'part-is-bowed': ({ bowMm }, f) =>
    `That is the part itself, bowed by ${f.fine(bowMm)}, not the corner: leave it, or draw it straight lightly from corner to corner.`,
  'scarf-kinked': ({ byMm, high }, f) =>
    `A kink of ${f.fine(byMm)}: ${high > 0 ? 'the joint stands proud, ease its clamps, press it down on the bench' : 'the ends stand proud, shim under the joint'}, draw again, look for the feather ends.`,
  'tap-flush': ({ joint, byMm }, f) =>
    `${joint} stands off by ${f.fine(byMm)}: ease the clamp next to it, a block and a soft mallet on the proud side, draw again.`,
  'gap-open': ({ joint, byMm }, f) =>
    `${joint === '' ? 'A line is open' : `${joint} is open${byMm > 0 ? ` by ${f.fine(byMm)}` : ''}`}: draw the clamps on either side of it, one above and one below, read again. What does not close by firm pull is left and filled later.`,
  'draw-over': ({ joints }) =>
    `Dry at ${joints}: draw the clamps over it. If no bead shows within a minute it is starved; open it and lay a fresh bead while it still moves.`,
  'square-off': ({ byMm, open }, f) =>
    `Out of square by ${f.fine(byMm)}, open ${open}: move the clamp's feet toward the ${open === 'at the corner' ? 'outside' : 'inside'} so that the pull leans the other way, read again.`,
  'clear-bore': () => 'Push a rag on a rod through now, while it is wet; then once more.',
  'tap-stack': ({ byMm }, f) =>
    `The stack stands ${f.fine(byMm)} above the shoulder: ease the rails' clamps, tap the spacers home with a block, draw again.`,
  'stack-too-high': ({ byMm }, f) =>
    `The stack stands ${f.fine(byMm)} above the shoulder, more than tapping takes up: no clamp will seat the leg. Take the last spacer out and shave it.`,
  'open-angle': ({ byDeg }) =>
    `Too closed by ${byDeg}°: ease, open it against the bevel, draw with the blocks a little further in.`,
  'close-angle': ({ byDeg }) =>
    `Too open by ${byDeg}°: ease, close it against the bevel, draw with the blocks a little further out.`,
  'seam-open': () => 'Light comes through: stretch one more strip across that place, look again.',
  'flat-spot': () => 'A flat: ease the mould clamp nearest to it, let the strip spring fair, draw again.',
  'feet-in': ({ byMm }, f) =>
    `The feet stand ${f.fine(byMm)} too far apart: draw them in until a spacer as long as the head just fits.`,
  'feet-out': ({ byMm }, f) =>
    `The feet stand ${f.fine(byMm)} too near: push a spacer as long as the head between them.`,
  'iron-again': () => 'Hollow: once more under the iron, from the centre, and press until it is cold.',
  'seal-leaks': () =>
    'The gauge falls: an ear along the seal and the hose, press it down where it hisses, pull and test again.',
  'shift-band': () =>
    'A band lies below the face: what is missing cannot be trimmed on. Peel its strips, slide it until it covers, press again.',
};

/** Fields whose names are not words of the shop. */
const FIELDS: Readonly<Record<string, string>> = {
  ac: 'A–C',
  bd: 'B–D',
  ab: 'side A–B',
  bc: 'side B–C',
  cd: 'side C–D',
  da: 'side D–A',
  off: 'by how much',
  at: 'a step at',
  lines: 'the lines are',
  proud: 'proud by',
  high: 'high corner',
  wind: 'wind',
  open: 'a gap',
  gap: 'gap',
  blade: 'blade of the square',
  bows: 'the part bows',
  bow: 'bow of the part',
  part: 'length of the part',
  stack: 'the stack is',
  by: 'by how much',
  stands: 'it stands',
  head: 'at the head',
  feet: 'at the feet',
  middle: 'the middle is',
  seen: 'what do you see',
};

/** What is asked for, as it stands beside its field. */
export function fieldWords(id: string): string {
  const [, station, name] = /^(.*) (ac|bd)$/.exec(id) ?? [];
  return station !== undefined && name !== undefined
    ? `${FIELDS[name] ?? name}, ${station}`
    : (FIELDS[id] ?? id);
}

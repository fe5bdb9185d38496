import type {
  PlacingValues,
  RowChangeValues,
  RowTighteningValues,
  RowValues,
} from '@lean-clasp/core/findings';
import { findAdhesive } from '@lean-clasp/core/adhesives';
import { findClampKind } from '@lean-clasp/core/clamps';
import { formatCount, formatWait } from '@lean-clasp/core/units';
import { clampName, inSentence } from './catalogue';
import type { Words } from './values';

/** What clamps, cauls and packing have to say about a plan. */
export const ROW_CAUSES: Words<RowValues> = {
  'line-opens': ({ line, openMm, atMm }, f) =>
    f.fine(openMm) === f.fine(0)
      ? `${line} is just not closed at ${f.about(atMm)}`
      : `${line} stands open ${f.fine(openMm)} at ${f.about(atMm)}`,
  'jaws-foul': ({ clamp, other, apartMm, neededMm }, f) =>
    `jaws ${clamp} and ${other} are in one place: ${f.length(apartMm)} apart, they need ${f.length(neededMm)}`,
  'handles-foul': ({ clamp, other, apartMm, neededMm }, f) =>
    `handles ${clamp} and ${other} foul each other: ${f.length(apartMm)} apart, turning takes ${f.length(neededMm)}`,
  'jaw-too-shallow': ({ clamp, kind }) =>
    `the jaws of clamp ${clamp} (${findClampKind(kind).name}) do not reach mid-thickness`,
  'light-squeeze-needs-filler': ({ gapMm, neededMm }, f) =>
    `a light squeeze leaves a thick line; this glue fills ${f.fine(gapMm)}, it takes ${f.fine(neededMm)}`,
  'no-room-for-caul': ({ placed, pairs }) => `room between the bars for ${placed} of ${pairs} pairs of cauls`,
  'cauls-to-make': ({ pairs, have }) => `${pairs} pairs of cauls planned, the shop has ${have}`,
  'caul-too-short': ({ lengthMm, neededMm }, f) =>
    `cauls of ${f.length(lengthMm)} leave no room for their clamps; ${f.length(neededMm)} do`,
  'caul-overstressed': ({ stressMPa, bearsMPa }, f) =>
    `cauls bend with ${f.pressure(stressMPa)}, they bear ${f.pressure(bearsMPa)}: deeper ones`,
  'caul-clamps-missing': ({ count, openingMm, forceN }, f) =>
    `nothing on the rack for the ends of the cauls: ${count} clamps, ${f.about(openingMm)}, ${f.force(forceN)} each`,
};

/** What may be done about it. */
export const ROW_CHANGES: Words<RowChangeValues> = {
  'handles-in-turn': () => 'Turn every other clamp round: handles at both edges in turn',
  'glue-less-across': ({ line, others }) =>
    `Glue ${line}${others === 0 ? '' : ` and ${others} more`} in the middle only, as the kind lays it out`,
  'squeeze-as-wanted': () => 'Full pressure, as the wood wants it',
  'squeeze-lightly': () => 'A light squeeze and a second one: weaker, for rough work',
  'plane-line': ({ line }) => `Plane ${line} until it closes dry`,
  'plane-flat': ({ mm }, f) => `Plane the boards flat, or change them: ${f.fine(mm)} read`,
  'dry-boards': ({ mcPct }) => `Let the wet boards dry to ${mcPct} % first`,
  'other-cauls': ({ species, widthMm, depthMm, crownMm }, f) =>
    `Take the cauls of ${inSentence(species)}, ${f.sizes([widthMm, depthMm])}, crowned ${f.fine(crownMm)}`,
  'fewer-cauls': ({ pairs }) => (pairs === 0 ? 'No cauls' : `${pairs} pairs of cauls only`),
  'borrow-clamps': ({ forceN, kind, count, openingMm }, f) =>
    forceN === 0
      ? `Borrow a ${clampName(kind, 1)} with its pump`
      : `Borrow ${count} ${clampName(kind, count)}, ${f.force(forceN)} each, that open ${f.about(openingMm)}`,
  'make-battens': ({ thicknessMm, clamps }, f) =>
    `Make two battens, ${f.length(thicknessMm)} wide: ${clamps} clamps then do`,
  'use-easier-glue': ({ adhesive, lowMPa }, f) =>
    `${findAdhesive(adhesive).name}: content with ${f.pressure(lowMPa)}`,
};

/** What placing clamps came to. */
export const PLACING_WORDS: Words<PlacingValues> = {
  'placed-clamps': ({ count, minMPa, lowMPa, line, atMm, proven, tried }, f) =>
    count === 0
      ? 'No clamp on the rack is long enough for this work.'
      : `${count} clamps: lowest ${f.pressure(minMPa)} of ${f.pressure(lowMPa)}, on ${line} at ${f.about(atMm)}. ${proven === 'yes' ? 'Every set was tried.' : `Best of ${formatCount(tried)} sets tried.`}`,
  'placed-on-pull': ({ count, minMPa, lowMPa, line }, f) =>
    `${count} ${count === 1 ? 'clamp' : 'clamps'}: lowest ${f.pressure(minMPa)} of ${f.pressure(lowMPa)}, on ${line}.`,
  'placed-on-seats': ({ count, reachN, neededN }, f) =>
    `${count} ${count === 1 ? 'clamp' : 'clamps'}: ${f.force(reachN)} in all, seating wants ${f.force(neededN)}.`,
  'cauls-added': ({ pairs }) =>
    `Nothing held the panel from popping: ${pairs} ${pairs === 1 ? 'pair' : 'pairs'} of cauls put across.`,
  'lot-too-short': ({ count, kind, opensMm, neededMm }, f) =>
    `${count} ${clampName(kind, count)} left out: they open ${f.length(opensMm)}, the work needs ${f.length(neededMm)}.`,
};

/** How clamps are brought on, as it is said at the bench. */
export const ROW_TIGHTENING: Words<RowTighteningValues> = {
  'row-stage': ({ session, of, from, to, glued, dry, openingMm }, f) =>
    `Session ${session} of ${of}: ${from} to ${to} in the bars, opened to ${f.about(openingMm)}; glue in ${glued}${
      dry === '' ? '' : `, ${dry} dry with film between`
    }.`,
  'tighten-snug-cauls': ({ pairs }) =>
    `Lay ${pairs} ${pairs === 1 ? 'pair' : 'pairs'} of cauls over release film, the middle pair first, snug only: boards must still slide.`,
  'tighten-worst-first': ({ where, line, gapMm }, f) =>
    where === 'ends'
      ? `Begin at the ends of ${line}, open ${f.fine(gapMm)} there: draw them in turn, opposite ends, before anything else is shut.`
      : `Begin in the middle of ${line}, open ${f.fine(gapMm)}: shut it before its neighbours make it stiff.`,
  'tighten-light': ({ from, order }) =>
    from === 'end'
      ? `Light pull, from one end to the other: ${order}. Above and below in turn.`
      : from === 'ends'
        ? `Light pull, the ends first: ${order}. Above and below in turn.`
        : `Light pull, from the centre outward: ${order}. Above and below in turn.`,
  'tighten-look': () =>
    'Look: faces flush, ends in line, a fine bead everywhere. A soft mallet over a block moves what is proud.',
  'tighten-relieve': ({ line }) =>
    `Ease the cauls a quarter turn so that ${line} can slide, pull it home, press the cauls down again.`,
  'tighten-full': ({ order, highestN, lowestN }, f) =>
    `Full pull in the same order: ${order}, ${
      highestN - lowestN < 1 ? f.force(highestN) : `${f.force(lowestN)} to ${f.force(highestN)}`
    } each.`,
  'tighten-cauls': ({ forceN }, f) => `Cauls down, both ends evenly, ${f.force(forceN)} each.`,
  'tighten-again': ({ afterMin }) =>
    `After ${formatWait(afterMin)}, once the glue drags, a second squeeze in the same order.`,
};

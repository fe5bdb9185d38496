import { findAdhesive } from '@lean-clasp/core/adhesives';
import { findClampKind } from '@lean-clasp/core/clamps';
import { findSpecies } from '@lean-clasp/core/materials';
import { formatCount } from '@lean-clasp/core/units';
import type { Say } from './values';

const clamps = (kind: string, count: number) =>
  count === 1 ? findClampKind(kind).name : `${findClampKind(kind).name}s`;

/** What clamps, cauls and packing have to say about a plan. */
export const ROW_CAUSES: Readonly<Record<string, Say>> = {
  'line-opens': ({ s, n }, f) => `${s('line')} stands open ${f.fine(n('openMm'))} at ${f.length(n('atMm'))}`,
  'jaws-foul': ({ n }, f) =>
    `jaws ${n('clamp')} and ${n('other')} are in one place: ${f.length(n('apartMm'))} apart, they need ${f.length(n('neededMm'))}`,
  'handles-foul': ({ n }, f) =>
    `handles ${n('clamp')} and ${n('other')} foul each other: ${f.length(n('apartMm'))} apart, turning takes ${f.length(n('neededMm'))}`,
  'jaw-too-shallow': ({ n, s }) =>
    `the jaws of clamp ${n('clamp')} (${findClampKind(s('kind')).name}) do not reach mid-thickness`,
  'light-squeeze-needs-filler': ({ n }, f) =>
    `a light squeeze leaves a thick line; this glue fills ${f.fine(n('gapMm'))}, it takes ${f.fine(n('neededMm'))}`,
  'no-room-for-caul': ({ n }) => `room between the bars for ${n('placed')} of ${n('pairs')} pairs of cauls`,
  'cauls-to-make': ({ n }) => `${n('pairs')} pairs of cauls planned, the shop has ${n('have')}`,
  'caul-too-short': ({ n }, f) =>
    `cauls of ${f.length(n('lengthMm'))} leave no room for their clamps; ${f.length(n('neededMm'))} do`,
  'caul-overcrowned': ({ n }, f) =>
    `cauls crowned ${f.fine(n('crownMm'))} where ${f.fine(n('neededMm'))} is enough: their ends would hang free`,
  'caul-overstressed': ({ n }, f) =>
    `cauls bend with ${f.pressure(n('stressMPa'))}, they bear ${f.pressure(n('bearsMPa'))}: deeper ones`,
  'caul-clamps-missing': ({ n }, f) =>
    `nothing on the rack for the ends of the cauls: ${n('count')} clamps, ${f.length(n('openingMm'))}, ${f.force(n('forceN'))} each`,
  'cauls-bend': () => 'cauls bend away in their middle: too little crown',
};

/** What may be done about it. */
export const ROW_CHANGES: Readonly<Record<string, Say>> = {
  'handles-in-turn': () => 'Turn every other clamp round: handles at both edges in turn',
  'squeeze-as-wanted': () => 'Full pressure, as the wood wants it',
  'squeeze-lightly': () => 'A light squeeze and a second one: weaker, for rough work',
  'plane-line': ({ s }) => `Plane ${s('line')} until it closes dry`,
  'plane-flat': ({ n }, f) => `Plane the boards flat, or change them: ${f.fine(n('mm'))} read`,
  'dry-boards': ({ n }) => `Let the wet boards dry to ${n('mcPct')} % first`,
  'other-cauls': ({ s, n }, f) =>
    `Take the cauls of ${(findSpecies(s('species'))?.name ?? s('species')).toLowerCase()}, ${f.sizes([n('widthMm'), n('depthMm')])}, crowned ${f.fine(n('crownMm'))}`,
  'fewer-cauls': ({ n }) => (n('pairs') === 0 ? 'No cauls' : `${n('pairs')} pairs of cauls only`),
  'borrow-clamps': ({ n, s }, f) =>
    n('forceN') === 0
      ? `Borrow a ${clamps(s('kind'), 1)} with its pump`
      : `Borrow ${n('count')} ${clamps(s('kind'), n('count'))}, ${f.force(n('forceN'))} each, that open ${f.length(n('openingMm'))}`,
  'make-battens': ({ n }, f) =>
    `Make two battens, ${f.length(n('thicknessMm'))} wide: ${n('clamps')} clamps then do`,
  'use-easier-glue': ({ s, n }, f) =>
    `${findAdhesive(s('adhesive')).name}: content with ${f.pressure(n('lowMPa'))}`,
};

/** What placing clamps came to. */
export const PLACING_WORDS: Readonly<Record<string, Say>> = {
  'placed-clamps': ({ n, s }, f) =>
    n('count') === 0
      ? 'No clamp on the rack is long enough for this work.'
      : `${n('count')} clamps: lowest ${f.pressure(n('minMPa'))} of ${f.pressure(n('lowMPa'))}, on ${s('line')} at ${f.length(n('atMm'))}. ${s('proven') === 'yes' ? 'Every set was tried.' : `Best of ${formatCount(n('tried'))} sets tried.`}`,
  'placed-on-pull': ({ n, s }, f) =>
    `${n('count')} ${n('count') === 1 ? 'clamp' : 'clamps'}: lowest ${f.pressure(n('minMPa'))} of ${f.pressure(n('lowMPa'))}, on ${s('line')}.`,
  'placed-on-seats': ({ n }, f) =>
    `${n('count')} ${n('count') === 1 ? 'clamp' : 'clamps'}: ${f.force(n('reachN'))} in all, seating wants ${f.force(n('neededN'))}.`,
  'cauls-added': ({ n }) =>
    `Nothing held the panel from popping: ${n('pairs')} ${n('pairs') === 1 ? 'pair' : 'pairs'} of cauls put across.`,
  'lot-too-short': ({ n, s }, f) =>
    `${n('count')} ${clamps(s('kind'), n('count'))} left out: they open ${f.length(n('opensMm'))}, the work needs ${f.length(n('neededMm'))}.`,
};

/** How clamps are brought on, as it is said at the bench. */
export const TIGHTENING_WORDS: Readonly<Record<string, Say>> = {
  'tighten-snug-cauls': ({ n }) =>
    `Lay ${n('pairs')} ${n('pairs') === 1 ? 'pair' : 'pairs'} of cauls over release film, the middle pair first, snug only: boards must still slide.`,
  'tighten-worst-first': ({ s, n }, f) =>
    s('where') === 'ends'
      ? `Begin at the ends of ${s('line')}, open ${f.fine(n('gapMm'))} there: draw them in turn, opposite ends, before anything else is shut.`
      : `Begin in the middle of ${s('line')}, open ${f.fine(n('gapMm'))}: shut it before its neighbours make it stiff.`,
  'tighten-light': ({ s }) =>
    s('from') === 'end'
      ? `Light pull, from one end to the other: ${s('order')}. Above and below in turn.`
      : s('from') === 'ends'
        ? `Light pull, the ends first: ${s('order')}. Above and below in turn.`
        : `Light pull, from the centre outward: ${s('order')}. Above and below in turn.`,
  'tighten-look': () =>
    'Look: faces flush, ends in line, a fine bead everywhere. A soft mallet over a block moves what is proud.',
  'tighten-relieve': ({ s }) =>
    `Ease the cauls a quarter turn so that ${s('line')} can slide, pull it home, press the cauls down again.`,
  'tighten-full': ({ s, n }, f) =>
    `Full pull in the same order: ${s('order')}, ${
      n('highestN') - n('lowestN') < 1
        ? f.force(n('highestN'))
        : `${f.force(n('lowestN'))} to ${f.force(n('highestN'))}`
    } each.`,
  'tighten-cauls': ({ n }, f) => `Cauls down, both ends evenly, ${f.force(n('forceN'))} each.`,
  'tighten-again': ({ n }) =>
    `After ${n('fromMin')} to ${n('toMin')} minutes, once the glue drags, a second squeeze in the same order.`,
};

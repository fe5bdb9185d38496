import type { PressureWord } from '@lean-clasp/core/clamps';
import { formatCount } from '@lean-clasp/core/units';
import type { PullChangeValues, PullTighteningValues, PullValues } from '@lean-clasp/core/findings';
import { clampName } from './catalogue';
import type { Say, Words } from './values';

/** Names of pulls by their id, as kinds lay them out. */
const PULL_NAMES: Readonly<Record<string, string>> = {
  across: 'Across',
  along: 'Along',
  'across-tenons': 'Across, over the slotted blocks',
  down: 'Down',
  up: 'Upright',
  back: 'Through the back',
  round: 'Right round',
};

/** The name of a pull; corners and a person's own pulls are named by what they close. */
export const pullName = (id: string, joint: string): string => PULL_NAMES[id] ?? `On ${joint}`;

export const PRESSURE_WORDS: Readonly<Record<PressureWord, string>> = {
  'under-pressed': '▲ under-pressed',
  light: '◆ light',
  right: '● right',
  'more-than-needed': '◆ more than needed',
  starves: '▲ starves',
  crushes: '▲ crushes',
};

/** What a pull lacks: force in all; or, where there is enough of that, pressure at its weakest place. */
function lacking(force: Say<PullValues['pull-short']>): Say<PullValues['pull-short']> {
  return (values, f) =>
    values.reachN < values.neededN
      ? force(values, f)
      : `${values.line} gets ${f.pressure(values.minMPa)} at its weakest place; the pull in all would do`;
}

/** What the clamps in their places have to say. */
export const PULL_CAUSES: Words<PullValues> = {
  'pull-short': lacking(
    ({ line, neededN, reachN }, f) =>
      `${line} wants ${f.force(neededN)} in all, the rack gives ${f.force(reachN)}`,
  ),
  'pull-light': lacking(
    ({ line, neededN, reachN }, f) =>
      `${line} is light: ${f.force(neededN)} wanted, the rack gives ${f.force(reachN)}`,
  ),
  'pad-crushes': ({ clamp, padMPa, crushMPa }, f) =>
    `the jaw of clamp ${clamp} bites at ${f.pressure(padMPa)}, the wood bears ${f.pressure(crushMPa)}: a block under it`,
  'jaws-do-not-reach': ({ kind, depthMm, neededMm }, f) =>
    `${clampName(kind, 2)} reach ${f.length(depthMm)} in, they are to press ${f.length(neededMm)} from the edge: deeper ones, or stiff cauls right across`,
  'clamps-far-apart': ({ line, have, everyMm, count }, f) =>
    have === 1
      ? `${line}: one clamp presses only ${f.about(everyMm)} of it; one every ${f.about(everyMm)} makes ${count}`
      : `${line}: what ${have} clamps press does not meet; one every ${f.about(everyMm)} makes ${count}`,
  'placed-gone': ({ count }) =>
    `${count} ${count === 1 ? 'clamp was' : 'clamps were'} placed from a lot that is no longer on the rack or does not suit: take another lot, or take ${count === 1 ? 'it' : 'them'} off`,
  'placed-too-short': ({ count, opensMm, neededMm }, f) =>
    `${count} placed ${count === 1 ? 'clamp opens' : 'clamps open'} only ${f.length(opensMm)}, the work needs ${f.length(neededMm)}`,
  'placed-beyond-rack': ({ count, have }) => `${count} more placed than the ${have} of that lot on the rack`,
  'line-without-clamp': ({ count, line }) =>
    count === 1
      ? `no clamp stands in line with ${line}: add one, or see that a stiff caul from its neighbours brings it home`
      : `${count} lines have no clamp, ${line} for one: add clamps, or see that stiff cauls from their neighbours bring them home`,
  'seat-off-middle': ({ clamp, offMm, line, mostMm }, f) =>
    `clamp ${clamp} pulls ${f.length(offMm)} off the middle of ${line}: past ${f.length(mostMm)} one side of its shoulder opens`,
  'narrow-jaws': ({ sharePct }) =>
    `Jaws narrower than the work: along its edges only ${Math.round(sharePct)} % of the mean. Blocks as wide as the work mend that.`,
  'pressed-by-elements': ({ unknowns }) =>
    `By finite elements with contact, ${formatCount(unknowns)} unknowns.`,
  'band-loses-pull': ({ bands, friction }) =>
    bands > 1
      ? `Round every corner a band loses pull (friction ${friction}); ratchets on opposite corners even it out.`
      : `Round every corner the band loses pull (friction ${friction}): the ratchet at the sharpest corner, or waxed paper under it.`,
  'opposed-clamps': ({ mostRatio }) =>
    `Then opposed clamps, both directions in turn: neither more than ${mostRatio.toFixed(2)} times the other, or the mitres slide.`,
  'opposed-uneven': ({ acrossN, downN, mostRatio }, f) =>
    `opposed clamps pull ${f.force(acrossN)} one way and ${f.force(downN)} the other: past ${mostRatio.toFixed(2)} to 1 a stave climbs out. Give each a partner of its strength`,
  'screw-bands-turned': () =>
    'Screw bands one by one, a little each: their screws on sides that stand square to each other, so that no corner is drawn twice.',
  'skew-racks': ({ skewMm, spanMm, forceN }, f) =>
    `A jaw ${f.about(skewMm)} off line over ${f.about(spanMm)} racks the work with ${f.force(forceN)}: sight each bar along what it draws home.`,
  'skew-corrects': ({ long, pullMm, skewMm, forceN }, f) =>
    `Racked: ${long} is long by ${f.fine(2 * pullMm)}. Shift both jaws of a clamp toward the ends of ${long}: ${f.length(skewMm)} off line pulls with ${f.force(forceN)}. Half the difference, ${f.fine(pullMm)}, is enough; read again.`,
};

/** What may be done about it. */
export const PULL_CHANGES: Words<PullChangeValues> = {
  'more-on-pull': ({ count, now }) =>
    `${count} more ${count === 1 ? 'clamp' : 'clamps'}, ${now + count} in all`,
  'pull-worked-out': ({ line }) => `Clamps on ${line} where they would be put by themselves`,
  'read-diagonals-first': ({ diagonalMm, mostMm }, f) =>
    `Read both diagonals: ${f.length(diagonalMm)} when square, good while what is to pull stays within ${f.fine(mostMm)}`,
  'sight-first': ({ mostMm }, f) =>
    `Sight it for wind and bow: good as long as it is within ${f.fine(mostMm)}`,
  'borrow-deep': ({ count, kind, depthMm }, f) =>
    `Borrow ${count} ${clampName(kind, count)}, whose jaws reach ${f.about(depthMm)} in`,
  'cauls-along': ({ thicknessMm }, f) => `Cauls of ${f.length(thicknessMm)} along the whole work, both sides`,
  'cauls-across': ({ thicknessMm }, f) =>
    `A caul of ${f.length(thicknessMm)} across every line of joints, both sides, one clamp on each`,
  'blocks-under': ({ thicknessMm }, f) => `Blocks of ${f.length(thicknessMm)} under the jaws`,
  'slip-round': () => 'Waxed paper or corner rollers under the band',
  'press-between-platens': () => 'Press between platens and crowned cauls, not in a bag',
  'cut-again': ({ line }) => `Cut ${line} again until it closes dry`,
  'shoot-mitres': ({ errorDeg }) => `Shoot the mitres true to ${errorDeg}°`,
  'pull-diagonal': ({ long, pullMm }, f) => `Pull ${long} in by ${f.fine(pullMm)} and read again`,
  'clamp-down': () => 'Clamp it down to a flat base, opposite corners in turn',
  'veneer-both': () => 'Veneer both faces',
  'let-settle': ({ mcPct }) => `Let all parts come to ${mcPct.toFixed(1)} % first`,
};

/** How an assembly is brought together, as it is said at the bench. */
export const PULL_TIGHTENING: Words<PullTighteningValues> = {
  'tighten-round': ({ count, order }) =>
    count === 1
      ? 'Band round, snug; every corner level and its inside in line; then tension, a little at a time.'
      : `Bands and wraps from the middle, then outward: ${order}. Keep them off the ends; snug first, then tension.`,
  'tighten-tape': ({ count }) =>
    count === 1
      ? 'One strip of tape, stretched across the joint.'
      : `${count} strips of tape, stretched across each joint, from the middle outward.`,
  'tighten-bag': () =>
    'Seal, draw down, smooth from the middle; look for a wrinkle or a leak; the pump runs until the clamps could come off.',
  'tighten-sheets': ({ order }) =>
    `Cauls from the middle outward, both ends together: ${order}; a little each round.`,
  'tighten-seat': ({ order }) =>
    `In line with the joints: ${order}. Snug all, then home in turn, until shoulders and housings sit; more only bends the parts.`,
  'tighten-stack': ({ order, forceN }, f) =>
    `Snug, edges levelled, then from the middle outward: ${order}, ${f.force(forceN)} each in two rounds.`,
  'relieve-slide-restore': () =>
    'Where one direction keeps another from closing: ease it half a turn, slide, close, bring it back.',
  'read-diagonals': () => 'Read both diagonals while it still moves; pull the long one.',
  'sight-wind': () => 'Sight across it for wind; a shim or a clamp at one corner while it moves.',
  'blocks-held': ({ count, kind, forceN }, f) =>
    `Before the first bead, dry: the blocks held by ${count} ${clampName(kind, count)}, ${f.force(forceN)} each. Draw up once without glue and see that none creeps.`,
  'corners-down': ({ count, kind, forceN }, f) =>
    `${count} ${clampName(kind, count)} at the corners, down to the flat base with ${f.force(forceN)} each, opposite ones in turn.`,
};

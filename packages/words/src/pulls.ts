import { findClampKind, type PressureWord } from '@lean-clasp/core/clamps';
import { formatCount } from '@lean-clasp/core/units';
import type { Say } from './values';

/** Names of pulls by their id, as kinds lay them out. */
const PULL_NAMES: Readonly<Record<string, string>> = {
  across: 'Across',
  along: 'Along',
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

const clamps = (kind: string, count = 2) =>
  count === 1 ? findClampKind(kind).name : `${findClampKind(kind).name}s`;

/** What a pull lacks: force in all; or, where there is enough of that, pressure at its weakest place. */
function lacking(force: Say): Say {
  return (values, f) =>
    values.n('reachN') < values.n('neededN')
      ? force(values, f)
      : `${values.s('line')} gets ${f.pressure(values.n('minMPa'))} at its weakest place; the pull in all would do`;
}

/** What the clamps in their places have to say. */
export const PULL_CAUSES: Readonly<Record<string, Say>> = {
  'pull-short': lacking(
    ({ s, n }, f) =>
      `${s('line')} wants ${f.force(n('neededN'))} in all, the rack gives ${f.force(n('reachN'))}`,
  ),
  'pull-light': lacking(
    ({ s, n }, f) =>
      `${s('line')} is light: ${f.force(n('neededN'))} wanted, the rack gives ${f.force(n('reachN'))}`,
  ),
  'pad-crushes': ({ n }, f) =>
    `the jaw of clamp ${n('clamp')} bites at ${f.pressure(n('padMPa'))}, the wood bears ${f.pressure(n('crushMPa'))}: a block under it`,
  'jaws-do-not-reach': ({ s, n }, f) =>
    `${clamps(s('kind'))} reach ${f.length(n('depthMm'))} in, they are to press ${f.length(n('neededMm'))} from the edge: deeper ones, or stiff cauls right across`,
  'clamps-far-apart': ({ s, n }, f) =>
    `${s('line')}: what ${n('have')} clamps press does not meet; one every ${f.length(n('everyMm'))} makes ${n('count')}`,
  'placed-gone': ({ n }) =>
    `${n('count')} ${n('count') === 1 ? 'clamp was' : 'clamps were'} placed from a lot that is no longer on the rack or does not suit: take another lot, or take ${n('count') === 1 ? 'it' : 'them'} off`,
  'placed-too-short': ({ n }, f) =>
    `${n('count')} placed ${n('count') === 1 ? 'clamp opens' : 'clamps open'} only ${f.length(n('opensMm'))}, the work needs ${f.length(n('neededMm'))}`,
  'placed-beyond-rack': ({ n }) => `${n('count')} more placed than the ${n('have')} of that lot on the rack`,
  'line-without-clamp': ({ n, s }) =>
    n('count') === 1
      ? `no clamp stands in line with ${s('line')}: add one, or put a caul across`
      : `${n('count')} lines have no clamp, ${s('line')} for one: add clamps, or put cauls across`,
  'seat-off-middle': ({ n, s }, f) =>
    `clamp ${n('clamp')} pulls ${f.length(n('offMm'))} off the middle of ${s('line')}: past ${f.length(n('mostMm'))} one side of its shoulder opens`,
  'narrow-jaws': ({ n }) =>
    `Jaws narrower than the work: along its edges only ${Math.round(n('sharePct'))} % of the mean. Blocks as wide as the work mend that.`,
  'pressed-by-elements': ({ n }) =>
    `By finite elements with contact, ${formatCount(n('unknowns'))} unknowns.`,
  'band-loses-pull': ({ n }) =>
    n('bands') > 1
      ? `Round every corner a band loses pull (friction ${n('friction')}); ratchets on opposite corners even it out.`
      : `Round every corner the band loses pull (friction ${n('friction')}): the ratchet at the sharpest corner, or waxed paper under it.`,
  'opposed-clamps': ({ n }) =>
    `Then opposed clamps, both directions in turn: neither more than ${n('mostRatio').toFixed(2)} times the other, or the mitres slide.`,
  'skew-racks': ({ n }, f) =>
    `A jaw ${f.length(n('skewMm'))} off line over ${f.length(n('spanMm'))} racks the frame with ${f.force(n('forceN'))}: sight each bar along its rail.`,
  'skew-corrects': ({ n, s }, f) =>
    `Racked: ${s('long')} is long by ${f.fine(2 * n('pullMm'))}. Shift both jaws of a clamp toward the ends of ${s('long')}: ${f.length(n('skewMm'))} off line pulls with ${f.force(n('forceN'))}. Half the difference, ${f.fine(n('pullMm'))}, is enough; read again.`,
};

/** What may be done about it. */
export const PULL_CHANGES: Readonly<Record<string, Say>> = {
  'more-on-pull': ({ n }) =>
    `${n('count')} more ${n('count') === 1 ? 'clamp' : 'clamps'}, ${n('now') + n('count')} in all`,
  'pull-worked-out': ({ s }) => `Clamps on ${s('line')} where they would be put by themselves`,
  'read-diagonals-first': ({ n }, f) =>
    `Read both diagonals: ${f.length(n('diagonalMm'))} when square, good while what is to pull stays within ${f.fine(n('mostMm'))}`,
  'sight-first': ({ n }, f) =>
    `Sight it for wind and bow: good as long as it is within ${f.fine(n('mostMm'))}`,
  'borrow-deep': ({ n, s }, f) =>
    `Borrow ${n('count')} ${clamps(s('kind'), n('count'))}, whose jaws reach ${f.length(n('depthMm'))} in`,
  'cauls-along': ({ n }, f) => `Cauls of ${f.length(n('thicknessMm'))} along the whole work, both sides`,
  'blocks-under': ({ n }, f) => `Blocks of ${f.length(n('thicknessMm'))} under the jaws`,
  'slip-round': () => 'Waxed paper or corner rollers under the band',
  'press-between-platens': () => 'Press between platens and crowned cauls, not in a bag',
  'cut-again': ({ s }) => `Cut ${s('line')} again until it closes dry`,
  'shoot-mitres': ({ n }) => `Shoot the mitres true to ${n('errorDeg')}°`,
  'pull-diagonal': ({ s, n }, f) => `Pull ${s('long')} in by ${f.fine(n('pullMm'))} and read again`,
  'clamp-down': () => 'Clamp it down to a flat base, opposite corners in turn',
  'veneer-both': () => 'Veneer both faces',
  'let-settle': ({ n }) => `Let all parts come to ${n('mcPct').toFixed(1)} % first`,
};

/** How an assembly is brought together, as it is said at the bench. */
export const PULL_TIGHTENING: Readonly<Record<string, Say>> = {
  'tighten-round': ({ s, n }) =>
    n('count') === 1
      ? 'Band round, snug; every corner level and its inside in line; then tension, a little at a time.'
      : `Bands and wraps from the middle, then outward: ${s('order')}. Keep them off the ends; snug first, then tension.`,
  'tighten-tape': ({ n }) =>
    `${n('count')} strips of tape, stretched across each joint, from the middle outward.`,
  'tighten-bag': () =>
    'Seal, draw down, smooth from the middle; look for a wrinkle or a leak; the pump runs until the clamps could come off.',
  'tighten-sheets': ({ s }) =>
    `Cauls from the middle outward, both ends together: ${s('order')}; a little each round.`,
  'tighten-seat': ({ s }) =>
    `In line with the joints: ${s('order')}. Snug all, then home in turn, until shoulders and housings sit; more only bends the parts.`,
  'tighten-stack': ({ s, n }, f) =>
    `Snug, edges levelled, then from the middle outward: ${s('order')}, ${f.force(n('forceN'))} each in two rounds.`,
  'relieve-slide-restore': () =>
    'Where one direction keeps another from closing: ease it half a turn, slide, close, bring it back.',
  'read-diagonals': () => 'Read both diagonals while it still moves; pull the long one.',
  'sight-wind': () => 'Sight across it for wind; a shim or a clamp at one corner while it moves.',
  'corners-down': () => 'Corners down to the flat base, opposite ones in turn.',
};

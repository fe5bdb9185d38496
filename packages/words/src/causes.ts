import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { Finding } from '@lean-clasp/core/basics';
import { findClampKind } from '@lean-clasp/core/clamps';
import { findSpreadMethod } from '@lean-clasp/core/spread';
import { formatClock, formatWait } from '@lean-clasp/core/units';
import type { Format } from './format';
import { PULL_CAUSES, PULL_CHANGES, PULL_TIGHTENING } from './pulls';
import { PLACING_WORDS, ROW_CAUSES, ROW_CHANGES, TIGHTENING_WORDS } from './rows';
import { type Say, sayFrom } from './values';

const WINDOW_WORDS: Readonly<Record<string, string>> = {
  open: 'open time',
  closed: 'closed assembly time',
  total: 'assembly time',
};

const SERVICE_WORDS: Readonly<Record<string, string>> = {
  dry: 'dry rooms',
  damp: 'damp rooms',
  exterior: 'weather',
  wet: 'water',
};

const HELD_WORDS: Readonly<Record<string, string>> = {
  bars: 'bars on both faces',
  cauls: 'cauls',
  'bars+cauls': 'bars on both faces and cauls',
};

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** Sentences for what limits a verdict. */
const CAUSES: Readonly<Record<string, Say>> = {
  'does-not-close': ({ n }, f) =>
    `the outline misses itself by ${f.fine(n('closureMm'))}: a side or a corner is not as given`,
  'too-cold': ({ n }, f) =>
    `${f.temperature(n('tempC'))} is below ${f.temperature(n('minTempC'))}: this glue forms no sound line`,
  'wood-too-cold': ({ n }, f) =>
    `the wood is at ${f.temperature(n('tempC'))}, below ${f.temperature(n('minTempC'))}: let it warm through first`,
  'glue-too-cold': ({ n }, f) =>
    `the glue is at ${f.temperature(n('tempC'))}, below ${f.temperature(n('minTempC'))}: warm the bottle in a water bath`,
  'gap-too-wide': ({ n }, f) =>
    `gaps of ${f.fine(n('gapMm'))} are wider than the ${f.fine(n('glueMm'))} it bridges`,
  'open-too-short': ({ n }) =>
    `closing takes ${formatClock(n('needMin'))}, it stays open for ${formatClock(n('windowMin'))}`,
  'closed-too-short': ({ n }) =>
    `clamping takes ${formatClock(n('needMin'))}, it bears ${formatClock(n('windowMin'))} after closing`,
  'softens-there': ({ n }, f) =>
    `softens at ${f.temperature(n('softensC'))}, it will stand at ${f.temperature(n('warmC'))}`,
  'no-iron-on': () => 'a dried film of it does not stick again under an iron',
  'clamps-on-too-long': ({ n }) =>
    `clamps stay on for about ${formatWait(n('clampMin'))}, they must be free within ${formatWait(n('withinMin'))}`,
  'to-be-avoided': () => 'can make skin or lungs allergic, and that is ruled out here',
  'near-cold-limit': ({ n }, f) =>
    `${f.temperature(n('tempC'))} is close to the coldest it stands, ${f.temperature(n('minTempC'))}`,
  'window-missed': ({ s, n }) =>
    `${s('line')} takes ${formatClock(n('usedMin'))} of ${formatClock(n('windowMin'))} ${WINDOW_WORDS[s('window')] ?? ''}`,
  'tightest-window': ({ s, n }) =>
    `${s('line')} uses ${formatClock(n('usedMin'))} of ${formatClock(n('windowMin'))} ${WINDOW_WORDS[s('window')] ?? ''}`,
  'wood-too-wet': ({ n }) =>
    `wood at ${n('mcPct').toFixed(1)} % moisture, this glue wants no more than ${n('maxPct')} %`,
  'wood-very-dry': ({ n }) =>
    `wood at ${n('mcPct').toFixed(1)} % moisture drinks the film; ${n('minPct')} % is the least`,
  'oily-wood': () => 'oily wood: wipe or plane it within hours of gluing',
  'resinous-wood': () => 'resinous wood: glue freshly planed faces',
  'service-too-hard': ({ s }) =>
    `made for ${SERVICE_WORDS[s('rated')] ?? s('rated')}, the piece has to stand ${SERVICE_WORDS[s('wanted')] ?? s('wanted')}`,
  'no-clamps': () => 'no clamps placed yet',
  'clamp-too-short': ({ n }, f) =>
    `clamp ${n('clamp')} opens ${f.length(n('opensMm'))}, the work needs ${f.length(n('neededMm'))}`,
  'not-enough-on-rack': ({ n }) => `${n('placed')} placed of a kind of which the rack holds ${n('have')}`,
  'clamp-off-end': ({ n }, f) =>
    `clamp ${n('clamp')} at ${f.length(n('atMm'))} hangs off the end of the panel`,
  'jaw-crushes': ({ n }, f) =>
    `the jaw of clamp ${n('clamp')} bites at ${f.pressure(n('padMPa'))}, the wood bears ${f.pressure(n('crushMPa'))}`,
  'gap-back-to-plane': ({ s, n }, f) =>
    Number.isFinite(n('forceN'))
      ? `${s('line')} is open ${f.fine(n('gapMm'))}; closing it eats ${f.force(n('forceN'))}: back to the plane`
      : `${s('line')} is open ${f.fine(n('gapMm'))} and no pull closes it: back to the plane`,
  'gap-costs-pull': ({ s, n }, f) =>
    `${s('line')} is open ${f.fine(n('gapMm'))}; closing it takes ${f.force(n('forceN'))} of ${f.force(n('totalN'))}`,
  'pull-off-middle-third': ({ n }, f) =>
    `pull ${f.fine(n('offsetMm'))} off mid-thickness; past ${f.fine(n('kernMm'))} the far face opens`,
  'more-than-needed': ({ s, n }, f) =>
    `${s('line')} gets ${f.pressure(n('meanMPa'))}, more than ${f.pressure(n('highMPa'))} only squeezes glue out`,
  'line-under-pressed': ({ s, n }, f) => `${s('line')} at ${f.length(n('atMm'))}: under-pressed`,
  'line-starves': ({ s, n }, f) =>
    `${s('line')} gets ${f.pressure(n('meanMPa'))}: past ${f.pressure(n('mostMPa'))} this glue is squeezed out and the line starves`,
  'line-light': ({ s, n }, f) => `${s('line')} at ${f.length(n('atMm'))}: light`,
  'line-pressed': ({ s, n }, f) => `least on ${s('line')}, at ${f.length(n('atMm'))}`,
  'ends-trimmed-later': ({ n }, f) =>
    `up to ${f.fine(n('rawMm'))} sawn off with the ${f.length(n('trimMm'))} left long`,
  'ends-stopped': () => 'ends held by a stop',
  'ends-free': () => 'boards can creep past each other: no end stop',
  'lengths-differ': () => 'boards differ in length',
  'diagonals-differ': () => 'dry-fit diagonals differ',
  'panel-pops': ({ n }) =>
    `nothing holds it: it would pop out of plane at ${percent(1 / n('loadShare'))} of this pull`,
  'panel-near-popping': ({ n }) =>
    `nothing holds it, and the pull is ${percent(n('loadShare'))} of what pops it`,
  'held-from-popping': ({ n, s }) =>
    `free, it would pop (${n('loadShare').toFixed(1)} × its limit); held by ${HELD_WORDS[s('heldBy')] ?? s('heldBy')}`,
  'bow-from-pull': () => 'bow from a pull off mid-thickness',
  'faces-not-flush': () => 'steps between neighbouring faces',
  'moisture-cup': () => 'cup as the moisture changes through the year',
  'boards-bowed': () => 'bow read at the dry fit',
  'boards-twisted': () => 'twist read at the dry fit',
  'joint-gap': ({ s, n }, f) =>
    n('forceN') > 0
      ? `${s('line')} is open ${f.fine(n('gapMm'))}; closing it takes more than these clamps should give: back to the plane`
      : `${s('line')} is open ${f.fine(n('gapMm'))}; this glue fills ${f.fine(n('glueMm'))} and no clamp bends it shut: cut it again`,
  'joint-gap-costs': ({ s, n }, f) =>
    `${s('line')} is open ${f.fine(n('gapMm'))}; closing it takes about ${f.force(n('forceN'))}`,
  'nothing-to-pull-with': ({ s, n }, f) =>
    `${s('line')}: ${NEED_LACKS[s('need')] ?? 'nothing on the rack'} that opens ${f.length(n('openingMm'))}`,
  'pull-crushes': ({ s }) => `${s('line')}: this pull crushes the wood`,
  'pull-meets': ({ s }) => `least on ${s('line')}, within reach of the rack`,
  'nothing-to-square': () => 'nothing here that could rack',
  'diagonals-unread': ({ n }, f) =>
    `read both diagonals at the dry fit: ${f.length(n('diagonalMm'))} when square`,
  'diagonals-read': () => 'from the diagonals read at the dry fit',
  'last-mitre-opens': ({ n }) =>
    n('corners') === 1
      ? `at the mitre if both its cuts are ${n('errorDeg')}° off`
      : `at the last of ${n('corners')} mitres if every cut is ${n('errorDeg')}° off`,
  'one-sided-bends': () => 'veneer on one face only: the water bends the sheet within minutes',
  springback: () => 'springback that the form must allow for',
  'moisture-differs': ({ s, n }) =>
    `${s('line')}: wood at ${n('mcPct').toFixed(1)} and ${n('otherPct').toFixed(1)} %; bring them within 2 % first`,
  'nothing-to-flatten': () => 'nothing here that clamps could bend',
  'flatness-unread': () => 'no twist or bow read; sight it at the dry fit',
  'no-joints': () => 'no joint yet',
  'order-captive': ({ n, s }) =>
    `session ${n('session')}: ${alsoOthers(s('line'), n('others'))} hold each other; no direction is left to bring the last part in`,
  'order-closed-already': ({ n, s }) =>
    `session ${n('session')}: ${alsoOthers(s('line'), n('others'))} can no longer be spread, an earlier session has closed the parts around it`,
  'order-window-too-short': ({ n, s }) =>
    `session ${n('session')}: ${alsoOthers(s('line'), n('others'))} close together and take longer than the glue gives`,
  'order-too-few-clamps': ({ n, s }) =>
    `session ${n('session')}: ${alsoOthers(s('line'), n('others'))} close together and want more clamps than there are`,
  'nothing-glued': () => 'every joint is left dry',
  ...ROW_CAUSES,
  ...PULL_CAUSES,
};

/** A joint, and how many more. */
function alsoOthers(line: string, others: number): string {
  return others === 0 ? line : `${line} and ${others} more`;
}

const NEED_LACKS: Readonly<Record<string, string>> = {
  band: 'no band or wrap',
  vacuum: 'no vacuum bag on the rack',
  tape: 'no tape or clamp',
  seat: 'no clamp on the rack',
  line: 'no clamp on the rack',
};

/** What a proposed edit does. */
const CHANGES: Readonly<Record<string, Say>> = {
  'add-clamps': ({ n, s }) =>
    `${n('count') === 1 ? 'One more' : `${n('count')} more`} ${clampName(s('kind'), n('count'))}`,
  'use-clamps': ({ n, s }, f) =>
    `${n('count')} ${clampName(s('kind'), n('count'))} instead, ${f.force(n('forceN'))} each`,
  'space-evenly': () => 'Space the clamps evenly',
  'use-glue': ({ s }) =>
    `${findAdhesive(s('adhesive')).name}${s('onShelf') === 'yes' ? '' : ' (not on the shelf)'}`,
  'one-more-pair': ({ n }) => `One more pair of hands, ${n('crew')} in all`,
  'wet-both-faces': () => 'Wet both faces',
  'wet-one-face': () => 'Wet one face only',
  'warm-the-wood': ({ n }, f) =>
    `Let the wood, now at ${f.temperature(n('tempC'))}, warm through to the shop’s air`,
  'other-hour': ({ n }, f) => `Glue up at ${n('hour')}:00 (${f.temperature(n('tempC'))}, ${n('rhPct')} %)`,
  'arrange-sessions': ({ n }) =>
    n('sessions') === 1
      ? 'Work in the order that was worked out, in one session'
      : `Glue in ${n('sessions')} sessions, in the order that was worked out`,
  'one-more-session': ({ n }) => `Cut the tightest session in two: ${n('sessions')} sessions`,
  'bars-both-faces': () => 'Bars touching both faces, in turn',
  'add-cauls': ({ n }) => `${n('pairs')} pairs of cauls across`,
  'use-blocks': ({ n }, f) => `Blocks of ${f.length(n('thicknessMm'))} under the jaws`,
  'use-battens': ({ n }, f) => `Battens of ${f.length(n('thicknessMm'))} along both edges`,
  'end-stops': () => 'Push the ends against a stop',
  'leave-long': ({ n }, f) => `Leave ${f.length(n('trimMm'))} at each end to saw off`,
  'centre-pull': ({ n }, f) => `Pack the bars: pull within ${f.fine(n('offsetMm'))} of mid-thickness`,
  'preset-clamps': () => 'Open and lay out the clamps beforehand',
  'alternate-hearts': () => 'Turn the boards heart up and down in turn',
  'spread-with': ({ s }) => `Spread with a ${findSpreadMethod(s('method')).name}`,
  'hold-in-use': () => 'Hold it flat in use: breadboard ends or battens',
  ...ROW_CHANGES,
  ...PULL_CHANGES,
};

/** What placing clamps came to, in plain words. */
export const placingWords = (finding: Finding, f: Format) => sayFrom(PLACING_WORDS, finding, f);

/** How clamps are brought on. */
export const tighteningWords = (finding: Finding, f: Format) =>
  sayFrom({ ...TIGHTENING_WORDS, ...PULL_TIGHTENING }, finding, f);

/** A kind of clamp, in the plural where there are several. */
export function clampName(kind: string, count: number): string {
  const { name } = findClampKind(kind);
  return count === 1 ? name : `${name}s`;
}

/** The limiting cause of a verdict, or any finding, in plain words. */
export const causeWords = (finding: Finding, f: Format) => sayFrom(CAUSES, finding, f);
/** A proposed edit in plain words. */
export const changeWords = (finding: Finding, f: Format) => sayFrom(CHANGES, finding, f);

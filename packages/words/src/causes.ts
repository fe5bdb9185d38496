import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { CauseValues, ChangeValues, ComesOutValues } from '@lean-clasp/core/findings';
import { formatClock, formatWait } from '@lean-clasp/core/units';
import { clampName } from './catalogue';
import { choiceWords } from './choice-words';
import type { Words } from './values';

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

/** What limits a verdict by what came out before. */
export const COMES_OUT: Words<ComesOutValues> = {
  'comes-out': ({ typicalMm, poorMm, runs }, f) =>
    `holds by the plan, but came out ${f.fine(typicalMm)} as a rule and ${f.fine(poorMm)} at the worst in ${runs} of its kind here`,
  'gaps-come-out': ({ typicalMm, poorMm, runs, fillsMm }, f) =>
    `pressed as it wants, but the widest gap left was ${f.fine(typicalMm)} as a rule and ${f.fine(poorMm)} at the worst in ${runs} of its kind here; this glue fills ${f.fine(fillsMm)}`,
};

/** Sentences for what limits a verdict. */
export const CAUSES: Words<CauseValues> = {
  'does-not-close': ({ closureMm }, f) =>
    `the outline misses itself by ${f.fine(closureMm)}: a side or a corner is not as given`,
  'too-cold': ({ tempC, minTempC }, f) =>
    `${f.temperature(tempC)} is below ${f.temperature(minTempC)}: this glue forms no sound line`,
  'wood-too-cold': ({ tempC, minTempC }, f) =>
    `the wood is at ${f.temperature(tempC)}, below ${f.temperature(minTempC)}: let it warm through first`,
  'glue-too-cold': ({ tempC, minTempC }, f) =>
    `the glue is at ${f.temperature(tempC)}, below ${f.temperature(minTempC)}: warm the bottle in a water bath`,
  'gap-too-wide': ({ gapMm, glueMm }, f) =>
    `gaps of ${f.fine(gapMm)} are wider than the ${f.fine(glueMm)} it bridges`,
  'open-too-short': ({ needMin, windowMin }) =>
    `closing takes ${formatClock(needMin)}, it stays open for ${formatClock(windowMin)}`,
  'closed-too-short': ({ needMin, windowMin }) =>
    `clamping takes ${formatClock(needMin)}, it bears ${formatClock(windowMin)} after closing`,
  'softens-there': ({ softensC, warmC }, f) =>
    `softens at ${f.temperature(softensC)}, it will stand at ${f.temperature(warmC)}`,
  'no-iron-on': () => 'a dried film of it does not stick again under an iron',
  'clamps-on-too-long': ({ clampMin, withinMin }) =>
    `clamps stay on for about ${formatWait(clampMin)}, they must be free within ${formatWait(withinMin)}`,
  'to-be-avoided': () => 'can make skin or lungs allergic, and that is ruled out here',
  'near-cold-limit': ({ tempC, minTempC }, f) =>
    `${f.temperature(tempC)} is close to the coldest it stands, ${f.temperature(minTempC)}`,
  'window-missed': ({ line, usedMin, windowMin, window }) =>
    `${line} takes ${formatClock(usedMin)} of ${formatClock(windowMin)} ${WINDOW_WORDS[window] ?? ''}`,
  'tightest-window': ({ line, usedMin, windowMin, window }) =>
    `${line} uses ${formatClock(usedMin)} of ${formatClock(windowMin)} ${WINDOW_WORDS[window] ?? ''}`,
  'wood-too-wet': ({ mcPct, maxPct }) =>
    `wood at ${mcPct.toFixed(1)} % moisture, this glue wants no more than ${maxPct} %`,
  'wood-very-dry': ({ mcPct, minPct }) =>
    `wood at ${mcPct.toFixed(1)} % moisture drinks the film; ${minPct} % is the least`,
  'oily-wood': () => 'oily wood: wipe or plane it within hours of gluing',
  'resinous-wood': () => 'resinous wood: glue freshly planed faces',
  'service-too-hard': ({ rated, wanted }) =>
    `made for ${SERVICE_WORDS[rated] ?? rated}, the piece has to stand ${SERVICE_WORDS[wanted] ?? wanted}`,
  'no-corner-clamps': ({ count }) =>
    `no ${count} clamps are left on the rack that reach over the corners: it is not counted as clamped down`,
  'no-second-squeeze': ({ soonestMin }) =>
    `this glue in this air leaves no room for a second squeeze: it sets before the ${formatWait(soonestMin)} that it takes to drag. Squeeze fully the first time, or take a slower glue`,
  'bead-on-wide-face': ({ line, widthMm }, f) =>
    `${line} is ${f.length(widthMm)} wide: a bead that nobody spreads leaves it dry between`,
  'no-clamps': () => 'no clamps placed yet',
  'clamp-too-short': ({ clamp, opensMm, neededMm }, f) =>
    `clamp ${clamp} opens ${f.length(opensMm)}, the work needs ${f.length(neededMm)}`,
  'not-enough-on-rack': ({ placed, have }) => `${placed} placed of a kind of which the rack holds ${have}`,
  'clamp-off-end': ({ clamp, atMm }, f) =>
    `clamp ${clamp} at ${f.about(atMm)} hangs off the end of the panel`,
  'blocks-not-held': ({ count, openingMm, forceN }, f) =>
    `blocks slide: ${count} more clamps that open ${f.about(openingMm)} and give ${f.force(forceN)} each would hold them`,
  'block-clamp-fouls': ({ apartMm, neededMm }, f) =>
    `the clamp on a block stands ${f.length(apartMm)} from the jaw that presses, and both want ${f.length(neededMm)}`,
  'block-slides': ({ clamp, slideN, holdsN, fallPerMm }, f) =>
    `clamp ${clamp} pushes its block along the edge with ${f.force(slideN)} where it falls away ${fallPerMm.toFixed(2)} in 1; ${holdsN > 0 ? `${f.force(holdsN)} hold it` : 'nothing but friction holds it'}`,
  'jaw-crushes': ({ clamp, padMPa, crushMPa }, f) =>
    `the jaw of clamp ${clamp} bites at ${f.pressure(padMPa)}, the wood bears ${f.pressure(crushMPa)}`,
  'gap-back-to-plane': ({ forceN, line, gapMm }, f) =>
    Number.isFinite(forceN)
      ? `${line} is open ${f.fine(gapMm)}; closing it eats ${f.force(forceN)}: back to the plane`
      : `${line} is open ${f.fine(gapMm)} and no pull closes it: back to the plane`,
  'gap-costs-pull': ({ line, gapMm, forceN, totalN }, f) =>
    `${line} is open ${f.fine(gapMm)}; closing it takes ${f.force(forceN)} of ${f.force(totalN)}`,
  'pull-off-middle-third': ({ offsetMm, kernMm }, f) =>
    `pull ${f.fine(offsetMm)} off mid-thickness; past ${f.fine(kernMm)} the far face opens`,
  'more-than-needed': ({ line, meanMPa, highMPa }, f) =>
    `${line} gets ${f.pressure(meanMPa)}, more than ${f.pressure(highMPa)} only squeezes glue out`,
  'line-under-pressed': ({ line, atMm }, f) => `${line} at ${f.about(atMm)}: under-pressed`,
  'line-starves': ({ line, meanMPa, mostMPa }, f) =>
    `${line} gets ${f.pressure(meanMPa)}: past ${f.pressure(mostMPa)} this glue is squeezed out and the line starves`,
  'line-light': ({ line, atMm }, f) => `${line} at ${f.about(atMm)}: light`,
  'line-pressed': ({ line, atMm }, f) => `least on ${line}, at ${f.about(atMm)}`,
  'ends-trimmed-later': ({ rawMm, trimMm }, f) =>
    `up to ${f.fine(rawMm)} sawn off with the ${f.length(trimMm)} left long`,
  'ends-stopped': () => 'ends held by a stop',
  'ends-free': () => 'boards can creep past each other: no end stop',
  'lengths-differ': () => 'boards differ in length',
  'diagonals-differ': () => 'dry-fit diagonals differ',
  'panel-pops': ({ loadShare }) =>
    `nothing holds it: it would pop out of plane at ${percent(1 / loadShare)} of this pull`,
  'panel-near-popping': ({ loadShare }) =>
    `nothing holds it, and the pull is ${percent(loadShare)} of what pops it`,
  'held-from-popping': ({ loadShare, heldBy }) =>
    `free, it would pop (${loadShare.toFixed(1)} × its limit); held by ${HELD_WORDS[heldBy] ?? heldBy}`,
  'bow-from-pull': () => 'bow from a pull off mid-thickness',
  'faces-not-flush': () => 'steps between neighbouring faces',
  'moisture-cup': () => 'cup as the moisture changes through the year',
  'cauls-bend': () => 'cauls bend away in their middle: too little crown',
  'boards-bowed': () => 'bow read at the dry fit',
  'boards-twisted': () => 'twist read at the dry fit',
  'bench-not-flat': ({ name, outMm }, f) =>
    `it is clamped down, and the ${name} is ${f.fine(outMm)} out: lay a flat board on it first`,
  'joint-gap': ({ forceN, line, gapMm, glueMm }, f) =>
    forceN > 0
      ? `${line} is open ${f.fine(gapMm)}; closing it takes more than these clamps should give: back to the plane`
      : `${line} is open ${f.fine(gapMm)}; this glue fills ${f.fine(glueMm)} and no clamp bends it shut: cut it again`,
  'hollow-under-iron': ({ line, gapMm, glueMm }, f) =>
    `${line} is open ${f.fine(gapMm)}; a dried film fills ${f.fine(glueMm)}, and the face may not follow the hollow: plane or fill it first`,
  'joint-gap-costs': ({ line, gapMm, forceN }, f) =>
    `${line} is open ${f.fine(gapMm)}; closing it takes about ${f.force(forceN)}`,
  'nothing-to-pull-with': ({ line, need, openingMm }, f) =>
    `${line}: ${NEED_LACKS[need] ?? 'nothing on the rack'} that opens ${f.about(openingMm)}`,
  'no-bag': ({ line, lengthMm, widthMm }, f) =>
    `${line}: no vacuum bag on the rack that is ${f.about(lengthMm)} by ${f.about(widthMm)} inside, room to seal it included; or press it between platens`,
  'pull-crushes': ({ line }) => `${line}: this pull crushes the wood`,
  'iron-presses': ({ line, mm, seconds }, f) =>
    `${line}: a warm iron melts the film through ${f.fine(mm)} in about ${Math.max(1, Math.round(seconds))} s; no clamp, no tape`,
  'too-thick-to-iron': ({ line, mm, mostMm }, f) =>
    `${line}: heat hardly comes through ${f.fine(mm)} before the face scorches; up to ${f.fine(mostMm)}, or wet glue and tape`,
  'pegs-draw': ({ line, offsetMm }, f) =>
    `${line} is drawn home by its pegs, holes offset ${f.fine(offsetMm)}: no clamp over the length needed`,
  'one-clamp-deep': ({ line, lengthMm }, f) =>
    `${line} is ${f.about(lengthMm)} long under one clamp: two, or a caul across`,
  'pull-meets': ({ line }) => `least on ${line}, within reach of the rack`,
  'nothing-to-square': () => 'nothing here that could rack',
  'diagonals-unread': ({ diagonalMm }, f) =>
    `read both diagonals at the dry fit: ${f.length(diagonalMm)} when square`,
  'diagonals-read': () => 'from the diagonals read at the dry fit',
  'free-end-splays': ({ legMm, errorDeg }, f) =>
    `at the free end of ${f.length(legMm)} if both cuts of its corner are ${errorDeg}° off`,
  'last-mitre-opens': ({ corners, errorDeg }) =>
    corners === 1
      ? `at the mitre if both its cuts are ${errorDeg}° off`
      : `at the last of ${corners} mitres if every cut is ${errorDeg}° off`,
  'glued-across': ({ line, gluedMm, limitMm, movesMm }, f) =>
    `${line} is glued over ${f.length(gluedMm)} across the grain: over the year the wood wants to move ${f.fine(movesMm)} to either side, and splits or lets go. Glue ${f.length(limitMm)} at most, or let it slide`,
  'one-sided-bends': ({ lowMm, highMm }, f) =>
    `veneered on one face only: the sheet comes out bowed by ${f.fine(lowMm)} to ${f.fine(highMm)} as it dries`,
  springback: () => 'springback that the form must allow for',
  'moisture-differs': ({ line, mcPct, otherPct }) =>
    `${line}: wood at ${mcPct.toFixed(1)} and ${otherPct.toFixed(1)} %; bring them within 2 % first`,
  'nothing-to-flatten': () => 'nothing here that clamps could bend',
  'flatness-unread': () => 'no twist or bow read; sight it at the dry fit',
  'no-joints': () => 'no joint yet',
  'order-captive': ({ session, line, others }) =>
    `session ${session}: ${alsoOthers(line, others)} hold each other; no direction is left to bring the last part in`,
  'order-closed-already': ({ session, line, others }) =>
    `session ${session}: ${alsoOthers(line, others)} can no longer be spread, an earlier session has closed the parts around it`,
  'order-window-too-short': ({ session, line, others }) =>
    `session ${session}: ${alsoOthers(line, others)} close together and take longer than the glue gives`,
  'order-too-few-hands': ({ session, line, others }) =>
    `session ${session}: ${alsoOthers(line, others)} want more pairs of hands than there are`,
  'order-pins-contradict': ({ session, line, others }) =>
    `session ${session}: ${alsoOthers(line, others)} are pinned so that none can go first`,
  'order-too-few-clamps': ({ session, line, others }) =>
    `session ${session}: ${alsoOthers(line, others)} close together and want more clamps than there are`,
  'nothing-glued': () => 'every joint is left dry',
};

/** A joint, and how many more. */
function alsoOthers(line: string, others: number): string {
  return others === 0 ? line : `${line} and ${others} more`;
}

const NEED_LACKS: Readonly<Record<string, string>> = {
  band: 'no band or wrap',
  tape: 'no tape or clamp',
  seat: 'no suitable clamp on the rack',
  line: 'no suitable clamp on the rack',
};

/** What a proposed edit does. */
export const CHANGES: Words<ChangeValues> = {
  'add-clamps': ({ count, kind }) =>
    `${count === 1 ? 'One more' : `${count} more`} ${clampName(kind, count)}`,
  'use-clamps': ({ count, kind, forceN }, f) =>
    `${count} ${clampName(kind, count)} instead, ${f.force(forceN)} each`,
  'space-evenly': () => 'Space the clamps evenly',
  'use-glue': ({ adhesive, onShelf }) =>
    `${findAdhesive(adhesive).name}${onShelf === 'yes' ? '' : ' (not on the shelf)'}`,
  'one-more-pair': ({ crew }) => `One more pair of hands, ${crew} in all`,
  'wet-both-faces': () => 'Wet both faces',
  'wet-one-face': () => 'Wet one face only',
  'warm-the-wood': ({ tempC }, f) =>
    `Let the wood, now at ${f.temperature(tempC)}, warm through to the shop’s air`,
  'other-hour': ({ hour, tempC, rhPct }, f) => `Glue up at ${hour}:00 (${f.temperature(tempC)}, ${rhPct} %)`,
  'arrange-sessions': ({ sessions }) =>
    sessions === 1
      ? 'Work in the order that was worked out, in one session'
      : `Glue in ${sessions} sessions, in the order that was worked out`,
  'one-more-session': ({ sessions }) => `Cut the tightest session in two: ${sessions} sessions`,
  'bars-both-faces': () => 'Bars touching both faces, in turn',
  'add-cauls': ({ pairs }) => `${pairs} pairs of cauls across`,
  'use-blocks': ({ thicknessMm }, f) => `Blocks of ${f.length(thicknessMm)} under the jaws`,
  'fix-blocks': ({ fixing }) => `Hold the blocks otherwise: ${choiceWords(fixing)}`,
  'saw-after': () => 'Leave the boards square, glue them, and saw the oval out afterwards',
  'use-battens': ({ thicknessMm }, f) => `Battens of ${f.length(thicknessMm)} along both edges`,
  'end-stops': () => 'Push the ends against a stop',
  'leave-long': ({ trimMm }, f) => `Leave ${f.length(trimMm)} at each end to saw off`,
  'centre-pull': ({ offsetMm }, f) => `Pack the bars: pull within ${f.fine(offsetMm)} of mid-thickness`,
  'preset-clamps': () => 'Open and lay out the clamps beforehand',
  'alternate-hearts': () => 'Turn the boards heart up and down in turn',
  'spread-with': ({ method }) => `Spread with a ${method}`,
  'hold-in-use': () => 'Hold it flat in use: breadboard ends or battens',
};

import type { GlueStepKind } from '@lean-clasp/core/adhesives';
import type { ChangeCode, CleanUpMethod, Reason, ReasonValues } from '@lean-clasp/core/choice';
import { formatWait } from '@lean-clasp/core/units';
import type { Format } from './format';
import type { Say, Words } from './values';

/** What speaks for or against a glue on a job, and what refuses it there. */
const REASONS: Words<ReasonValues> = {
  'time-to-spare': ({ spareMin }) =>
    `${spareMin < 60 ? `${spareMin.toFixed(1)} min` : formatWait(spareMin)} of open time to spare`,
  'little-time': ({ ratio }) => `hardly more open time than the job takes (${ratio.toFixed(1)} ×)`,
  'clamps-off-soon': ({ clampMin }) => `clamps off after about ${formatWait(clampMin)}`,
  'clamps-on-long': ({ clampMin }) => `clamps stay on for about ${formatWait(clampMin)}`,
  'holds-up-the-set': ({ clampMin, withinMin }) =>
    `clamps stay on for about ${formatWait(clampMin)}, the next of the set wants them after ${formatWait(withinMin)}`,
  creeps: () => 'creeps under a load that never goes away',
  'does-not-creep': () => 'does not creep under lasting load',
  'gap-near-limit': ({ gapMm, glueMm }, f) =>
    `gaps of ${f.fine(gapMm)} are near its limit of ${f.fine(glueMm)}`,
  'fills-the-gap': ({ gapMm }, f) => `fills the gaps of ${f.fine(gapMm)}`,
  'made-for-gaps': () => 'made for wide gaps; thick where none are',
  'tougher-than-needed': () => 'tougher than the place asks for',
  'dark-line': () => 'leaves a dark line',
  'amber-line': () => 'leaves an amber line',
  'clear-line': () => 'leaves a clear line',
  'pale-line': () => 'leaves a pale line',
  'finish-clean': () => 'smears do not show under finish',
  'finish-spots': () => 'smears show as spots under finish',
  'finish-stains': () => 'smears stain and repel finish',
  'cleans-water': () => 'cleans up with water',
  'cleans-warm-water': () => 'cleans up with warm water',
  'cleans-vinegar-then-scrape': () => 'cleans up with vinegar, then a scraper',
  'cleans-scrape-only': () => 'can only be scraped once hard',
  'cleans-acetone': () => 'cleans up with acetone',
  'comes-apart-again': () => 'comes apart again with warmth and damp',
  'never-comes-apart': () => 'never comes apart again',
  'holds-on-old-hide': () => 'holds on old hide glue',
  'wants-bare-wood': () => 'wants old glue scraped off to bare wood',
  'oily-wood': () => 'holds on oily wood',
  'fails-on-oily': () => 'often lets go of oily wood',
  'weaker-on-resin': () => 'weaker on resinous wood',
  'good-on-end-grain': () => 'good on end grain once it is primed',
  'poor-on-end-grain': () => 'poor on end grain',
  'stays-hard-under-veneer': () => 'stays hard under veneer and bleeds little',
  'creeps-under-veneer': () => 'lets veneer creep, or bleeds through',
  'passable-under-veneer': () => 'passable under veneer',
  'made-for-veneer': () => 'made for veneer rather than joints',
  'hazard-skin-sensitiser': () => 'can make skin allergic',
  'hazard-isocyanate': () => 'its vapour can bring on asthma',
  'hazard-formaldehyde': () => 'gives off formaldehyde',
  'hazard-bonds-skin': () => 'glues skin in a second',
  'has-to-be-mixed': () => 'has to be mixed, cup by cup',
  'wants-a-pot': () => 'wants a hot pot and warm parts',
  'wants-a-nozzle': () => 'wants a heated nozzle',
  'on-the-shelf': ({ leftMl, needMl }, f) => `on the shelf: ${f.volume(leftMl)} for ${f.volume(needMl)}`,
  'too-little-left': ({ leftMl, needMl }, f) => `only ${f.volume(leftMl)} left of ${f.volume(needMl)}`,
  'not-on-the-shelf': () => 'not on the shelf',
  'old-bottle': ({ months, lifeMonths }) =>
    `opened ${Math.round(months)} months ago, keeps ${lifeMonths}: test it first, or buy new`,
  costs: ({ cost }) => `about ${cost.toFixed(2)} worth of glue`,
  'clamps-fall-short': ({ minMPa, lowMPa }, f) =>
    `the clamps give ${f.pressure(minMPa)} of the ${f.pressure(lowMPa)} it wants`,
};

/** A reason in a few words. */
export function reasonWords(reason: Reason, f: Format): string {
  const say = REASONS[reason.code as keyof ReasonValues] as Say<Reason['values']> | undefined;
  return say === undefined ? reason.code : say(reason.values, f);
}

/** A change of one circumstance, as the beginning of a sentence. */
export const CHANGE_WORDS: Readonly<Record<ChangeCode, string>> = {
  'ten-colder': 'Ten degrees colder',
  'one-more-person': 'With one more pair of hands',
  outdoors: 'Outdoors',
  'half-millimetre-gap': 'With gaps of half a millimetre',
  'lasting-load': 'Under lasting load',
  'to-come-apart': 'If it is to come apart again',
  painted: 'If it is painted',
  'one-hour-of-clamps': 'With clamps free again within the hour',
  'no-sensitisers': 'Without anything that makes allergic',
};

/** What is done to glue or wood before the real coat. */
export const STEP_WORDS: Readonly<Record<GlueStepKind, string>> = {
  'size-end-grain': 'Size the end grain with a thin coat and let it turn tacky',
  'prime-thin': 'Prime end grain with thin resin until it stops drinking',
  'heat-pot': 'Heat the pot',
  'heat-nozzle': 'Heat the applicator fully',
  'dampen-one-face': 'Dampen one face: air or wood is too dry for it to set by',
  'warm-parts': 'Warm the parts, so that it does not gel at once',
  'dry-coats': 'Put on three thinned coats, each dry to the touch before the next, and iron within two days',
  activator: 'Spray activator on the other face and let it flash off',
};

/** How squeeze-out comes off. */
export const CLEAN_UP_WORDS: Readonly<Record<CleanUpMethod, string>> = {
  'scrape-wet':
    'Scrape squeeze-out off wet with a sharp putty knife, sawdust after it; no wet rag on open pores',
  'damp-wipe': 'Wipe squeeze-out off with a rag wrung out, over a thin rule in corners',
  'peel-masking':
    'Mask the inside corners while it is together dry; peel the tape off with what stands on it while that is rubbery',
  'skin-and-peel':
    'Leave squeeze-out until it is rubbery, then peel it off; masking tape laid at the dry fit does it better',
  'leave-and-plane': 'Leave squeeze-out until it is hard and plane it off with the faces',
};

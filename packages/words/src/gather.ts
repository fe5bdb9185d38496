import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { Finding } from '@lean-clasp/core/basics';
import { findSpreadMethod } from '@lean-clasp/core/spread';
import { formatClock } from '@lean-clasp/core/units';
import type { Format } from './format';
import { clampName } from './causes';
import { type Say, sayFrom } from './values';

/** What is not opened to a size goes by its own name. */
const LOOSE: Readonly<Record<string, string>> = {
  tape: 'strips of tape, torn off beforehand',
  'elastic-wrap': 'turns of elastic',
  vacuum: 'bag with its pump, gauge and sealant; look it over for leaks',
  weight: 'weights',
};

/** What to have within reach. */
const GATHER: Readonly<Record<string, Say>> = {
  'gather-bench': ({ n }, f) =>
    `Flat bench or level bearers for ${f.length(n('lengthMm'))} × ${f.length(n('widthMm'))}, covered with film`,
  'gather-boards': ({ n }) =>
    `${n('count')} boards in order, letters up, edges planed within the day, pencil marks off the edges`,
  'gather-parts': ({ n }) =>
    `${n('count')} parts in order of closing, faces marked, everything done that closing makes unreachable`,
  'gather-loose': ({ n, s }) => `${n('count')} ${LOOSE[s('kind')] ?? clampName(s('kind'), n('count'))}`,
  'gather-stop': () => 'A straight stop across one end',
  'gather-glue': ({ s, n }, f) =>
    `${findAdhesive(s('adhesive')).name}: ${f.mass(n('massG'))} (${f.volume(n('volumeMl'))}); the shelf has ${f.volume(n('onShelfMl'))}. Look at the date on the bottle`,
  'gather-spreader': ({ s }) => `To spread with: ${findSpreadMethod(s('method')).name}, and a spare`,
  'gather-cauls': ({ n }) =>
    `${n('pairs')} ${n('pairs') === 1 ? 'pair' : 'pairs'} of cauls, film or tape on their faces`,
  'gather-packing': ({ n, s }, f) => `${n('count')} ${s('kind')}, ${f.length(n('thicknessMm'))} thick`,
  'gather-clamps': ({ n, s }, f) =>
    `${n('count')} ${clampName(s('kind'), n('count'))} opened to ${f.length(n('openingMm'))}: number ${s('numbers')}`,
  'gather-spares': ({ n }) => `${n('count')} more clamps, open, for whatever goes wrong`,
  'gather-checks': () => 'Straightedge, square, tape, soft mallet and a block',
  'gather-cleaning': () => 'Scraper, rag, water or what the label asks for, gloves, light',
};

/** What still helps when something went wrong. */
const TROUBLE: Readonly<Record<string, Say>> = {
  'call-helper': ({ n }) =>
    `Call another pair of hands now: ${formatClock(n('leftMin'))} left on the shortest fuse.`,
  'pull-apart': ({ n, s }) =>
    `Stop, pull ${s('lines')} apart and wipe off while it is wet: possible for ${formatClock(n('leftMin'))}.`,
  'past-its-time': ({ s }) =>
    `${s('lines')} ran out: once grabbed it is weaker if moved. Leave it, and mark it in the log.`,
  'press-on': () => 'Go on as planned; get the clamps on light, centre first, and look again.',
};

/** An item of the gather list in words. */
export const gatherWords = (finding: Finding, f: Format) => sayFrom(GATHER, finding, f);
/** A way out in words. */
export const troubleWords = (finding: Finding, f: Format) => sayFrom(TROUBLE, finding, f);

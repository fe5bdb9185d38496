import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { GatherValues } from '@lean-clasp/core/findings';
import { clampName } from './catalogue';
import type { Words } from './values';

/** What is not opened to a size goes by its own name. */
const LOOSE: Readonly<Record<string, (count: number) => string>> = {
  tape: (count) => `${count === 1 ? 'strip' : 'strips'} of tape, torn off beforehand`,
  'elastic-wrap': (count) =>
    count === 1
      ? 'place to wrap with elastic, up to eight turns'
      : 'places to wrap with elastic, up to eight turns each',
  vacuum: () => 'bag with its pump, gauge and sealant; look it over for leaks',
  weight: (count) => (count === 1 ? 'weight' : 'weights'),
};

/** What there is no spare of. */
const SPREADERS: Readonly<Record<string, string>> = {
  'bead only': 'a bottle with a fine tip, and a pin to clear it',
  finger: 'a finger, and a damp rag for it',
  'hot nozzle': 'the hot gun on its stand',
  'thinned coats': 'a soft brush, and a cup to thin the glue in',
};

/** What to have within reach. */
export const GATHER: Words<GatherValues> = {
  'gather-bench': ({ lengthMm, widthMm }, f) =>
    `Flat bench or level bearers for ${f.about(lengthMm)} × ${f.about(widthMm)}, covered with film`,
  'gather-boards': ({ count }) =>
    `${count} boards in order, letters up, edges planed within the day, pencil marks off the edges`,
  'gather-broken': ({ count }) =>
    `${count} pieces in order, broken faces scraped to bare wood and never planed: as they broke, they key into each other`,
  'gather-parts': ({ count }) =>
    `${count} parts in order of closing, faces marked, everything done that closing makes unreachable`,
  'gather-loose': ({ count, kind }) => `${count} ${LOOSE[kind]?.(count) ?? clampName(kind, count)}`,
  'gather-stop': () => 'A straight stop across one end',
  'gather-glue': ({ adhesive, massG, volumeMl, onShelfMl }, f) =>
    `${findAdhesive(adhesive).name}: ${f.amount(massG, volumeMl)}; the shelf has ${f.volume(onShelfMl)}. Look at the date on the bottle`,
  'gather-first-coat': ({ massG }, f) =>
    `Of it for the first coat on end grain: ${f.mass(massG)}, thin, worked in, left to turn tacky`,
  'gather-spreader': ({ method }) => `To spread with: ${SPREADERS[method] ?? `${method}, and a spare`}`,
  'gather-cauls': ({ pairs }) =>
    `${pairs} ${pairs === 1 ? 'pair' : 'pairs'} of cauls, film or tape on their faces`,
  'gather-packing': ({ count, kind, thicknessMm }, f) => `${count} ${kind}, ${f.length(thicknessMm)} thick`,
  'gather-clamps': ({ count, kind, openingMm, numbers, below, session }, f) =>
    `${count} ${clampName(kind, count)} opened to ${f.about(openingMm)}${session > 0 ? ` for session ${session}` : ''}: number ${below === '' ? numbers : `${numbers} above, ${below} below`}`,
  'gather-block-clamps': ({ count, kind, openingMm }, f) =>
    `${count} ${clampName(kind, count)} to hold the blocks, open to ${f.about(openingMm)}`,
  'gather-corner-clamps': ({ count, kind, openingMm }, f) =>
    `${count} ${clampName(kind, count)} for the corners, open to ${f.about(openingMm)}`,
  'gather-spares': ({ count }) =>
    `${count} more ${count === 1 ? 'clamp' : 'clamps'}, open, for whatever goes wrong`,
  'gather-iron': () =>
    'An iron on a stand, a damp cloth, a smooth block to follow it, an offcut to try it on',
  'gather-pegs': ({ count, thickMm }, f) =>
    `${count} pegs of ${f.length(thickMm)}, their tips tapered, and two spare; a hammer`,
  'gather-checks': () => 'Straightedge, square, tape, soft mallet and a block',
  'gather-cleaning': () => 'Scraper, rag, water or what the label asks for, gloves, light',
};

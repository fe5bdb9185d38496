import type { Recheck, RecheckFinding, Stretch } from '@lean-clasp/core/formats';
import type { Format } from './format';

/** How a stretch of a line looks. */
export const LOOK_WORDS: Readonly<Record<Stretch['look'], string>> = {
  starved: 'dry',
  open: 'open',
  ridge: 'a ridge',
  runs: 'runs down',
};

/** Where along a joint; rows are drawn, so that theirs have a left and a right. */
export const placeWords = (where: Stretch['where'], row: boolean): string =>
  ({
    all: 'all along',
    start: row ? 'left end' : 'one end',
    middle: 'middle',
    end: row ? 'right end' : 'other end',
  })[where];

/** A stretch as it is told in a list. */
export const stretchWords = ({ look, where, gapMm }: Stretch, row: boolean, f: Format): string =>
  `${LOOK_WORDS[look]}${gapMm === null ? '' : ` by ${f.fine(gapMm)}`}, ${placeWords(where, row)}`;

/** When a piece is looked at again. */
export const RECHECK_NAMES: Readonly<Record<Recheck, string>> = {
  week: 'after a week',
  season: 'after a season',
};

/** What is found then. */
export const RECHECK_FINDING_WORDS: Readonly<Record<RecheckFinding, string>> = {
  sound: 'sound',
  'line-shows': 'a line shows',
  opened: 'a joint opened',
  moved: 'it moved: cup, bow or wind',
  'out-of-reach': 'out of reach',
};

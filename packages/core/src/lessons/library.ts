import type { Condition, Lesson, LessonMoment } from '../formats';

/** A lesson that comes with the program: its words stand with all other words. */
export type LibraryLesson = Pick<Lesson, 'at'> & {
  readonly id: LibraryId;
  readonly when: readonly Condition[];
};

/** Things that woodworkers have paid for, each with the plans in which it comes back. Thresholds are [judgement]. */
export const LIBRARY_IDS = [
  'clamp-too-short',
  'clamps-foul',
  'wrong-way-round',
  'pencil-left-in',
  'glued-to-caul',
  'thin-film',
  'late-in-the-day',
  'shut-out',
  'tight-cauls',
  'climbing-mitre',
  'sliding-band',
  'crept-back',
  'bow-for-square',
  'lifted-panel',
  'one-sided-veneer',
  'cold-shop',
  'old-bottle',
  'glassy-end-grain',
  'jaw-marks',
  'film-under-oil',
  'planed-too-early',
  'hot-cup',
  'alone-with-a-sheet',
  'forgotten-inside',
] as const;
/** One of `LIBRARY_IDS`. */
export type LibraryId = (typeof LIBRARY_IDS)[number];

const OILED = ['none', 'clear', 'stain'];

const TRIGGERS: Readonly<Record<LibraryId, readonly [LessonMoment, ...Condition[]]>> = {
  'clamp-too-short': ['before', { trait: 'opening-spare-mm', below: 30 }],
  'clamps-foul': ['press', { trait: 'clear-between-clamps-mm', below: 25 }],
  'wrong-way-round': [
    'close',
    { trait: 'alike-parts', above: 1 },
    { trait: 'prepared', none: ['mark-faces'] },
  ],
  'pencil-left-in': ['before', { trait: 'squeeze-out', any: ['inside'] }, { trait: 'finish', any: OILED }],
  'glued-to-caul': ['press', { trait: 'touches-glue', any: ['cauls', 'form'] }],
  'thin-film': ['spread', { trait: 'bead-only-width-mm', above: 30 }],
  'late-in-the-day': ['before', { trait: 'left-today-min', below: 30 }],
  'shut-out': ['close', { trait: 'parts-between', above: 0 }],
  'tight-cauls': ['press', { trait: 'caul-pairs', above: 0 }],
  'climbing-mitre': [
    'press',
    { trait: 'joint', any: ['mitre'] },
    { trait: 'pull-ways', above: 1 },
    { trait: 'clamp', none: ['band', 'tape', 'pointed-spring', 'cam-mitre'] },
  ],
  'sliding-band': ['press', { trait: 'clamp', any: ['band'] }],
  'crept-back': ['check', { trait: 'off-square-mm', above: 0.5 }],
  'bow-for-square': ['check', { trait: 'bow-mm', above: 0.5 }],
  'lifted-panel': ['press', { trait: 'pull-off-centre-pct', above: 15 }],
  'one-sided-veneer': ['before', { trait: 'one-sided', any: ['veneer'] }],
  'cold-shop': ['before', { trait: 'above-coldest-c', below: 4 }],
  'old-bottle': ['spread', { trait: 'bottle-age-pct', above: 90 }],
  'glassy-end-grain': [
    'before',
    { trait: 'end-grain-pct', above: 10 },
    { trait: 'chemistry', none: ['hot-melt', 'instant'] },
    { trait: 'prepared', none: ['size-end-grain', 'prime-thin'] },
  ],
  'jaw-marks': ['press', { trait: 'bare-jaw-pct', above: 50 }],
  'film-under-oil': [
    'check',
    { trait: 'squeeze-out', any: ['inside', 'open'] },
    { trait: 'kind', none: ['dried-film', 'veneer-seam', 'veneered-sheet'] },
    { trait: 'finish', any: ['clear', 'stain'] },
    { trait: 'prepared', none: ['mask-at-dry-fit', 'mask-faces'] },
  ],
  'planed-too-early': [
    'after',
    { trait: 'chemistry', any: ['water-borne'] },
    { trait: 'squeeze-out', any: ['planed'] },
  ],
  'hot-cup': ['spread', { trait: 'mixed-ml', above: 100 }],
  'alone-with-a-sheet': ['before', { trait: 'largest-face-m2', above: 0.8 }, { trait: 'crew', below: 2 }],
  'forgotten-inside': [
    'before',
    { trait: 'squeeze-out', any: ['inside'] },
    { trait: 'prepared', none: ['holes-before-closing'] },
  ],
};

/** The library. */
export const LIBRARY: readonly LibraryLesson[] = LIBRARY_IDS.map((id) => {
  const [at, ...when] = TRIGGERS[id];
  return { id, at, when };
});

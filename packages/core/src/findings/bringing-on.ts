import type { None } from './none';

/** What placing clamps came to. */
export interface PlacingValues {
  'placed-clamps': {
    count: number;
    minMPa: number;
    lowMPa: number;
    line: string;
    atMm: number;
    proven: string;
    tried: number;
  };
  'placed-on-pull': { count: number; minMPa: number; lowMPa: number; line: string };
  'placed-on-seats': { count: number; reachN: number; neededN: number };
  'cauls-added': { pairs: number };
  'lot-too-short': { count: number; kind: string; opensMm: number; neededMm: number };
}

/** How clamps are brought on a row. */
export interface RowTighteningValues {
  'row-stage': {
    session: number;
    of: number;
    /** First and last board in the bars. */
    from: string;
    to: string;
    /** Lines glued, and lines between them that stay dry, by name; none is empty. */
    glued: string;
    dry: string;
    openingMm: number;
  };
  'tighten-snug-cauls': { pairs: number };
  'tighten-worst-first': { where: string; line: string; gapMm: number };
  'tighten-light': { from: string; order: string };
  'tighten-look': None;
  'tighten-relieve': { line: string };
  'tighten-full': { order: string; highestN: number; lowestN: number };
  'tighten-cauls': { forceN: number };
  'tighten-again': { afterMin: number };
}

/** How an assembly is brought together. */
export interface PullTighteningValues {
  'tighten-round': { count: number; order: string };
  'tighten-tape': { count: number };
  'tighten-bag': None;
  'tighten-sheets': { order: string };
  'tighten-seat': { order: string };
  'tighten-stack': { order: string; forceN: number };
  'relieve-slide-restore': None;
  'read-diagonals': None;
  'sight-wind': None;
  'blocks-held': { count: number; kind: string; forceN: number };
  'corners-down': { count: number; kind: string; forceN: number };
}

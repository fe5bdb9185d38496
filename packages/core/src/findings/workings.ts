import type { FlatPart, SquarePart } from './causes';

/** The numbers a figure was got from. */
export interface WorkingValues {
  'how-pull': {
    line: string;
    reachN: number;
    neededN: number;
    need: string;
    areaMm2: number;
    lowMPa: number;
    clamps: number;
  };
  'how-ironed': { mm: number; seconds: number; mostMm: number };
  'how-one-sided': { lowMm: number; highMm: number; filmGPerM2: number };
  'how-crossed': {
    gluedMm: number;
    movesMm: number;
    perPct: number;
    lowPct: number;
    highPct: number;
  };
  'how-splay': { mm: number; legMm: number; errorDeg: number };
  'how-diagonals': { abMm: number; bcMm: number; diagonalMm: number };
  'how-mitres': { corners: number; errorDeg: number; faceMm: number };
  'how-springback': { mm: number };
  'how-window': {
    window: string;
    windowMin: number;
    openRefLowMin: number;
    openRefHighMin: number;
    totalRefLowMin: number;
    totalRefHighMin: number;
    tempC: number;
    rhPct: number;
    mcPct: number;
    openFactor: number;
    closedFactor: number;
  };
  'how-time-used': {
    line: string;
    usedMin: number;
    crew: number;
    clamps: number;
    spreadMin: number;
    spreadPace: number;
    closePace: number;
    pressPace: number;
    /** Glue-ups of the log that the pace was learned from; 0 where it is the shop's general one. */
    learnedRuns: number;
    handsOnMin: number;
  };
  'how-target': { lowMPa: number; highMPa: number; sg: number };
  'how-mean-pressure': {
    meanMPa: number;
    totalN: number;
    lengthMm: number;
    heightMm: number;
    typical: number;
    spreadPct: number;
  };
  'how-lowest-pressure': { line: string; minMPa: number; depthMm: number; meanMPa: number; maxMPa: number };
  'how-pressed': {
    line: string;
    minMPa: number;
    meanMPa: number;
    maxMPa: number;
    unknowns: number;
    iterations: number;
  };
  'how-closing-order': { line: string; worstFirstN: number; inTurnN: number };
  'how-light-squeeze': {
    lowMPa: number;
    fromMin: number;
    toMin: number;
    strengthLow: number;
    strengthHigh: number;
  };
  'how-cauls': {
    crownMm: number;
    endForceN: number;
    loadNPerMm: number;
    pullNPerMm: number;
    strutNPerMm: number;
    boardsNPerMm: number;
    haveMm: number;
  };
  'how-square': Partial<Record<SquarePart, number>> & {
    figureMm: number;
    trimMm: number;
    diagonalsRead: string;
  };
  'how-strut': {
    loadShare: number;
    lineLoadNPerMm: number;
    bucklingNPerMm: number;
    thicknessMm: number;
    widthMm: number;
    heldBy: string;
  };
  /** Lift from a low pull, free and with the corners held down. */
  'how-lift': { freeMm: number; downMm: number };
  'how-flat': Partial<Record<FlatPart, number>>;
}

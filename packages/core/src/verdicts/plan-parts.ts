import type { Adhesive, AdhesiveWindow } from '../adhesives';
import type { ClampSet, Panel, PanelLine } from '../assembly';
import type { PressureWord, TargetPressure } from '../clamps';
import type { PanelBuild, Climate, ShopDocument } from '../formats';
import type { LinePressure, StrutAnswer } from '../mechanics';
import type { Timeline } from '../sequence';
import type { Spread, SpreadMethod } from '../spread';
import type { CaulPlan } from './cauls';
import type { ClosingAdvice } from './closing';
import type { PressedPlan } from './pressed-plan';

/** A line with everything that the plan computes about it. */
export interface PlannedLine {
  readonly line: PanelLine;
  readonly mcPct: number;
  readonly spread: Spread;
  readonly method: SpreadMethod;
  readonly faces: 1 | 2;
  readonly window: AdhesiveWindow;
  readonly target: TargetPressure;
  readonly crushMPa: number;
  readonly pressure: LinePressure;
  /** Word for the lowest pressure on the line. */
  readonly lowestWord: PressureWord;
  /** Dry-fit reading, + hollow, − proud; null when not read. */
  readonly gapMm: number | null;
  /**
   * Pull that brings the gap down to what the glue fills, lines closed from the worst gap on; 0 without a reading,
   * infinite when none does.
   */
  readonly closingForceN: number;
  /** The same when lines are closed in turn from the first edge: boards already together act as one deep beam. */
  readonly closingInTurnN: number;
  readonly closing: ClosingAdvice;
}

/** What all verdicts are worked out from; computed once for each edit. */
export interface PlanParts {
  readonly build: PanelBuild;
  readonly shop: ShopDocument;
  readonly climate: Climate;
  readonly panel: Panel;
  readonly adhesive: Adhesive;
  /** Moisture content of each board today, metered or in balance with the air. */
  readonly boardMcPct: readonly number[];
  readonly lines: readonly PlannedLine[];
  readonly clampSet: ClampSet;
  readonly timeline: Timeline;
  readonly strut: StrutAnswer;
  /** Pairs of cauls; null where there are none. */
  readonly cauls: CaulPlan | null;
  /** Pressures by finite elements; null while they are estimated in closed form. */
  readonly pressed: PressedPlan | null;
  /** Whether bars on both faces or cauls keep the panel from popping. */
  readonly heldBy: readonly ('bars' | 'cauls')[];
}

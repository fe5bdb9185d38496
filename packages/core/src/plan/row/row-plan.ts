import type { Adhesive } from '../../adhesives';
import type { ClampSet, Panel, PanelLine } from '../../assembly';
import type { PressureWord, TargetPressure } from '../../clamps';
import type { BuildDocument, Climate, ShopDocument } from '../../formats';
import type { LinePressure, StrutAnswer } from '../../mechanics';
import type { PlannedJoint } from '../joints/planned-joint';
import type { CaulPlan } from './cauls';
import type { PressedRow } from './pressed-row';
import type { RowJob } from './row-job';
import type { RowStage } from './stages';

/** A line of a row: its joint, and what row mechanics find on it. */
export interface PlannedLine extends PlannedJoint {
  readonly target: TargetPressure;
  readonly line: PanelLine;
  readonly pressure: LinePressure;
  /** Word for the lowest pressure on the line. */
  readonly lowestWord: PressureWord;
  /** Dry-fit reading, + hollow, − proud; null when not read. */
  readonly gapMm: number | null;
  /** Pull that closes it when lines are closed in turn from the first edge: boards already together act as one deep beam. */
  readonly closingInTurnN: number;
}

/** Whether glue goes on a line; where it does not, as between two halves that open, boards only press each other. */
const isGlued = ({ facts }: Pick<PlannedLine, 'facts'>): boolean => facts.gluedMm2 > 0;

/** Lines that are judged by what presses them: those with glue, or all where none has any. */
export const judgedLines = (lines: readonly PlannedLine[]): readonly PlannedLine[] =>
  lines.some(isGlued) ? lines.filter(isGlued) : lines;

/** What row mechanics work out for boards side by side. */
export interface RowPlan {
  readonly job: RowJob;
  readonly panel: Panel;
  /** What lies in the bars in each session; the whole panel where it is glued in one go. */
  readonly stages: readonly RowStage[];
  /** Moisture content of each board today, metered or by the air of the last weeks. */
  readonly boardMcPct: readonly number[];
  readonly lines: readonly PlannedLine[];
  readonly clampSet: ClampSet;
  readonly strut: StrutAnswer;
  /** Pairs of cauls; null where there are none. */
  readonly cauls: CaulPlan | null;
  /** Pressures by finite elements; null while they are estimated in closed form. */
  readonly pressed: PressedRow | null;
  /** Whether bars on both faces or cauls keep the panel from popping. */
  readonly heldBy: readonly ('bars' | 'cauls')[];
}

/** A row with what its build, shop and glue say. */
export interface RowInPlan extends RowPlan {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  readonly climate: Climate;
  readonly adhesive: Adhesive;
}

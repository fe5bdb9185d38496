import type { PlannedLine } from '@lean-clasp/core/plan';

/** Pressure along one line, at equal steps. */
interface Curve {
  readonly label: string;
  readonly pressureMPa: readonly number[];
  readonly minMPa: number;
  readonly maxMPa: number;
}

/** What a chart of pressures shows. */
export interface CurvesProps {
  readonly lengthMm: number;
  readonly lines: readonly Curve[];
  readonly chosen: number;
  readonly wanted: PlannedLine['target'] | undefined;
  readonly clampsMm: readonly number[];
}

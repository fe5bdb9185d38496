import { paddingOf } from '../assembly';
import { clampBowMm, CORNER_INSET_MM, type CornersDown, type RowPlan } from '../plan';

/** Steps of the pressure ramp: under half the low end, light, then rising shares of the target's high end. */
export type PressureStep = 0 | 1 | 2 | 3 | 4 | 5;

/** A stretch of a line drawn in one step of the ramp. */
export interface PressureBand {
  readonly fromMm: number;
  readonly toMm: number;
  readonly step: PressureStep;
  /** Drawn hatched as well, so that colour is never alone. */
  readonly underTarget: boolean;
}

/** Board as a rectangle; x along the length, y across from the first clamped edge. */
export interface BoardMark {
  readonly id: string;
  readonly label: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly heart: 'up' | 'down';
  readonly cut: 'flat' | 'quarter' | 'rift';
  readonly ringRadiusMm: number;
}

/** A glue line with its pressure. */
export interface LineMark {
  readonly index: number;
  /** Of its joint. */
  readonly id: string;
  readonly label: string;
  readonly yMm: number;
  readonly xMm: number;
  readonly lengthMm: number;
  readonly bands: readonly PressureBand[];
  readonly minMPa: number;
  readonly minAtMm: number;
  readonly weakest: boolean;
}

/** A clamp across the panel. */
export interface ClampMark {
  readonly id: string;
  readonly number: number;
  readonly xMm: number;
  readonly side: 'above' | 'below';
  readonly padWidthMm: number;
  readonly handle: 'first' | 'last';
  readonly pinned: boolean;
  readonly faulty: boolean;
}

/** All marks of the plan view in mm, ready to be scaled and inked. */
export interface PanelMarks {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  /** Wood beyond each clamped edge: blocks or battens. */
  readonly edgeMm: number;
  readonly edgeKind: 'bare' | 'blocks' | 'battens';
  readonly boards: readonly BoardMark[];
  readonly lines: readonly LineMark[];
  readonly clamps: readonly ClampMark[];
  /** Clamps that hold its corners down: middles of their pads. A kit kept by an earlier version has none. */
  readonly corners?: readonly { readonly xMm: number; readonly yMm: number; readonly padMm: number }[];
  readonly caulsAtMm: readonly number[];
  readonly caulWidthMm: number;
  /** Bow at the middle while clamped, as far as it is held; null where it pops. */
  readonly bowMm: number | null;
  readonly trimMm: number;
}

/** Computes the marks of the plan view, with the clamps that hold its corners down where there are any. */
export function panelMarks(row: RowPlan, down: CornersDown | null = null): PanelMarks {
  const { panel, job } = row;
  const weakest = row.lines.reduce((a, b) =>
    b.pressure.minMPa / b.target.lowMPa < a.pressure.minMPa / a.target.lowMPa ? b : a,
  );
  return {
    lengthMm: panel.lengthMm,
    widthMm: panel.widthMm,
    thicknessMm: panel.thicknessMm,
    edgeMm: paddingOf(job),
    edgeKind: job.edge.kind,
    boards: panel.boards.map(({ board, label, fromMm, startMm }) => ({
      id: board.id,
      label,
      xMm: startMm,
      yMm: fromMm,
      lengthMm: board.lengthMm,
      widthMm: board.widthMm,
      thicknessMm: board.thicknessMm,
      heart: board.heart,
      cut: board.cut,
      ringRadiusMm: board.ringRadiusMm,
    })),
    lines: row.lines.map(({ line, pressure, target }) => ({
      index: line.index,
      id: line.id,
      label: line.label,
      yMm: line.atMm,
      xMm: line.startMm,
      lengthMm: line.lengthMm,
      bands: bandsOf(pressure.stationsMm, pressure.pressureMPa, target.lowMPa, target.highMPa),
      minMPa: pressure.minMPa,
      minAtMm: pressure.minAtMm,
      weakest: line.index === weakest.line.index,
    })),
    clamps: row.clampSet.clamps.map((clamp) => ({
      id: clamp.placed.id,
      number: clamp.number,
      xMm: clamp.placed.xMm,
      side: clamp.placed.side,
      padWidthMm: clamp.lot.padWidthMm,
      handle: clamp.handle,
      pinned: clamp.placed.pinned === true,
      faulty: clamp.fit === 'too-short' || clamp.padPressureMPa > clamp.crushLimitMPa,
    })),
    corners: down === null ? [] : cornersOn(row, down),
    caulsAtMm: row.cauls?.placesMm ?? [],
    caulWidthMm: row.cauls?.caul.widthMm ?? 0,
    bowMm: finiteOrNull(clampBowMm(row)),
    trimMm: job.trimMm,
  };
}

function cornersOn(
  { panel: { lengthMm, widthMm } }: RowPlan,
  { lot }: CornersDown,
): NonNullable<PanelMarks['corners']> {
  return [CORNER_INSET_MM, lengthMm - CORNER_INSET_MM].flatMap((xMm) =>
    [CORNER_INSET_MM, widthMm - CORNER_INSET_MM].map((yMm) => ({ xMm, yMm, padMm: lot.padWidthMm })),
  );
}

/** Stored as JSON, which knows no infinity. */
const finiteOrNull = (value: number): number | null => (Number.isFinite(value) ? value : null);

/** Groups neighbouring stations of equal step; each station owns half the way to its neighbours. */
function bandsOf(
  stations: readonly number[],
  pressures: readonly number[],
  lowMPa: number,
  highMPa: number,
): PressureBand[] {
  const bands: PressureBand[] = [];
  stations.forEach((x, i) => {
    const step = pressureStep(pressures[i] ?? 0, lowMPa, highMPa);
    const fromMm = i === 0 ? x : (x + (stations[i - 1] ?? x)) / 2;
    const toMm = i === stations.length - 1 ? x : (x + (stations[i + 1] ?? x)) / 2;
    const last = bands.at(-1);
    if (last !== undefined && last.step === step) bands[bands.length - 1] = { ...last, toMm };
    else bands.push({ fromMm, toMm, step, underTarget: step < 2 });
  });
  return bands;
}

/** Step of the ramp: 0 under half the low end, 1 light, 2 and 3 lower and upper half of target, 4 and 5 above. */
export function pressureStep(pressureMPa: number, lowMPa: number, highMPa: number): PressureStep {
  if (pressureMPa < lowMPa / 2) return 0;
  if (pressureMPa < lowMPa) return 1;
  if (pressureMPa < (lowMPa + highMPa) / 2) return 2;
  if (pressureMPa <= highMPa) return 3;
  return pressureMPa <= 1.25 * highMPa ? 4 : 5;
}

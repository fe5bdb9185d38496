import { bendFigure, breadboardSlotFigure } from './bends';
import { type AnyDraw, type Figure } from './figure';
import { compoundMitreFigure, mitrePolygonFigure, quadFigure, staveFigure } from './frames';
import {
  adhesiveRankFigure,
  adhesiveWindowFigure,
  clampNeedFigure,
  spreadFigure,
  strengthFigure,
} from './glue';
import {
  drawboreFigure,
  dryingCoatsFigure,
  glassAndBackFigure,
  millingAllowanceFigure,
  resawListFigure,
  vacuumBagFigure,
} from './making';
import { batchFigure, calendarFigure, sequenceFigure } from './planning';
import { caulFigure, panelBowFigure, panelPressureFigure, placeClampsFigure, platenFigure } from './pressing';
import { angledClampFigure, bandFigure, handCalibrationFigure } from './pulls';
import { edgeLineFigure, flatnessFigure, trySquareFigure } from './readings';
import { cupFigure, emcFigure, movementFigure } from './wood';

export type { Figure, FigureInk } from './figure';

const FIGURES: ReadonlyMap<string, AnyDraw> = new Map([
  emcFigure,
  movementFigure,
  cupFigure,
  adhesiveRankFigure,
  adhesiveWindowFigure,
  strengthFigure,
  spreadFigure,
  clampNeedFigure,
  handCalibrationFigure,
  quadFigure,
  mitrePolygonFigure,
  staveFigure,
  compoundMitreFigure,
  flatnessFigure,
  edgeLineFigure,
  trySquareFigure,
  angledClampFigure,
  bandFigure,
  bendFigure,
  breadboardSlotFigure,
  resawListFigure,
  millingAllowanceFigure,
  drawboreFigure,
  dryingCoatsFigure,
  glassAndBackFigure,
  vacuumBagFigure,
  sequenceFigure,
  calendarFigure,
  batchFigure,
  panelPressureFigure,
  panelBowFigure,
  caulFigure,
  placeClampsFigure,
  platenFigure,
]);

/**
 * The small drawing beside a calculation, or null where there is none.
 * @param input what its answer was computed from; both must satisfy the schemas of the calculation.
 */
export function figureOf(name: string, input: unknown, answer: unknown): Figure | null {
  return FIGURES.get(name)?.(input as never, answer as never) ?? null;
}

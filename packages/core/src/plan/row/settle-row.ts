import { pressureWord } from '../../clamps';
import { panelPressure, type Press } from '../../mechanics';
import { type PressedRow, pressRow } from './pressed-row';
import type { PlannedLine, RowPlan } from './row-plan';

/**
 * The same row with its pressures by finite elements in place of the closed form. What does not settle, or is not held at all,
 * stays as estimated.
 */
export function settleRow(row: RowPlan, press: Press = panelPressure): RowPlan {
  if (row.clampSet.totalForceN === 0) return row;
  const pressed = pressRow(row, press);
  if (pressed.status !== 'converged' || pressed.lines.length !== row.lines.length) return row;
  return { ...row, pressed, lines: row.lines.map((line, i) => settledLine(line, pressed, i)) };
}

function settledLine(planned: PlannedLine, { lines }: PressedRow, index: number): PlannedLine {
  const own = lines[index];
  if (own === undefined) return planned;
  const { pressureMPa, minMPa, minAtMm, meanMPa, maxMPa } = own;
  const { lengthMm } = planned.line;
  return {
    ...planned,
    pressure: {
      stationsMm: pressureMPa.map((_, k) => (lengthMm * k) / (pressureMPa.length - 1)),
      pressureMPa,
      minMPa,
      // Told to the millimetre: nobody lays a clamp finer.
      minAtMm: Math.round(minAtMm),
      meanMPa,
      maxMPa,
    },
    lowestWord: pressureWord(minMPa, planned.target, planned.crushMPa),
  };
}

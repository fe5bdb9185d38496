import { pressureWord } from '../clamps';
import { panelPressure, type Press } from '../mechanics';
import type { Plan } from './plan';
import type { PlannedLine } from './plan-parts';
import { type PressedPlan, pressPlan } from './pressed-plan';
import { judgeTight } from './tight';

/**
 * The same plan with its pressures by finite elements in place of the closed form, and *Tight* judged by them. What does
 * not settle, or is not held at all, stays as estimated.
 */
export function settlePlan(plan: Plan, press: Press = panelPressure): Plan {
  const pressed = pressPlan(plan, press);
  if (pressed.status !== 'converged' || pressed.lines.length !== plan.lines.length) return plan;
  const lines = plan.lines.map((line, i): PlannedLine => settledLine(line, pressed, i));
  const parts = { ...plan, lines, pressed };
  return { ...parts, verdicts: { ...plan.verdicts, tight: judgeTight(parts) } };
}

function settledLine(planned: PlannedLine, { lines }: PressedPlan, index: number): PlannedLine {
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

import { within } from '../basics/checks';
import { LIMITS } from '../basics/limits';
import { type Cut, type WoodProperties, byCut } from './species';

/** A board whose moisture content goes from one value to another. */
export interface MoistureChange {
  readonly wood: WoodProperties;
  readonly widthMm: number;
  readonly mcFromPct: number;
  readonly mcToPct: number;
}

/**
 * Change of width in mm (positive: wider) between two moisture contents.
 *
 * ΔD = D·C·ΔMC with C_T for flat-sawn, C_R for quarter-sawn, their mean for rift.
 * Range: coefficients hold from 6 to 14 % MC, beyond that the answer is an extrapolation.
 * Source: USDA FPL Wood Handbook, chapter 13, table 13-5.
 */
export function movementMm(change: MoistureChange & { readonly cut: Cut }): number {
  checkChange(change);
  const coefficient = byCut(change.cut, change.wood.cT, change.wood.cR);
  return change.widthMm * coefficient * (change.mcToPct - change.mcFromPct);
}

/**
 * Cup of a flat-sawn board in mm between two moisture contents; positive when the bark face turns hollow
 * (as it does on drying).
 *
 * Stress-free map about the pith: r → r(1 + ε_R), φ → φ(1 + ε_T − ε_R) with ε = C·ΔMC, applied to the middle
 * and the ends of the mid-thickness line that lies `ringRadiusMm` from the pith. For a width much smaller
 * than the radius the amount tends to (C_T − C_R)·|ΔMC|·W²/(4r).
 * Range: free board, rings circular, 6 to 14 % MC, any ratio of width to radius.
 */
export function cupSagittaMm(change: MoistureChange & { readonly ringRadiusMm: number }): number {
  checkChange(change);
  const radius = within(change.ringRadiusMm, 'ringRadiusMm', LIMITS.ringRadiusMm);
  const deltaMc = change.mcToPct - change.mcFromPct;
  const strainR = change.wood.cR * deltaMc;
  const strainT = change.wood.cT * deltaMc;
  const half = change.widthMm / 2;
  const endRadius = Math.hypot(radius, half) * (1 + strainR);
  const endAngle = Math.atan2(half, radius) * (1 + strainT - strainR);
  return endRadius * Math.cos(endAngle) - radius * (1 + strainR);
}

function checkChange({ widthMm, mcFromPct, mcToPct }: MoistureChange): void {
  within(widthMm, 'widthMm', { min: 1, max: 5000, unit: 'mm' });
  within(mcFromPct, 'mcFromPct', LIMITS.moisturePct);
  within(mcToPct, 'mcToPct', LIMITS.moisturePct);
}

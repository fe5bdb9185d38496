import type { AnyCalculation } from './calculation';
import { clampNeed } from './clamping';
import { adhesiveWindow, spread } from './glue';
import { cup, emc, movement } from './wood';

/** Every calculation, in the order in which they are listed. */
export const CALCULATIONS: readonly AnyCalculation[] = [
  emc,
  movement,
  cup,
  adhesiveWindow,
  spread,
  clampNeed,
];

const byName: ReadonlyMap<string, AnyCalculation> = new Map(CALCULATIONS.map((entry) => [entry.name, entry]));

/** Looks a calculation up by its public name. */
export function findCalculation(name: string): AnyCalculation | undefined {
  return byName.get(name);
}

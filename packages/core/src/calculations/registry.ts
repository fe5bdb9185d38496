import type { AnyCalculation } from './calculation';
import { bend, breadboardSlot } from './bending';
import { clampNeed, handCalibration } from './clamping';
import {
  angledClamp,
  band,
  compoundMitre,
  edgeLine,
  flatness,
  mitrePolygon,
  quad,
  stave,
  trySquare,
} from './geometry';
import { adhesiveRank, strength } from './choosing';
import { adhesiveWindow, spread } from './glue';
import { dryingCoats, drawbore, glassAndBack, millingAllowance, resawList, vacuumBag } from './making';
import { batch, calendar, sequence } from './planning';
import { placeClamps, platen } from './placing';
import { caul, panelBow, panelPressure } from './pressing';
import { cup, emc, movement } from './wood';

/** Every calculation, in the order in which they are listed. */
export const CALCULATIONS: readonly AnyCalculation[] = [
  emc,
  movement,
  cup,
  breadboardSlot,
  adhesiveRank,
  adhesiveWindow,
  strength,
  spread,
  clampNeed,
  handCalibration,
  panelPressure,
  placeClamps,
  panelBow,
  caul,
  platen,
  quad,
  flatness,
  edgeLine,
  trySquare,
  mitrePolygon,
  compoundMitre,
  stave,
  band,
  angledClamp,
  bend,
  resawList,
  millingAllowance,
  drawbore,
  dryingCoats,
  glassAndBack,
  vacuumBag,
  sequence,
  calendar,
  batch,
];

const byName: ReadonlyMap<string, AnyCalculation> = new Map(CALCULATIONS.map((entry) => [entry.name, entry]));

/** Looks a calculation up by its public name. */
export function findCalculation(name: string): AnyCalculation | undefined {
  return byName.get(name);
}

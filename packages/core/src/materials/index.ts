export { breadboardSlot, HELD_MOVES_MM, type HeldAcross, heldMovesMm, heldWidthMm } from './breadboard';
export { drawboreMm } from './drawbore';
export { roughSize, toMill, usualRough } from './milling';
export { AT_TWELVE_PCT, type OwnWood } from './own-wood';
export { findSpecies, listSpecies, resolveSpecies } from './find-species';
export { equilibriumMoisturePct, vapourPressureDeficitKPa } from './moisture';
export { cupSagittaMm, movementMm } from './movement';
export {
  type Cut,
  type GluingTraits,
  modulusAcross,
  PLAIN_TRAITS,
  poissonInFace,
  sharedTraits,
  shearModulusInFace,
  type Species,
  type WoodProperties,
} from './species';
export { balanceDays, inBalancePct } from './balance';

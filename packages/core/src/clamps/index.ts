export { caulPlaces, type Clash, clashesOf } from './clashes';
export {
  BANDS,
  BETWEEN_JAWS_MM,
  type ClampKind,
  findClampKind,
  isBag,
  listClampKinds,
  lotForceN,
  lotReachMm,
  NOT_OPENED,
  ROUND,
  STRIPS_EVERY_MM,
  TYPICAL_FORCE_SPREAD,
  TURN_N,
} from './kinds';
export { type HandCalibration, handCalibration, N_PER_KG, type TurnReading } from './hand-calibration';
export { clampNeed } from './need';
export { openingFit, type OpeningFit, openingNeededMm, USUAL_BLOCK_MM } from './opening';
export { centreOutOrder, evenPositions, padWithinMm, tighteningOrder } from './placement';
export {
  CRUSH_SHARE,
  EASED_TO,
  canLightSqueeze,
  LIGHT_SQUEEZE,
  pressureWord,
  type PressureSchool,
  type PressureWord,
  type TargetPressure,
  targetPressure,
} from './target';

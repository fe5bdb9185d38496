export { type ClampKind, findClampKind, listClampKinds, TYPICAL_FORCE_SPREAD } from './kinds';
export { clampNeed } from './need';
export { openingFit, type OpeningFit, openingNeededMm } from './opening';
export { centreOutOrder, evenPositions } from './placement';
export { pressureWord, type PressureWord, type TargetPressure, targetPressure } from './target';

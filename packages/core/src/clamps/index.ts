export { type ClampKind, findClampKind, listClampKinds, TYPICAL_FORCE_SPREAD } from './kinds';
export { clampNeed } from './need';
export { OPENING_SPARE_MM, openingFit, type OpeningFit, openingNeededMm } from './opening';
export { centreOutOrder, END_OVERHANG_SHARE, evenPositions } from './placement';
export { pressureWord, type PressureWord, type TargetPressure, targetPressure } from './target';

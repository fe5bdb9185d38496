export { blockClampsOf } from './block-clamps';
export { type HoldingClamp, holdingClamps } from './holding-clamps';
export { CORNER_INSET_MM, type CornersDown, cornersOf } from './corners-down';
export { squeezePlan, wantsElements } from './squeeze-plan';
export { leastOf } from './least';
export { type Stack, stackOf } from './press-stack';
export { acrossInTurn, pullFrame } from './pull-frame';
export type { Squeeze, ClampInSpace, PressedAlong, SqueezedPull } from './squeezed';
export { type PullOpening, pullOpenings, pullTightening } from './pull-tightening';

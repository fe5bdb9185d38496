export { type BendCurve, bendCurve } from './bend-curve';
export { type LiveEdges, liveEdges } from './live-edges';
export { type MitreCorners, mitreCorners } from './mitre-corners';
export { LIVE_STATIONS } from './stations';

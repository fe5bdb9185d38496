export { type BendCurve, bendCurve } from './bend-curve';
export { LIVE_STATIONS, type LiveEdges, liveEdges } from './live-edges';
export { type MitreCorners, mitreCorners } from './mitre-corners';

export { LIVE_STATIONS, type LiveEdges, liveEdges } from './live-edges';

export { type LineTimes, type Operation, panelSession, type Timeline } from './panel-session';
export { PACE } from './pace';

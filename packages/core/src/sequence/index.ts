export { PACE } from './pace';
export {
  type LineTimes,
  type Operation,
  panelSession,
  type SessionJob,
  type Timeline,
} from './panel-session';

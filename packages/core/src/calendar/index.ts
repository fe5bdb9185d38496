export {
  type CalendarAnswer,
  type CalendarItem,
  type CalendarProblem,
  datedSessions,
  type NoPlace,
} from './calendar';
export { type CalendarInput, calendarProblemOf, type DatedSession } from './input';
export { Openings, type ShopHours } from './openings';
export { readWallTime, writeWallTime } from './wall-time';

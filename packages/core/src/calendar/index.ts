export { type Batch, type BatchJob, batchOf } from './batch';
export {
  type CalendarAnswer,
  type CalendarItem,
  type CalendarProblem,
  type CalendarSession,
  type CalendarShop,
  datedSessions,
  type NoPlace,
  sessionsWithoutPlace,
  type Taken,
} from './calendar';
export { type CalendarInput, calendarProblemOf, type DatedSession } from './input';
export { Openings, type ShopHours } from './openings';
export { readWallTime, type WallMinute, writeWallTime } from './wall-time';

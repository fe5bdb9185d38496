import { type PlannedStart, type ShopCalendar, type Slips, slipsOf, startsOf } from '@lean-clasp/core/plan';
import { useEffect } from 'react';
import { isRecord, useKept } from '../keeping/use-kept';

/** When sessions were to begin, as the first look at a day had it, and the last such day before. */
interface DayPlan {
  readonly day: string;
  readonly starts: readonly PlannedStart[];
  readonly before: readonly PlannedStart[];
}

const isStart = (value: unknown): value is PlannedStart =>
  isRecord(value) &&
  typeof value.build === 'string' &&
  typeof value.session === 'number' &&
  typeof value.start === 'number';
const startsIn = (value: unknown): PlannedStart[] => (Array.isArray(value) ? value.filter(isStart) : []);

const asDayPlan = (kept: unknown): DayPlan | null =>
  isRecord(kept) && typeof kept.day === 'string'
    ? { day: kept.day, starts: startsIn(kept.starts), before: startsIn(kept.before) }
    : null;

const NOTHING: Slips = { slipped: [], moved: [] };

/**
 * What slipped against the plan that this browser saw first today, or on the last day it looked.
 * @param day of today, such as 2026-11-28.
 * @param now wall minute.
 */
export function useDayPlan(calendar: ShopCalendar | null, day: string, now: number): Slips {
  const [plan, keep] = useKept('lean-clasp.day-plan', asDayPlan);
  const isNew = calendar !== null && plan?.day !== day;
  useEffect(() => {
    if (calendar !== null && isNew) keep({ day, starts: startsOf(calendar), before: plan?.starts ?? [] });
  });
  if (calendar === null || plan === null) return NOTHING;
  // What was put off yesterday is late by what yesterday said.
  const told = isNew ? plan.starts : [...plan.before, ...plan.starts];
  return slipsOf(told, calendar, now);
}

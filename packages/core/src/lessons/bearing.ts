import { type Finding, finding } from '../findings';
import type { Condition, Lesson, LessonMoment, LessonSaid, ShopDocument } from '../formats';
import type { Plan } from '../plan';
import { LIBRARY, type LibraryLesson } from './library';
import { SOME_DAY, type Traits, traitsOf, type When } from './traits';

/** A lesson that a plan calls to mind. Those of the library have no words of their own. */
export type Bearing = LibraryLesson | Lesson;

/** Whether one condition holds. An amount that nobody knows is neither above nor below anything. */
export function conditionHolds(condition: Condition, { amount, words }: Traits): boolean {
  if ('any' in condition) return words(condition.trait).some((word) => condition.any.includes(word));
  if ('none' in condition) return !words(condition.trait).some((word) => condition.none.includes(word));
  const value = amount(condition.trait);
  if (value === null) return false;
  return 'above' in condition ? value > condition.above : value < condition.below;
}

/** Whether all conditions of a trigger hold for a plan at some moment. */
export function triggers(when: readonly Condition[], plan: Plan, at: When = SOME_DAY): boolean {
  const traits = traitsOf(plan, at);
  return when.every((condition) => conditionHolds(condition, traits));
}

/** Lessons that a plan calls to mind, the shop's own first. */
export function lessonsBearing(plan: Plan, at: When = SOME_DAY): Bearing[] {
  return lessonsOf(plan.shop).filter(({ when }) => triggers(when, plan, at));
}

/** A shop's own lessons, then those of the library that it has not put away. */
function lessonsOf({ lessons }: ShopDocument): Bearing[] {
  const { own, away } = lessons ?? { own: [], away: [] };
  return [...own, ...LIBRARY.filter(({ id }) => !away.includes(id))];
}

/** A lesson as a run keeps it and as it is told; words of the library are looked up by its id. */
export const saidOf = (lesson: Bearing): LessonSaid => ({
  lesson: lesson.id,
  title: 'title' in lesson ? lesson.title : '',
  change: 'title' in lesson ? lesson.change || lesson.happened : '',
  at: lesson.at,
});

/** A lesson as a finding. */
export function lessonFinding({ lesson, title, change }: LessonSaid): Finding {
  return finding('lesson', 'warns', { lesson, title, change });
}

const MOMENT_OF: Readonly<Partial<Record<string, LessonMoment>>> = {
  spread: 'spread',
  coat: 'spread',
  close: 'close',
  iron: 'press',
  caul: 'press',
  'set-clamp': 'press',
  tighten: 'press',
  tape: 'press',
  wrap: 'press',
  bag: 'press',
  check: 'check',
};

/**
 * With which of a session's steps each lesson is said: with the first of its kind, the next lesson with the next, one at a time, since
 * hands are at work. What finds no step is said before the first bead only.
 */
export function lessonSteps(
  lessons: readonly LessonSaid[],
  steps: readonly { readonly id: string; readonly kind: string }[],
): ReadonlyMap<string, LessonSaid> {
  const byStep = new Map<string, LessonSaid>();
  for (const lesson of lessons) {
    const step = steps.find(({ id, kind }) => MOMENT_OF[kind] === lesson.at && !byStep.has(id));
    if (step !== undefined) byStep.set(step.id, lesson);
  }
  return byStep;
}

/** A shop with one of its lessons changed, added or taken out; the lessons of the library are put away and brought back. */
export const withLessons = (
  shop: ShopDocument,
  change: (lessons: NonNullable<ShopDocument['lessons']>) => NonNullable<ShopDocument['lessons']>,
): ShopDocument => ({ ...shop, lessons: change(shop.lessons ?? { own: [], away: [] }) });

/** Lessons that come back. */
export interface LessonValues {
  /** Words of the library are looked up by the id; a shop's own come with it. */
  lesson: { lesson: string; title: string; change: string };
}

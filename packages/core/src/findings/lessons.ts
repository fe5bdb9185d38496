/** What the log has taught about plans like this one. */
export interface ComesOutValues {
  /** What came out at this bench before: as a rule, and in one of ten at the worst. */
  'comes-out': { typicalMm: number; poorMm: number; runs: number };
  /** The same of gaps left in lines, beside what the glue fills. */
  'gaps-come-out': { typicalMm: number; poorMm: number; runs: number; fillsMm: number };
}

/** Lessons that come back. */
export interface LessonValues {
  /** Words of the library are looked up by the id; a shop's own come with it. */
  lesson: { lesson: string; title: string; change: string };
}

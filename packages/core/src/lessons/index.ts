export {
  type Bearing,
  conditionHolds,
  lessonFinding,
  lessonsBearing,
  lessonSteps,
  saidOf,
  triggers,
  withLessons,
} from './bearing';
export { LIBRARY, LIBRARY_IDS, type LibraryId, type LibraryLesson } from './library';
export { closesInMin, SOME_DAY, type Traits, traitsOf, type When } from './traits';

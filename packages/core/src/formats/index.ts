export { AnswersSchema, BUILD_VERSION, type BuildDocument, BuildDocumentSchema } from './build-document';
export { type Board, type Climate, type FreeJoint, type FreePart, type PulledClamp } from './build-sections';
export { caulPairsIn } from './caul-pairs';
export { type Finish, FINISHES } from './finishes';
export { type Learned, type Measure, MEASURES, NOTHING_LEARNED, type Work, WORKS } from './learned';
export {
  AMOUNT_TRAITS,
  type AmountTrait,
  type Condition,
  type Lesson,
  LESSON_MOMENTS,
  type LessonMoment,
  type LessonsFile,
  LessonsFileSchema,
  MOST_LESSONS,
  WORD_TRAITS,
  type WordTrait,
} from './lesson';
export { MOST_BOARDS, MOST_CLAMPS, MOST_FREE_PARTS, MOST_READINGS } from './most';
export type { PlacedClamp, RowSection } from './row';
export {
  CLOSED_AS,
  type ClosedAs,
  type Recheck,
  RECHECK_FINDINGS,
  type RecheckFinding,
  RECHECKS,
  RUN_EVENT_KINDS,
  RUN_VERSION,
  type RunDocument,
  RunDocumentSchema,
  type RunEvent,
  RunEventSchema,
  type RunHead,
  type RunRecord,
  type Script,
  type ScriptOfBefore,
  type Stretch,
  STRETCH_LOOKS,
  STRETCH_PLACES,
} from './run-document';
export { type LessonSaid, type RunJob, type RunPromise } from './run-promise';
export {
  type BlockLot,
  type Bench,
  type Bottle,
  type CaulLot,
  type RackLot,
  type ShopDocument,
  SHOP_ROOM,
  ShopDocumentSchema,
} from './shop-document';
export { upgradedBuild, upgradedRun } from './upgrades';
export { NO_WISHES, type Wishes, wishesOf } from './wishes';
export { bounded, oneOf, orNull, strictObject, wholeBounded } from './schema';
export { USUAL_ROW } from './usual-row';

export { diagnose, diagnoseBy, type Diagnosis, type Speaks, type Suspect } from './diagnose';
export { lessonFor } from './lesson-for';
export {
  type Asked,
  ASKED,
  type Cause,
  CAUSES,
  type Feature,
  FEATURES,
  type Level,
  MODEL,
  type Symptom,
  SYMPTOMS,
} from './model';
export { type Signs, signsOf } from './run-signs';

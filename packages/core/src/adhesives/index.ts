export {
  type Adhesive,
  type GlueStep,
  type GlueStepKind,
  type Hazard,
  HAZARDS,
  SENSITISERS,
  type Service,
  SERVICES,
} from './adhesive';
export { asDriedFilm, coatDriesMin, DRIED_COATS, IRON_WITHIN_MIN } from './dried-film';
export { findAdhesive, listAdhesives, standsService } from './find-adhesive';
export { tooHardFor, tooWarmFor } from './place';
export { asLearned, BLANK_LABEL, type Label, withLabel } from './label';
export { strengthAt, type StrengthCurve, strengthCurve } from './strength';
export { type AdhesiveWindow, adhesiveWindow, COLD_REFUSALS, type WindowConditions } from './window';

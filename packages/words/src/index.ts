export { checkName, detailWords, workName } from './bench';
export {
  ADHESIVE_OPTIONS,
  CLAMP_CAUTION,
  CLAMP_OPTIONS,
  CUT_OPTIONS,
  METHOD_OPTIONS,
  SERVICE_OPTIONS,
  SPECIES_OPTIONS,
  clampName,
  hazardWords,
  inSentence,
} from './catalogue';
export { ASPECT_NAMES, againstWords, figureAlone, figureWords } from './figures';
export { cautionWords } from './cautions';
export { CAUSE_WORDS, LOOK_QUESTIONS, SIGN_WORDS, SYMPTOM_WORDS } from './diagnosis';
export { fullSizeHow, fullSizeName, MACHINE_CAUTION, shapeLabelWords } from './full-size';
export { loreWords, WORK_WORDS } from './learning';
export { choiceWords } from './choice-words';
export { LOOK_WORDS, placeWords, RECHECK_FINDING_WORDS, RECHECK_NAMES, stretchWords } from './afterwards';
export { type Format, formatFor } from './format';
export {
  AMOUNT_WORDS,
  conditionWords,
  lessonWords,
  MOMENT_WORDS,
  triggerWords,
  WORD_TRAIT_WORDS,
} from './lessons';
export { GLOSSARY, type Glossed, glossed, type Term } from './glossary';
export { traitWords } from './glue';
export { KIND_WORDS, kindWords } from './kind-names';
export {
  CONDITION_WORDS,
  GLUED_WORDS,
  JOINT_WORDS,
  KIND_CAUTIONS,
  PAIRING_WORDS,
  PREPARATION_WORDS,
  REINFORCEMENT_WORDS,
  cutWords,
  questionWords,
  sideWords,
} from './kind-words';
export { obstacleWords, statusWords } from './order';
export { fieldWords, MISHAP_WORDS } from './trouble';
export { PRESSURE_WORDS, pullName } from './pulls';
export { lotWords } from './rack';
export { bottleWords } from './shelf';
export { cellFaultWords } from './tables';
export { CHANGE_WORDS, CLEAN_UP_WORDS, STEP_WORDS, reasonWords } from './reasons';
export { strutWords } from './strut';
export { type Working, workingOf } from './workings';
export { planSays } from './plan-says';
export { saidPlan, says, type SumFinding, sumWords } from './say';

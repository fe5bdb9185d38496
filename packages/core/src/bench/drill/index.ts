export { answerMishap, answersNow } from './answer';
export { type Debrief, debrief, type Outcome } from './debrief';
export { beginDrill, type Drill, drillMoment, drillPosition, type DrillStart, type Handled } from './drill';
export { playOn } from './play';

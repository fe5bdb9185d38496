export { alike, eventKey, inOrder, merged } from './events';
export { EMPTY_RECORD, readRun, type RunReading, type RunSummary, summaryOf } from './replay';

export { alike, inOrder, merged } from './events';
export { readRun, type RunReading, type RunSummary, summaryOf } from './replay';

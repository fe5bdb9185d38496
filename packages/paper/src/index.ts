export { PAPER_NAMES, type PaperName, PAPERS } from './pdf/paper-sizes';
export { type PaperAsk, PaperAskSchema, type PaperFile, paperOf } from './papers';

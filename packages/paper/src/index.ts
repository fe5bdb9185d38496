export { PAPER_NAMES, type PaperName, PAPERS } from './pdf/paper-sizes';
export { shopListPdf } from './shop-list/shop-list-pdf';
export { type PaperAsk, PaperAskSchema, type PaperFile, paperOf } from './papers';

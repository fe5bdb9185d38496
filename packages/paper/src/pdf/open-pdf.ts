import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { PAPERS, type PaperName, PT_PER_MM } from './paper-sizes';

/** A document that is being written, with everything in millimetres from the top left corner of a page. */
export interface Pdf {
  readonly doc: PDFKit.PDFDocument;
  readonly widthMm: number;
  readonly heightMm: number;
  /** What the document consists of, for whoever has it read out. */
  readonly root: PDFKit.PDFStructureElement;
  /** Ends it. */
  readonly finish: () => Promise<Uint8Array>;
}

/** Free on every side: what the usual printer cannot reach, and room for a thumb. */
export const MARGIN_MM = 12;

const FAMILY = '@expo-google-fonts/atkinson-hyperlegible-next';
const fonts = createRequire(import.meta.url);
const fontFile = (weight: string): string =>
  fonts.resolve(`${FAMILY}/${weight}/AtkinsonHyperlegibleNext_${weight}.ttf`);

/** Begins a tagged document in the app's own face, which it carries with it. */
export function openPdf(paper: PaperName, title: string): Pdf {
  const { widthMm, heightMm } = PAPERS[paper];
  const doc = new PDFDocument({
    size: [widthMm * PT_PER_MM, heightMm * PT_PER_MM],
    margin: 0,
    pdfVersion: '1.7',
    tagged: true,
    displayTitle: true,
    lang: 'en-GB',
    info: { Title: title, Creator: 'Lean Clasp' },
    font: fontFile('400Regular'),
  });
  doc.registerFont('plain', fontFile('400Regular'));
  doc.registerFont('bold', fontFile('700Bold'));
  doc.font('plain');
  const chunks: Uint8Array[] = [];
  doc.on('data', (chunk: Uint8Array) => chunks.push(chunk));
  const ended = new Promise<void>((done, failed) => {
    doc.once('end', done);
    doc.once('error', failed);
  });
  const root = doc.struct('Document');
  doc.addStructure(root);
  return {
    doc,
    widthMm,
    heightMm,
    root,
    finish: async () => {
      root.end();
      doc.end();
      await ended;
      return new Uint8Array(Buffer.concat(chunks));
    },
  };
}

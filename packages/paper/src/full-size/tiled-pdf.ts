import type { Drawing } from '../drawings/drawing';
import { drawShape } from '../pdf/draw-shape';
import { artifact, element, TYPE, writeText } from '../pdf/flow';
import { MARGIN_MM, openPdf, type Pdf } from '../pdf/open-pdf';
import { type PaperName, PAPERS, PT_PER_MM } from '../pdf/paper-sizes';

/** What neighbouring sheets repeat of each other, mm. */
const OVERLAP_MM = 10;
/** Side of the square that tells whether a printer kept the size, mm. */
const CHECK_MM = 50;
/** At the foot of every sheet, for the square and what is said, mm. */
const FOOT_MM = 58;
/** Around the template, mm. */
const EDGE_MM = 4;

/** How a template is cut into sheets: columns and rows, and how much of it each shows, mm. */
interface Tiling {
  readonly columns: number;
  readonly rows: number;
  readonly wideMm: number;
  readonly highMm: number;
}

/** The fewest sheets that show all of a template, each repeating a strip of its neighbours. */
function tilingOf({ bounds }: Drawing, paper: PaperName): Tiling {
  const { widthMm, heightMm } = PAPERS[paper];
  const wideMm = widthMm - 2 * MARGIN_MM;
  const highMm = heightMm - 2 * MARGIN_MM - FOOT_MM;
  const count = (needMm: number, eachMm: number) =>
    Math.max(1, Math.ceil((needMm + 2 * EDGE_MM - OVERLAP_MM) / (eachMm - OVERLAP_MM) - 1e-9));
  return { columns: count(bounds.widthMm, wideMm), rows: count(bounds.heightMm, highMm), wideMm, highMm };
}

/**
 * A template at full size on as many sheets as it takes, with crosses that lie on each other where sheets meet, and a square to measure.
 * @returns a PDF document.
 */
export async function tiledPdf(
  drawing: Drawing,
  { paper, how, caution }: { readonly paper: PaperName; readonly how: string; readonly caution: string },
): Promise<Uint8Array> {
  const pdf = openPdf(paper, drawing.title);
  const tiling = tilingOf(drawing, paper);
  const { columns, rows, wideMm, highMm } = tiling;
  const { leftMm, topMm } = drawing.bounds;
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      if (row + column > 0) pdf.doc.addPage();
      pdf.doc.scale(PT_PER_MM);
      const fromX = leftMm - EDGE_MM + column * (wideMm - OVERLAP_MM);
      const fromY = topMm + EDGE_MM - row * (highMm - OVERLAP_MM);
      const at: Place = ([x, y]) => [MARGIN_MM + x - fromX, MARGIN_MM + fromY - y];
      writeTile(pdf, drawing, at, tiling);
      drawCrosses(pdf, tiling, column, row);
      const number = row * columns + column + 1;
      writeFoot(pdf, `${drawing.title}: sheet ${number} of ${rows * columns}`, [how, caution]);
    }
  }
  return pdf.finish();
}

type Place = (point: readonly [number, number]) => [number, number];

function writeTile(pdf: Pdf, { shapes, words, title }: Drawing, at: Place, { wideMm, highMm }: Tiling) {
  const { doc } = pdf;
  element(
    pdf,
    'Figure',
    () => {
      doc.save();
      doc.rect(MARGIN_MM, MARGIN_MM, wideMm, highMm).clip();
      for (const shape of shapes) drawShape(doc, shape, at);
      for (const { at: spot, highMm: size, text } of words) {
        const [x, y] = at(spot);
        if (x < 0 || x > pdf.widthMm || y < 0 || y > pdf.heightMm) continue;
        doc.font('plain').fontSize(size).fillColor('#20282b');
        doc.text(text, x - doc.widthOfString(text) / 2, y - size, { lineBreak: false });
      }
      doc.restore();
    },
    `Part of ${title} at full size`,
  );
}

/** Half the length of a cross, mm. */
const CROSS_MM = 4;

/** Crosses in the middle of what two sheets share; those of neighbours lie on each other. */
function drawCrosses(pdf: Pdf, { columns, rows, wideMm, highMm }: Tiling, column: number, row: number) {
  const half = OVERLAP_MM / 2;
  const [left, right] = [MARGIN_MM + half, MARGIN_MM + wideMm - half];
  const [top, bottom] = [MARGIN_MM + half, MARGIN_MM + highMm - half];
  artifact(pdf, () => {
    for (const x of [...(column > 0 ? [left] : []), ...(column < columns - 1 ? [right] : [])]) {
      for (const y of [top, (top + bottom) / 2, bottom]) drawCross(pdf.doc, x, y);
    }
    for (const y of [...(row > 0 ? [top] : []), ...(row < rows - 1 ? [bottom] : [])]) {
      for (const x of [left, (left + right) / 2, right]) drawCross(pdf.doc, x, y);
    }
  });
}

const drawCross = (doc: PDFKit.PDFDocument, x: number, y: number) =>
  doc
    .moveTo(x - CROSS_MM, y)
    .lineTo(x + CROSS_MM, y)
    .moveTo(x, y - CROSS_MM)
    .lineTo(x, y + CROSS_MM)
    .lineWidth(0.15)
    .stroke('#20282b');

function writeFoot(pdf: Pdf, title: string, lines: readonly string[]) {
  const { doc, widthMm, heightMm } = pdf;
  const top = heightMm - MARGIN_MM - CHECK_MM;
  artifact(pdf, () => doc.rect(MARGIN_MM, top, CHECK_MM, CHECK_MM).lineWidth(0.2).stroke('#20282b'));
  const xMm = MARGIN_MM + CHECK_MM + 6;
  const textMm = widthMm - xMm - MARGIN_MM;
  let yMm = top;
  const write = (text: string, size: number, bold = false) => {
    element(pdf, 'P', () => writeText(pdf, text, { xMm, yMm, widthMm: textMm, size, bold }));
    yMm += doc.heightOfString(text, { width: textMm, lineGap: size * 0.1 }) + 1.5;
  };
  write(title, TYPE.text, true);
  for (const line of lines) write(line, TYPE.small);
  write(
    `The square is ${CHECK_MM} mm by ${CHECK_MM} mm: where it is not, the printer changed the size. Crosses of neighbouring sheets lie on each other.`,
    TYPE.small,
  );
}

import { MARGIN_MM, type Pdf } from './open-pdf';
import { PT_PER_MM } from './paper-sizes';

/** Sizes of type, mm. */
export const TYPE = { title: 6.4, heading: 4.4, text: 3.5, small: 2.9 } as const;

const LEADING = 1.32;
const INK = '#20282b';
const SOFT = '#6a675e';

/** Writes down a document from top to bottom, page by page. */
export interface Flow {
  readonly pdf: Pdf;
  readonly leftMm: number;
  readonly widthMm: number;
  /** Where the next thing goes. */
  readonly atMm: () => number;
  /** Goes down by so much. */
  readonly down: (mm: number) => void;
  /** Takes a new page unless so much is left of this one. */
  readonly need: (mm: number) => void;
  readonly newPage: () => void;
  /** A heading, on a page with at least so much of what follows it. */
  readonly heading: (text: string, withMm?: number) => void;
  readonly paragraph: (text: string, size?: number) => void;
  /** Rows side by side in so many columns, read down each; a row knows how high it is and how it is written. */
  readonly columns: (count: number, rows: readonly Row[]) => void;
}

/** One row of a list. */
export interface Row {
  readonly heightMm: (widthMm: number) => number;
  readonly write: (xMm: number, yMm: number, widthMm: number) => void;
}

const GUTTER_MM = 6;
const BEFORE_HEADING_MM = 2.5;
const AFTER_HEADING_MM = 0.8;
const FOOT_MM = 8;

/** Begins the first page; every page has the running foot. */
export function flowOn(pdf: Pdf, foot: string): Flow {
  const { doc, widthMm: pageMm, heightMm } = pdf;
  const widthMm = pageMm - 2 * MARGIN_MM;
  const bottomMm = heightMm - MARGIN_MM - FOOT_MM;
  let yMm = MARGIN_MM;
  let page = 0;
  const newPage = () => {
    if (page > 0) doc.addPage();
    page += 1;
    doc.scale(PT_PER_MM);
    artifact(pdf, () => {
      doc.font('plain').fontSize(TYPE.small).fillColor(SOFT);
      doc.text(foot, MARGIN_MM, bottomMm + 4, { lineBreak: false });
      const number = `page ${page}`;
      doc.text(number, MARGIN_MM + widthMm - doc.widthOfString(number), bottomMm + 4, { lineBreak: false });
    });
    yMm = MARGIN_MM;
  };
  newPage();
  const need = (mm: number) => {
    if (yMm + mm > bottomMm) newPage();
  };
  const columns = (count: number, rows: readonly Row[]) => {
    const columnMm = (widthMm - (count - 1) * GUTTER_MM) / count;
    let next = 0;
    while (next < rows.length) {
      const topMm = yMm;
      const heights = rows.slice(next).map((row) => row.heightMm(columnMm));
      const share = heights.reduce((sum, each) => sum + each, 0) / count;
      let lowestMm = topMm;
      for (let column = 0; column < count && next < rows.length; column += 1) {
        let y = topMm;
        for (let row = rows[next]; row !== undefined; row = rows[next]) {
          const high = row.heightMm(columnMm);
          const filled = y - topMm >= share && column < count - 1;
          if (y > topMm && (filled || y + high > bottomMm)) break;
          row.write(MARGIN_MM + column * (columnMm + GUTTER_MM), y, columnMm);
          y += high;
          next += 1;
        }
        lowestMm = Math.max(lowestMm, y);
      }
      yMm = lowestMm;
      if (next < rows.length) newPage();
    }
  };
  return {
    pdf,
    leftMm: MARGIN_MM,
    widthMm,
    atMm: () => yMm,
    down: (mm) => {
      yMm += mm;
    },
    need,
    newPage,
    heading: (text, withMm = 3 * TYPE.text * LEADING) => {
      need(BEFORE_HEADING_MM + TYPE.heading * LEADING + AFTER_HEADING_MM + withMm);
      yMm += BEFORE_HEADING_MM;
      element(pdf, 'H2', () => {
        doc.font('bold').fontSize(TYPE.heading).fillColor(INK);
        doc.text(text, MARGIN_MM, yMm, { lineBreak: false });
      });
      yMm += TYPE.heading * LEADING + AFTER_HEADING_MM;
    },
    paragraph: (text, size = TYPE.text) => {
      const high = textHeightMm(pdf, text, widthMm, size);
      need(high);
      element(pdf, 'P', () => writeText(pdf, text, { xMm: MARGIN_MM, yMm, widthMm, size }));
      yMm += high + 0.8;
    },
    columns,
  };
}

/** How high words come out in a column, mm. */
function textHeightMm({ doc }: Pdf, text: string, widthMm: number, size: number = TYPE.text): number {
  doc.font('plain').fontSize(size);
  return doc.heightOfString(text, { width: widthMm, lineGap: size * 0.1 });
}

/** Writes words in a column. */
export function writeText(
  { doc }: Pdf,
  text: string,
  {
    xMm,
    yMm,
    widthMm,
    size = TYPE.text,
    bold = false,
    soft = false,
  }: {
    readonly xMm: number;
    readonly yMm: number;
    readonly widthMm: number;
    readonly size?: number;
    readonly bold?: boolean;
    readonly soft?: boolean;
  },
): void {
  doc
    .font(bold ? 'bold' : 'plain')
    .fontSize(size)
    .fillColor(soft ? SOFT : INK);
  doc.text(text, xMm, yMm, { width: widthMm, lineGap: size * 0.1 });
}

/** A piece of the document that is read out. */
export function element({ doc, root }: Pdf, type: string, draw: () => void, alt?: string): void {
  const own = doc.struct(type, alt === undefined ? {} : { alt }, draw);
  root.add(own);
  own.end();
}

/** What is only there to look at. */
export function artifact({ doc }: Pdf, draw: () => void): void {
  doc.markContent('Artifact', { type: 'Layout' });
  draw();
  doc.endMarkedContent();
}

const BOX_MM = 3.2;
const TICK_INDENT_MM = 5.6;

/** A thing to tick off, with a word set apart before it where there is one. */
export function tickRow(
  pdf: Pdf,
  text: string,
  {
    before = '',
    beforeMm = 0,
    size = TYPE.text,
  }: { readonly before?: string; readonly beforeMm?: number; readonly size?: number } = {},
): Row {
  const inset = TICK_INDENT_MM + beforeMm;
  return {
    heightMm: (widthMm) => textHeightMm(pdf, text, widthMm - inset, size) + 1.4,
    write: (xMm, yMm, widthMm) => {
      element(pdf, 'P', () => {
        pdf.doc
          .rect(xMm, yMm + 0.35, BOX_MM, BOX_MM)
          .lineWidth(0.25)
          .stroke(INK);
        if (before !== '')
          writeText(pdf, before, { xMm: xMm + TICK_INDENT_MM, yMm, widthMm: beforeMm, size, bold: true });
        writeText(pdf, text, { xMm: xMm + inset, yMm, widthMm: widthMm - inset, size });
      });
    },
  };
}

/** Something to fill in by hand: its name, and a line to write on. */
export function blankRow(pdf: Pdf, name: string, unit = ''): Row {
  const lineMm = 34;
  return {
    heightMm: (widthMm) => Math.max(8.5, textHeightMm(pdf, name, widthMm - lineMm - 14) + 2),
    write: (xMm, yMm, widthMm) => {
      element(pdf, 'P', () => {
        writeText(pdf, name, { xMm, yMm: yMm + 2.6, widthMm: widthMm - lineMm - 14 });
        const from = xMm + widthMm - lineMm - 11;
        pdf.doc
          .moveTo(from, yMm + 6.6)
          .lineTo(from + lineMm, yMm + 6.6)
          .lineWidth(0.2)
          .stroke(INK);
        if (unit !== '')
          writeText(pdf, unit, { xMm: from + lineMm + 1.5, yMm: yMm + 2.6, widthMm: 10, soft: true });
      });
    },
  };
}

import {
  type Figure,
  type FigureInk,
  type FigureLabel,
  type FigurePath,
  placeLabels,
  type WantedLabel,
} from '@lean-clasp/core/drawing';
import { boundsOf, type Bounds } from '../drawings/bounds';
import type { Pdf } from './open-pdf';

/** Where a drawing goes on a page, mm. */
export interface Box {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

interface Stroke {
  readonly colour: string;
  readonly widthMm: number;
  readonly fill?: string;
  readonly dashMm?: number;
}

/** Inks that a grey printer still tells apart. */
const INKS: Readonly<Record<FigureInk, Stroke>> = {
  wood: { colour: '#6b5836', widthMm: 0.18, fill: '#f4ead6' },
  lit: { colour: '#20282b', widthMm: 0.3, fill: '#e9c46a' },
  edge: { colour: '#20282b', widthMm: 0.3 },
  thin: { colour: '#8a8578', widthMm: 0.15, fill: '#efefec' },
  ghost: { colour: '#8a8578', widthMm: 0.2, dashMm: 1.4 },
  glue: { colour: '#b3701c', widthMm: 0.55, fill: '#e9c46a' },
  force: { colour: '#9c2f2a', widthMm: 0.4 },
  mark: { colour: '#1d4f63', widthMm: 0.35 },
};
const SHADE = '#6b5836';
const LABEL_MM = 2.9;
/** Room for names and numbers around a drawing, mm. */
const AROUND_MM = 7;

/** Scales a drawing may have: one millimetre on paper for so many. */
const SCALES = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100];

/** How many times smaller than life a drawing of some size fits a box: a round number. */
function scaleFor({ widthMm, heightMm }: Pick<Bounds, 'widthMm' | 'heightMm'>, box: Box): number {
  const least = Math.max(widthMm / (box.widthMm - 2 * AROUND_MM), heightMm / (box.heightMm - 2 * AROUND_MM));
  return SCALES.find((scale) => scale >= least - 1e-9) ?? Math.ceil(least / 50) * 50;
}

/**
 * Draws a figure, whose measures are mm with y up, to a round scale in the middle of a box.
 * @returns how many times smaller than life it is, and how high it came out, mm.
 */
export function drawFigure(
  { doc }: Pdf,
  figure: Figure,
  box: Box,
  words: (label: FigureLabel) => string = ({ text }) => text,
): { readonly scale: number; readonly heightMm: number } {
  const bounds = boundsOf(figure.paths);
  const scale = scaleFor(bounds, box);
  const heightMm = bounds.heightMm / scale + 2 * AROUND_MM;
  const leftMm = box.xMm + (box.widthMm - bounds.widthMm / scale) / 2;
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    leftMm + (x - bounds.leftMm) / scale,
    box.yMm + AROUND_MM + (bounds.topMm - y) / scale,
  ];
  for (const path of figure.paths) drawPath(doc, path, at);
  drawLabels(
    doc,
    figure.labels.map((label) => ({ label, text: words(label), at: at(label.at) })),
    {
      ...box,
      heightMm,
    },
  );
  return { scale, heightMm };
}

type Place = (point: readonly [number, number]) => [number, number];

function drawPath(
  doc: PDFKit.PDFDocument,
  { points, holes = [], closed, ink, shade = 0, arrow }: FigurePath,
  at: Place,
) {
  const { colour, widthMm, fill, dashMm } = INKS[ink];
  const trace = () => {
    for (const loop of [points, ...holes]) {
      loop.forEach((point, i) => (i === 0 ? doc.moveTo(...at(point)) : doc.lineTo(...at(point))));
      if (closed) doc.closePath();
    }
  };
  // Never saved and restored: the writer would take colours for set that are not.
  doc.lineWidth(widthMm).lineJoin('round');
  if (dashMm !== undefined) doc.dash(dashMm, { space: dashMm * 0.8 });
  trace();
  if (closed && fill !== undefined) doc.fillAndStroke(fill, colour, 'even-odd');
  else doc.stroke(colour);
  if (closed && shade > 0) {
    trace();
    doc
      .fillOpacity(0.22 * shade)
      .fill(SHADE, 'even-odd')
      .fillOpacity(1);
  }
  if (dashMm !== undefined) doc.undash();
  if (arrow) drawHead(doc, points.map(at), colour);
}

const HEAD_MM = 2.2;

function drawHead(doc: PDFKit.PDFDocument, points: readonly [number, number][], colour: string) {
  const [from, to] = [points.at(-2), points.at(-1)];
  if (from === undefined || to === undefined) return;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length < 1e-6) return;
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const back: [number, number] = [to[0] - ux * HEAD_MM, to[1] - uy * HEAD_MM];
  const [sx, sy] = [(-uy * HEAD_MM) / 2.5, (ux * HEAD_MM) / 2.5];
  doc.polygon(to, [back[0] + sx, back[1] + sy], [back[0] - sx, back[1] - sy]).fill(colour);
}

const SIDES = {
  above: { dx: -0.5, dy: -1.35 },
  below: { dx: -0.5, dy: 0.35 },
  left: { dx: -1, dy: -0.5 },
  right: { dx: 0, dy: -0.5 },
} as const;

/** A label with where it points to on the page, mm. */
interface PlacedWord {
  readonly label: FigureLabel;
  readonly text: string;
  readonly at: readonly [number, number];
}

/** Room kept between labels, mm. */
const BETWEEN_MM = 0.6;

/** Names and numbers, none over another; a line leads from one that had to give way to what it names. */
function drawLabels(doc: PDFKit.PDFDocument, words: readonly PlacedWord[], box: Box) {
  // Numbers are told by their ring and stay; names give way to them.
  const inTurn = [...words].sort((a, b) => Number(isNumber(b.label)) - Number(isNumber(a.label)));
  const wanted = inTurn.map((word): WantedLabel => {
    const { x, y, ...size } = wantedBox(doc, word);
    return { ...size, x: x - box.xMm, y: y - box.yMm };
  });
  const placed = placeLabels(wanted, { width: box.widthMm, height: box.heightMm }, [], BETWEEN_MM);
  inTurn.forEach((word, i) => {
    const [x, y] = [(placed[i]?.x ?? 0) + box.xMm, (placed[i]?.y ?? 0) + box.yMm];
    if (placed[i]?.away === true) {
      doc
        .moveTo(...(word.at as [number, number]))
        .lineTo(x, y)
        .lineWidth(0.15)
        .stroke(INKS.thin.colour);
    }
    drawLabel(doc, word, [x, y]);
  });
}

const radiusOf = (width: number) => Math.max(2, width / 2 + 0.8);

/** How large a label is, and where its middle wants to be, mm on the page. */
function wantedBox(doc: PDFKit.PDFDocument, { label, text, at: [x, y] }: PlacedWord): WantedLabel {
  doc.font(isNumber(label) ? 'bold' : 'plain').fontSize(LABEL_MM);
  const width = doc.widthOfString(text);
  if (isNumber(label)) {
    const radius = radiusOf(width);
    return { x, y: y - radius, width: 2 * radius, height: 2 * radius };
  }
  const { dx, dy } = SIDES[label.side];
  return {
    x: x + (dx + 0.5) * (width + 1),
    y: y + (dy + 0.5) * LABEL_MM,
    width: width + 0.8,
    height: LABEL_MM * 1.15,
  };
}

/** A name on a piece of paper of its own, or the number of a clamp in a ring, in the middle of a spot. */
function drawLabel(doc: PDFKit.PDFDocument, { label, text }: PlacedWord, [x, y]: readonly [number, number]) {
  doc.font(isNumber(label) ? 'bold' : 'plain').fontSize(LABEL_MM);
  const width = doc.widthOfString(text);
  if (isNumber(label)) {
    doc.circle(x, y, radiusOf(width)).lineWidth(0.25).fillAndStroke('#ffffff', INKS.mark.colour);
    doc.fillColor(INKS.mark.colour).text(text, x - width / 2, y - LABEL_MM * 0.52, { lineBreak: false });
    return;
  }
  const [left, top] = [x - width / 2, y - LABEL_MM * 0.5];
  doc
    .fillOpacity(0.85)
    .rect(left - 0.4, top - 0.1, width + 0.8, LABEL_MM * 1.15)
    .fill('#ffffff')
    .fillOpacity(1);
  doc.fillColor('#20282b').text(text, left, top, { lineBreak: false });
}

const isNumber = ({ field, value }: FigureLabel): boolean => field === null && value !== null;

import type { LayeredShape } from '../drawings/drawing';

/** How lines of a template are drawn: what is cut firm, what is marked thin. */
const STROKES: Readonly<Record<string, { readonly colour: string; readonly widthMm: number }>> = {
  cut: { colour: '#20282b', widthMm: 0.35 },
  mark: { colour: '#1d4f63', widthMm: 0.18 },
  drill: { colour: '#2f6b4f', widthMm: 0.25 },
};
const OTHER = { colour: '#20282b', widthMm: 0.2 };

/** Draws one line of a template on a page; curves as the page's own, within 0.03 % of their radius. */
export function drawShape(
  doc: PDFKit.PDFDocument,
  shape: LayeredShape,
  at: (point: readonly [number, number]) => [number, number],
): void {
  const { colour, widthMm } = STROKES[shape.layer] ?? OTHER;
  switch (shape.kind) {
    case 'line':
      shape.points.forEach((point, i) => (i === 0 ? doc.moveTo(...at(point)) : doc.lineTo(...at(point))));
      if (shape.closed) doc.closePath();
      break;
    case 'circle':
      doc.circle(...at(shape.centre), shape.radiusMm);
      break;
    case 'arc':
      traceArc(doc, shape, at);
  }
  doc.lineWidth(widthMm).stroke(colour);
}

/** Widest stretch of an arc that one curve stands for, degrees. */
const STRETCH_DEG = 30;

/** An arc as cubic curves: each bulges by 4/3 tan of a quarter of its angle. Source: the usual approximation. */
function traceArc(
  doc: PDFKit.PDFDocument,
  { centre: [x0, y0], radiusMm, fromDeg, toDeg }: Extract<LayeredShape, { kind: 'arc' }>,
  at: (point: readonly [number, number]) => [number, number],
) {
  const count = Math.max(1, Math.ceil((toDeg - fromDeg) / STRETCH_DEG));
  const step = (((toDeg - fromDeg) / count) * Math.PI) / 180;
  const bulge = (4 / 3) * Math.tan(step / 4);
  const point = (angle: number, out: number): [number, number] => [
    x0 + radiusMm * (Math.cos(angle) - out * Math.sin(angle)),
    y0 + radiusMm * (Math.sin(angle) + out * Math.cos(angle)),
  ];
  const start = (fromDeg * Math.PI) / 180;
  doc.moveTo(...at(point(start, 0)));
  for (let i = 0; i < count; i += 1) {
    const [from, to] = [start + i * step, start + (i + 1) * step];
    doc.bezierCurveTo(...at(point(from, bulge)), ...at(point(to, -bulge)), ...at(point(to, 0)));
  }
}

import type { FuseBar } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { artifact, element, type Flow, TYPE, writeText } from '../pdf/flow';

/** Fuses drawn; of more joints the tightest. */
const MOST_FUSES = 16;
/** A chart with fewer bars than this under its axis begins on another page. */
const LEAST_ROWS = 4;
const BAR_MM = 3.4;
const ROW_MM = 6;
const NAME_MM = 46;
const SPARE_MM = 17;
const AXIS_MM = 6;

/** Minutes between the marks of the clock: few enough to be read. */
const stepOf = (untilMin: number): number =>
  [1, 2, 5, 10, 15, 30, 60, 120].find((step) => untilMin / step <= 12) ?? 240;

/** Least room that the chart begins in: its axis and its first bars, mm. */
export const fuseChartMm = (fuses: readonly FuseBar[]): number =>
  fuses.length === 0 ? 0 : AXIS_MM + ROW_MM * Math.min(fuses.length, MOST_FUSES, LEAST_ROWS);

/** The fuses of a session as bars: from the first bead to full pressure, a notch where faces meet, its limit a mark. */
export function fuseChart(flow: Flow, fuses: readonly FuseBar[]): void {
  const shown = fuses.slice(0, MOST_FUSES);
  if (shown.length === 0) return;
  const { pdf, leftMm, widthMm } = flow;
  const { doc } = pdf;
  flow.need(fuseChartMm(fuses));
  const untilMin = Math.max(...shown.map(({ toMin, limitMin }) => Math.max(toMin, limitMin)));
  const span = widthMm - NAME_MM - SPARE_MM;
  const x = (minutes: number) => leftMm + NAME_MM + (span * minutes) / untilMin;
  artifact(pdf, () => {
    const top = flow.atMm();
    doc.font('plain').fontSize(TYPE.small).fillColor('#6a675e');
    for (let at = 0; at <= untilMin; at += stepOf(untilMin)) {
      const text = at === 0 ? '0' : `${at} min`;
      doc.text(text, x(at) - doc.widthOfString(text) / 2, top, { lineBreak: false });
      doc
        .moveTo(x(at), top + 4)
        .lineTo(x(at), top + 5.4)
        .lineWidth(0.15)
        .stroke('#6a675e');
    }
  });
  flow.down(AXIS_MM);
  for (const fuse of shown) {
    flow.need(ROW_MM);
    const y = flow.atMm();
    const spare = `${formatClock(Math.abs(fuse.spareMin))} ${fuse.spareMin < 0 ? 'late' : 'spare'}`;
    element(pdf, 'P', () => {
      writeText(pdf, fuse.label, { xMm: leftMm, yMm: y, widthMm: NAME_MM - 2, size: TYPE.small });
      doc.rect(x(fuse.fromMin), y, x(fuse.limitMin) - x(fuse.fromMin), BAR_MM).fill('#ebe7dc');
      doc
        .rect(x(fuse.fromMin), y, x(fuse.toMin) - x(fuse.fromMin), BAR_MM)
        .fill(fuse.spareMin < 0 ? '#9c2f2a' : '#c98a34');
      doc
        .moveTo(x(fuse.closedMin), y)
        .lineTo(x(fuse.closedMin), y + BAR_MM)
        .lineWidth(0.5)
        .stroke('#ffffff');
      doc
        .moveTo(x(fuse.limitMin), y - 0.7)
        .lineTo(x(fuse.limitMin), y + BAR_MM + 0.7)
        .lineWidth(0.5)
        .stroke('#20282b');
      writeText(pdf, spare, {
        xMm: leftMm + widthMm - SPARE_MM + 1.5,
        yMm: y,
        widthMm: SPARE_MM + 2,
        size: TYPE.small,
      });
    });
    flow.down(ROW_MM);
  }
  if (fuses.length > shown.length) {
    flow.paragraph(`The ${shown.length} tightest of ${fuses.length} joints.`, TYPE.small);
  }
}

import { planOfSession } from '@lean-clasp/core/bench';
import type { Plan } from '@lean-clasp/core/plan';
import { formatClock, formatWait } from '@lean-clasp/core/units';
import { ASPECTS, type VerdictState } from '@lean-clasp/core/verdicts';
import { againstWords, ASPECT_NAMES, figureWords, type Format, kindWords, says } from '@lean-clasp/words';
import { artifact, element, type Flow, TYPE, writeText } from '../pdf/flow';
import type { Pdf } from '../pdf/open-pdf';
import { drawQrMark } from './qr-mark';

const QR_MM = 24;

/** What is glued when and with what, and the code that opens it. */
export function writeHead(flow: Flow, plan: Plan, session: number, link: string | null, f: Format) {
  const { pdf, leftMm, widthMm } = flow;
  const { build, climate, adhesive, order } = plan;
  const sessions = order?.sessions.length ?? 0;
  const top = flow.atMm();
  const textMm = link === null ? widthMm : widthMm - QR_MM - 5;
  element(pdf, 'H1', () =>
    writeText(pdf, build.name, { xMm: leftMm, yMm: top, widthMm: textMm, size: TYPE.title, bold: true }),
  );
  flow.down(TYPE.title * 1.45);
  const lines = [
    `${kindWords(build)}${sessions > 1 ? `, session ${session + 1} of ${sessions}` : ''} · ${adhesive.name} · ${f.temperature(climate.tempC)}, ${Math.round(climate.rhPct)} % RH · ${build.crew === 1 ? 'one pair of hands' : `${build.crew} pairs of hands`}`,
    `Hands-on ${formatClock(order?.sessions[session]?.workMin ?? 0)}. ${releaseWords(plan, session)}`,
  ];
  for (const line of lines) {
    element(pdf, 'P', () => writeText(pdf, line, { xMm: leftMm, yMm: flow.atMm(), widthMm: textMm }));
    flow.down(pdf.doc.heightOfString(line, { width: textMm }) + 0.6);
  }
  if (link === null) return;
  element(
    pdf,
    'Figure',
    () => {
      drawQrMark(pdf, link, leftMm + widthMm - QR_MM, top, QR_MM);
    },
    `Code of the address ${link}`,
  );
  artifact(pdf, () => {
    pdf.doc.link(leftMm + widthMm - QR_MM, top, QR_MM, QR_MM, link);
  });
  flow.down(Math.max(0, top + QR_MM + 1 - flow.atMm()));
}

function releaseWords(plan: Plan, session: number): string {
  const own = planOfSession(plan, session).joints;
  const clampMin = Math.max(...own.map(({ window }) => window.clampMin?.high ?? NaN));
  const machineMin = Math.max(...own.map(({ window }) => window.machineMin ?? NaN));
  if (Number.isNaN(clampMin)) return 'Clamps off as the label says.';
  const machine = Number.isNaN(machineMin) ? '' : `; to the machine after ${formatWait(machineMin)}`;
  return `Clamps off ${formatWait(clampMin)} after the last is on${machine}.`;
}

const STATE_WORDS: Readonly<Record<VerdictState, string>> = {
  holds: 'holds',
  close: 'close',
  fails: 'fails',
};

const VERDICT_MM = 13;

/** The four words with their figures, a mark of another shape for each state. */
export function writeVerdicts(flow: Flow, plan: Plan, f: Format) {
  const { pdf, leftMm, widthMm } = flow;
  const each = widthMm / ASPECTS.length;
  const y = flow.atMm() + 1;
  ASPECTS.forEach((aspect, i) => {
    const verdict = plan.verdicts[aspect];
    const x = leftMm + i * each;
    element(pdf, 'P', () => {
      drawState(pdf, verdict.state, x + 1.8, y + 2.6);
      writeText(pdf, `${ASPECT_NAMES[aspect]}: ${STATE_WORDS[verdict.state]}`, {
        xMm: x + 5,
        yMm: y,
        widthMm: each - 6,
        bold: true,
      });
      writeText(pdf, `${figureWords(verdict, verdict.figure, f)} ${againstWords(verdict, f)}`, {
        xMm: x + 5,
        yMm: y + 4.6,
        widthMm: each - 6,
        size: TYPE.small,
      });
    });
  });
  flow.down(VERDICT_MM);
  for (const aspect of ASPECTS) {
    const { state, cause } = plan.verdicts[aspect];
    if (state === 'fails') flow.paragraph(`${ASPECT_NAMES[aspect]} fails: ${says(cause, f)}`);
  }
}

function drawState({ doc }: Pdf, state: VerdictState, x: number, y: number) {
  const r = 1.7;
  if (state === 'holds') doc.circle(x, y, r).fill('#2f6b4f');
  else if (state === 'close') doc.polygon([x, y - r], [x + r, y], [x, y + r], [x - r, y]).fill('#b3701c');
  else doc.polygon([x, y - r], [x + r, y + r], [x - r, y + r]).fill('#9c2f2a');
}

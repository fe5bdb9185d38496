import { COLD_REFUSALS } from '../../adhesives';
import { finding } from '../../finding';
import { COMFORTABLE_MARGIN } from '../in-time';
import type { AssemblyPlanParts } from './assembly-parts';
import { atRest, type Judged } from './judged';

/** Whether every joint keeps its windows, by the one that has the least to spare. */
export function inTime({ joints, times, build, shop, handsOnMin, order }: AssemblyPlanParts): Judged {
  const refusal = joints
    .flatMap(({ window }) => window.findings)
    .find(({ code }) => COLD_REFUSALS.includes(code));
  if (refusal !== undefined) {
    return { state: 'fails', figure: null, against: 0, margin: -1, cause: refusal, workings: [] };
  }
  if (order?.impossible) {
    const { session, code, joints: held } = order.impossible;
    const cause = finding(`order-${code}`, 'refuses', {
      session: session + 1,
      line: held[0] ?? '',
      others: held.length - 1,
    });
    return { state: 'fails', figure: null, against: 0, margin: -1, cause, workings: [] };
  }
  const uses = joints.flatMap(({ facts, window, spread }, i) => {
    const time = times[i];
    if (
      time === undefined ||
      facts.gluedMm2 === 0 ||
      window.openMin === null ||
      window.closedMin === null ||
      window.totalMin === null
    )
      return [];
    const use = (name: string, usedMin: number, windowMin: number) => ({
      label: facts.label,
      window: name,
      usedMin,
      windowMin,
      margin: 1 - usedMin / windowMin,
      spread,
    });
    return [
      use('open', time.closedAtMin - time.spreadStartMin, window.openMin.low),
      use('closed', time.pressedAtMin - time.closedAtMin, window.closedMin.low),
      use('total', time.pressedAtMin - time.spreadStartMin, window.totalMin.low),
    ];
  });
  if (uses.length === 0) return { ...atRest(0, finding('nothing-glued', 'warns')), state: 'close' };
  const worst = uses.reduce((a, b) => (b.margin < a.margin ? b : a));
  const missed = worst.margin < 0;
  return {
    state: missed ? 'fails' : worst.margin < COMFORTABLE_MARGIN ? 'close' : 'holds',
    figure: worst.windowMin - worst.usedMin,
    against: worst.windowMin,
    margin: worst.margin / (2 * COMFORTABLE_MARGIN),
    cause: finding(missed ? 'window-missed' : 'tightest-window', missed ? 'refuses' : 'informs', {
      line: worst.label,
      window: worst.window,
      usedMin: worst.usedMin,
      windowMin: worst.windowMin,
    }),
    workings: [
      finding('how-one-go', 'informs', {
        joints: joints.length,
        spreadMin: joints.reduce((sum, { spread }) => sum + spread.minutes, 0),
        closeMin: joints.reduce((sum, { closeMin }) => sum + closeMin, 0),
        crew: build.crew,
        paceFactor: shop.paceFactor,
        handsOnMin,
      }),
    ],
  };
}

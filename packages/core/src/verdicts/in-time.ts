import { COLD_REFUSALS } from '../adhesives';
import { finding, type PlanFinding } from '../findings';
import { wishesOf } from '../formats';
import { slowestOf } from '../plan/joints/slowest';
import { paceOf } from '../plan/order/paces';
import type { PlanParts } from '../plan/plan';
import { atRest, type Judged } from './judged';

/** One joint measured against one of its windows. */
export interface WindowUse {
  /** Id of the joint. */
  readonly joint: string;
  readonly label: string;
  readonly window: 'open' | 'closed' | 'total';
  readonly usedMin: number;
  /** Unfavourable end of the window. */
  readonly windowMin: number;
  /** 1 − used/window. */
  readonly margin: number;
}

/** Share of a window that should be left over for a fumble [judgement]. */
export const COMFORTABLE_MARGIN = 0.2;

/** Every glued joint against its three windows; empty where the family is refused in this air. */
export function windowUses({ joints, times }: Pick<PlanParts, 'joints' | 'times'>): WindowUse[] {
  return joints.flatMap(({ facts, window }, i) => {
    const time = times[i];
    if (
      time === undefined ||
      facts.gluedMm2 === 0 ||
      window.openMin === null ||
      window.closedMin === null ||
      window.totalMin === null
    )
      return [];
    const use = (name: WindowUse['window'], usedMin: number, windowMin: number): WindowUse => ({
      joint: facts.joint.id,
      label: facts.label,
      window: name,
      usedMin,
      windowMin,
      margin: 1 - usedMin / windowMin,
    });
    return [
      use('open', time.closedAtMin - time.spreadStartMin, window.openMin.low),
      use('closed', time.pressedAtMin - time.closedAtMin, window.closedMin.low),
      use('total', time.pressedAtMin - time.spreadStartMin, window.totalMin.low),
    ];
  });
}

/** In time: every joint closed and under full pressure inside the unfavourable end of its windows. */
export function inTime(parts: PlanParts): Judged {
  const { joints, order, facts, adhesive } = parts;
  const refused = { state: 'fails', figure: null, against: 0, margin: -1, workings: [] } as const;
  const refusal = joints
    .flatMap(({ window }) => window.findings)
    .find(({ code }) => COLD_REFUSALS.includes(code));
  if (refusal !== undefined) {
    return { ...refused, cause: refusal };
  }
  if (facts.assembly.pressedBy === 'iron' && !adhesive.aptitudes.ironOn) {
    // Nothing is left to dry that an iron would not melt again.
    return { ...refused, cause: finding('no-iron-on', 'refuses') };
  }
  if (order?.impossible) {
    const { session, code, joints: held } = order.impossible;
    const cause = finding(`order-${code}`, 'refuses', {
      session: session + 1,
      line: held[0] ?? '',
      others: held.length - 1,
    });
    return { ...refused, cause };
  }
  const uses = windowUses(parts);
  if (uses.length === 0) return { ...atRest(0, finding('nothing-glued', 'warns')), state: 'close' };
  const worst = uses.reduce((a, b) => (b.margin < a.margin ? b : a));
  const missed = worst.margin < 0;
  const kept = missed ? undefined : keptTooLong(parts);
  return {
    state: missed ? 'fails' : kept !== undefined || worst.margin < COMFORTABLE_MARGIN ? 'close' : 'holds',
    figure: worst.windowMin - worst.usedMin,
    against: worst.windowMin,
    margin: worst.margin / (2 * COMFORTABLE_MARGIN),
    cause:
      kept ??
      finding(missed ? 'window-missed' : 'tightest-window', missed ? 'refuses' : 'informs', {
        line: worst.label,
        window: worst.window,
        usedMin: worst.usedMin,
        windowMin: worst.windowMin,
      }),
    workings: workings(parts, worst),
  };
}

/** Clamps that the person must have back before the slowest joint lets them go. */
function keptTooLong({ joints, build }: PlanParts): PlanFinding | undefined {
  const withinMin = wishesOf(build).clampsOffWithinMin;
  const clampMin = slowestOf(joints).clampMin;
  return withinMin === null || clampMin === null || clampMin <= withinMin
    ? undefined
    : finding('clamps-on-too-long', 'warns', { clampMin, withinMin });
}

function workings(
  { joints, pulls, build, shop, handsOnMin }: PlanParts,
  worst: WindowUse,
): Judged['workings'] {
  const planned = joints.find(({ facts }) => facts.joint.id === worst.joint);
  if (planned === undefined) return [];
  return [
    finding('how-window', 'informs', {
      ...planned.window.used,
      windowMin: worst.windowMin,
      window: worst.window,
    }),
    finding('how-time-used', 'informs', {
      line: worst.label,
      usedMin: worst.usedMin,
      crew: build.crew,
      spreadMin: planned.spread.minutes,
      handsOnMin,
      clamps: pulls.reduce((sum, { pieces }) => sum + pieces.length, 0),
      spreadPace: paceOf(shop)('spread', planned.method.id),
      closePace: paceOf(shop)('close'),
      pressPace: paceOf(shop)('press'),
      learnedRuns: Math.max(0, ...(shop.learned?.pace ?? []).map(({ runs }) => runs)),
    }),
  ];
}

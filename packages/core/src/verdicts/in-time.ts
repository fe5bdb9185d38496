import { COLD_REFUSALS } from '../adhesives';
import { finding } from '../finding';
import type { PlanParts } from './plan-parts';
import { barShareOf, type Verdict, type VerdictState } from './verdict';

/** One line measured against one of its windows. */
export interface WindowUse {
  readonly line: number;
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

/** Every line against its three windows; empty when the family is refused in this climate. */
export function windowUses({ lines, timeline }: Pick<PlanParts, 'lines' | 'timeline'>): WindowUse[] {
  return lines.flatMap(({ line, window }) => {
    const times = timeline.lines[line.index];
    if (
      times === undefined ||
      window.openMin === null ||
      window.closedMin === null ||
      window.totalMin === null
    ) {
      return [];
    }
    const use = (name: WindowUse['window'], usedMin: number, windowMin: number): WindowUse => ({
      line: line.index,
      label: line.label,
      window: name,
      usedMin,
      windowMin,
      margin: 1 - usedMin / windowMin,
    });
    return [
      use('open', times.closedAtMin - times.spreadStartMin, window.openMin.low),
      use('closed', times.pressedAtMin - times.closedAtMin, window.closedMin.low),
      use('total', times.pressedAtMin - times.spreadStartMin, window.totalMin.low),
    ];
  });
}

/** In time: every line closed and under full pressure inside the unfavourable end of its windows. */
export function judgeInTime(parts: PlanParts): Verdict {
  const refusal = parts.lines
    .flatMap(({ window }) => window.findings)
    .find(({ code }) => COLD_REFUSALS.includes(code));
  if (refusal !== undefined) return verdict('fails', null, 0, -1, refusal, []);
  const uses = windowUses(parts);
  const worst = uses.reduce((a, b) => (b.margin < a.margin ? b : a));
  const state: VerdictState =
    worst.margin < 0 ? 'fails' : worst.margin < COMFORTABLE_MARGIN ? 'close' : 'holds';
  const values = {
    line: worst.label,
    window: worst.window,
    usedMin: worst.usedMin,
    windowMin: worst.windowMin,
  };
  const spareMin = worst.windowMin - worst.usedMin;
  return verdict(
    state,
    spareMin,
    worst.windowMin,
    worst.margin / (2 * COMFORTABLE_MARGIN),
    finding(
      worst.margin < 0 ? 'window-missed' : 'tightest-window',
      worst.margin < 0 ? 'refuses' : 'informs',
      values,
    ),
    workings(parts, worst),
  );
}

function verdict(
  state: VerdictState,
  figure: number | null,
  against: number,
  margin: number,
  cause: Verdict['cause'],
  steps: Verdict['workings'],
): Verdict {
  return {
    aspect: 'inTime',
    state,
    kind: 'minutes',
    figure,
    against,
    sense: 'at-least',
    barShare: barShareOf(margin),
    cause,
    workings: steps,
  };
}

function workings(parts: PlanParts, worst: WindowUse): Verdict['workings'] {
  const planned = parts.lines[worst.line];
  const used = planned?.window.used ?? {};
  return [
    finding('how-window', 'informs', { ...used, windowMin: worst.windowMin, window: worst.window }),
    finding('how-time-used', 'informs', {
      line: worst.label,
      usedMin: worst.usedMin,
      crew: parts.build.crew,
      spreadMin: planned?.spread.minutes ?? 0,
      handsOnMin: parts.timeline.handsOnMin,
      clamps: parts.clampSet.clamps.length,
      paceFactor: parts.shop.paceFactor,
    }),
  ];
}

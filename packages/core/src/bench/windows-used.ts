import type { RunDocument } from '../formats';
import { burntAt } from './clock';
import { positionOf } from './position';
import { scriptOfRun } from './script';

/** How much of its likely windows a joint used up: 1 is all of one. */
export interface WindowsUsed {
  readonly joint: string;
  readonly open: number;
  /** The larger of its closed and total times. */
  readonly press: number;
  /** The largest share of any of its windows by their short ends, which fuses go by. */
  readonly short: number;
}

const MS_PER_MIN = 60_000;

/**
 * How the joints of a run used the windows that its plan thought likely; those that were not pressed to the end are left out. Fuses go by
 * the unfavourable ends, the likely ones are told by the promise; runs from before it did are taken by their fuses.
 */
export function windowsUsed(run: RunDocument): WindowsUsed[] {
  if (run.script === null) return [];
  const script = scriptOfRun(run.script);
  const position = positionOf(script, run.startedAtMs, run.events);
  const likely = run.promise.window ?? { open: 1, closed: 1, total: 1 };
  return script.fuses.flatMap((fuse): WindowsUsed[] => {
    const burnt = burntAt(fuse, position);
    if (burnt === null) return [];
    const { litMs, closedMs, outMs } = burnt;
    const used = (ms: number, min: number) => ms / MS_PER_MIN / min;
    const ofOpen = used(closedMs - litMs, fuse.openMin);
    const ofClosed = used(outMs - closedMs, fuse.closedMin);
    const ofTotal = used(outMs - litMs, fuse.totalMin);
    const open = ofOpen / likely.open;
    const press = Math.max(ofClosed / likely.closed, ofTotal / likely.total);
    const short = Math.max(ofOpen, ofClosed, ofTotal);
    return [open, press, short].every(Number.isFinite) ? [{ joint: fuse.joint, open, press, short }] : [];
  });
}

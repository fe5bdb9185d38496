import { leastBy } from '../../basics';
import { asPlanned } from '../ahead';
import { spareOf } from '../clock';
import { answerMishap } from './answer';
import {
  beginDrill,
  type Drill,
  drillMoment,
  drillPosition,
  type DrillStart,
  type Handled,
  minuteOf,
} from './drill';
import { playToMishap } from './play';

/** Least that any window had to spare, and whose; null where none was lit. */
export interface Outcome {
  readonly spareMin: number | null;
  readonly joint: string | null;
}

/** How a drill came out, beside what would have been best. */
export interface Debrief {
  readonly handled: readonly Handled[];
  readonly own: Outcome;
  /** Had every mishap been answered at once by what was best then. */
  readonly best: Outcome;
  /** By the plan, without mishaps. */
  readonly plannedMin: number | null;
  /** Joints left for a session of their own, by name. */
  readonly leftOut: readonly string[];
  readonly tookMin: number;
}

/** What a drill that is over came to. */
export function debrief(drill: Drill): Debrief {
  const { leftOut } = drillPosition(drill);
  return {
    handled: drill.handled,
    own: outcomeOf(drill),
    best: outcomeOf(playedBest(drill.start)),
    plannedMin: asPlanned(drillMoment(beginDrill(drill.start))).spareMin,
    leftOut: drill.script.fuses.filter(({ joint }) => leftOut.has(joint)).map(({ label }) => label),
    tookMin: drill.atMin,
  };
}

/** The same session with every mishap answered at once by the best answer of that moment. */
export function playedBest(start: DrillStart): Drill {
  let drill = playToMishap(beginDrill(start));
  while (drill.pending !== null) {
    const [best] = drill.pending.answers;
    if (best === undefined) return drill;
    drill = playToMishap(answerMishap(drill, best));
  }
  return drill;
}

interface Worst extends Outcome {
  readonly spareMin: number;
}

/** What the windows had to spare, by when beads were laid, joints closed and full pressure reached. */
export function outcomeOf(drill: Drill): Outcome {
  const { done, begunAtMs, leftOut } = drillPosition(drill);
  const spares = drill.script.fuses.flatMap(({ joint, label, lit, closed, holds, ...windows }): Worst[] => {
    const [litMs, closedMs] = [begunAtMs.get(lit), done.get(closed)];
    if (leftOut.has(joint) || litMs === undefined || closedMs === undefined) return [];
    const [litMin, closedMin] = [minuteOf(litMs), minuteOf(closedMs)];
    const outMin = Math.max(closedMin, ...holds.map((id) => minuteOf(done.get(id) ?? closedMs)));
    return [{ spareMin: spareOf(windows, { litMin, closedMin, outMin }), joint: label }];
  });
  return spares.length === 0 ? { spareMin: null, joint: null } : leastBy(spares, ({ spareMin }) => spareMin);
}

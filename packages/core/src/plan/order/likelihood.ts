import { logNormal, scatterFrom } from '../../sequence';
import type { PlanParts } from '../plan';
import { holdsToday, play, playedSession } from './played-session';

/** How likely every window holds, out of simulated runs. */
export interface Likelihood {
  readonly runs: number;
  /** Share of the runs in which all held, with the ends of its 95 % confidence interval. */
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** The joint that failed in most runs, and the share of runs; null where none did. */
  readonly weakest: { readonly label: string; readonly share: number } | null;
}

/** Runs simulated; enough for an interval of ± 2 %. */
const RUNS = 2000;
/** How much one step differs from another like it, and one day from another, until the log knows better: standard deviation over mean [judgement]. */
export const USUAL_SCATTER = Object.freeze({ stepCv: 0.25, dayCv: 0.1 });
/** The same of the open time of a glue. */
export const WINDOW_CV = 0.2;

/**
 * Plays the sessions of a plan many times with minutes and windows that vary: log-normal around what is planned,
 * each step on its own and all of a day together, the windows of a run together, since it is one glue in one air. People keep to the
 * planned order; nobody starts before what is needed is done, and planned pauses are kept. Where the log has taught how much steps,
 * days and windows vary, it goes by that. Source: models §8; spreads are defaults until then. Deterministic for a seed.
 * @returns null where the order cannot be made or there is nothing to glue.
 */
export function likelihoodOf(parts: PlanParts, seed = 1, runs = RUNS): Likelihood | null {
  const { order, joints } = parts;
  if (order === null || order.impossible || joints.length === 0) return null;
  const { learned } = parts.shop;
  const { stepCv, dayCv } = learned?.scatter ?? USUAL_SCATTER;
  const windowCv = learned?.windows.find(({ adhesive }) => adhesive === parts.adhesive.id)?.cv ?? WINDOW_CV;
  const random = scatterFrom(seed);
  const windows = logNormal(random, windowCv);
  const days = logNormal(random, dayCv);
  const steps = logNormal(random, stepCv);
  const sessions = order.sessions.map(({ operations }) => playedSession(parts, operations));
  let held = 0;
  for (let run = 0; run < runs; run += 1) {
    const stretch = windows();
    let all = true;
    for (const session of sessions) {
      play(session, days(), steps);
      all = holdsToday(session, stretch) && all;
    }
    if (all) held += 1;
  }
  const worst = sessions
    .flatMap(({ fuses, late }) => fuses.map(({ joint }, i) => ({ joint, failed: late[i] ?? 0 })))
    .reduce((most, each) => (each.failed > most.failed ? each : most), { joint: '', failed: 0 });
  const label = joints.find(({ facts }) => facts.joint.id === worst.joint)?.facts.label;
  return {
    runs,
    share: held / runs,
    ...wilson(held, runs),
    weakest: worst.failed === 0 || label === undefined ? null : { label, share: worst.failed / runs },
  };
}

/** 95 % confidence interval of a share (Wilson's score). */
function wilson(held: number, runs: number): { readonly low: number; readonly high: number } {
  const z = 1.96;
  const share = held / runs;
  const middle = (share + (z * z) / (2 * runs)) / (1 + (z * z) / runs);
  const half =
    (z / (1 + (z * z) / runs)) * Math.sqrt((share * (1 - share)) / runs + (z * z) / (4 * runs * runs));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

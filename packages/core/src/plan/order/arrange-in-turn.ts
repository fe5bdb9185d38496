import { finding } from '../../findings';
import type { PlannedJoint } from '../joints/planned-joint';
import type { Arranged } from './arranged';
import { lineByLine } from './line-by-line';
import { ASKED_MARGIN, type OrderJob } from './order-problem';

/** Runs of neighbouring lines, each a session, and the least share of any window that is left over in them. */
interface Cut {
  readonly sessions: readonly (readonly PlannedJoint[])[];
  readonly margin: number;
}

/**
 * The fewest sessions for lines that are spread and closed as they lie – boards, layers, plies – and among those the cut with the
 * most room in its tightest window. Exact: every cut into runs of neighbours is gone through, by what the lines before the last run
 * came to at best.
 * @param pins the session of each pinned line, from 0; null where it is free.
 */
export function arrangedInTurn(job: OrderJob, pins: readonly (number | null)[]): Arranged {
  const { joints } = job;
  const whole = { askedMargin: ASKED_MARGIN, done: 1, of: 1, impossible: [] };
  const cuts = bestCuts(job, pins);
  const found =
    cuts.find(({ margin }) => margin >= ASKED_MARGIN) ?? cuts.find(({ margin }) => margin >= 0) ?? null;
  if (found !== null) {
    const count = found.sessions.length;
    return {
      ...whole,
      status: 'proven',
      sessions: found.sessions.map((run) => run.map(({ facts }) => facts.joint.id)),
      askedMargin: found.margin >= ASKED_MARGIN ? ASKED_MARGIN : 0,
      leastSessions: count,
      why: finding('one-session-is-least', 'informs', { sessions: count }),
    };
  }
  const tooLong = joints.filter((joint) => lineByLine(job, [[joint]]).worstMargin < 0);
  return {
    ...whole,
    status: 'infeasible',
    sessions: [],
    askedMargin: 0,
    leastSessions: 1,
    why: finding('one-session-is-least', 'informs', { sessions: 1 }),
    impossible: [
      tooLong.length > 0
        ? { code: 'window-too-short', joints: tooLong.map(({ facts }) => facts.label) }
        : {
            code: 'pins-contradict',
            joints: joints.flatMap(({ facts }, i) => (pins[i] === null ? [] : [facts.label])),
          },
    ],
  };
}

/** The cut with the most room for each number of sessions, fewest first; numbers that the pins rule out are left out. */
function bestCuts(job: OrderJob, pins: readonly (number | null)[]): Cut[] {
  const { joints } = job;
  const marginOf = new Map<string, number>();
  const margin = (from: number, to: number): number => {
    const key = `${from} ${to}`;
    const known =
      marginOf.get(key) ??
      lineByLine(
        job,
        joints.slice(from, to).map((joint) => [joint]),
      ).worstMargin;
    marginOf.set(key, known);
    return known;
  };
  const allowed = (from: number, to: number, session: number) =>
    pins.slice(from, to).every((pin) => pin === null || pin === session);
  // best[to]: the first `to` lines in so many sessions.
  let best: (Cut | null)[] = [{ sessions: [], margin: 1 }, ...joints.map(() => null)];
  const cuts: Cut[] = [];
  for (let session = 0; session < joints.length; session += 1) {
    const before = best;
    best = before.map((_, to) => {
      let most: Cut | null = null;
      for (let from = session; from < to; from += 1) {
        const earlier = before[from];
        if (earlier === null || earlier === undefined || !allowed(from, to, session)) continue;
        const least = Math.min(earlier.margin, margin(from, to));
        if (most === null || least > most.margin) {
          most = { sessions: [...earlier.sessions, joints.slice(from, to)], margin: least };
        }
      }
      return most;
    });
    const all = best[joints.length];
    if (all !== null && all !== undefined) cuts.push(all);
  }
  return cuts;
}

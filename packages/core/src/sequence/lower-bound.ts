import { type Finding, finding } from '../findings';
import { fewestPacked } from './packed';
import { clampsFor, type SequenceProblem } from './problem';

/** A number of sessions that no arrangement gets below, and what makes it so. */
export interface SessionsBound {
  readonly sessions: number;
  readonly why: Finding;
}

/**
 * Fewest sessions that can be told without arranging anything: every clamp stays on until its session is over, so
 * clamps of each kind have to go round, and no way of sharing joints out may ask for more than there are; pins ask for as many sessions
 * as they name.
 */
export function leastSessions(problem: SequenceProblem): SessionsBound {
  const pinned = problem.pins.reduce<number>((most, pin) => Math.max(most, (pin ?? 0) + 1), 1);
  let bound: SessionsBound = {
    sessions: pinned,
    why: finding(pinned > 1 ? 'sessions-pinned' : 'one-session-is-least', 'informs', { sessions: pinned }),
  };
  for (const [kind, count] of Object.entries(clampsNeeded(problem))) {
    const there = problem.rack?.[kind] ?? Infinity;
    const sessions = Math.ceil(count / there - 1e-9);
    if (Number.isFinite(sessions) && sessions > bound.sessions) {
      bound = { sessions, why: finding('clamps-go-round', 'informs', { kind, count, there, sessions }) };
    }
  }
  const sessions = fewestPacked(problem, bound.sessions);
  return sessions > bound.sessions
    ? { sessions, why: finding('clamps-packed', 'informs', { sessions }) }
    : bound;
}

/** Clamps of each kind that all joints take together, where splitting a press saves none. */
function clampsNeeded(problem: SequenceProblem): Record<string, number> {
  if (problem.rack === null) return {};
  return clampsFor(
    problem,
    problem.joints.map((_, i) => i),
  );
}

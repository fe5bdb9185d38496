import { SHARE_EPS } from './best-timing';
import type { Effort } from './clock-search';
import type { SessionsBound } from './lower-bound';
import type { SequenceProblem } from './problem';
import { MOST_JOINTS_TO_PROVE, type SequenceEffort } from './sequence-effort';
import type { Asked, TakenApart, TakingApart } from './take-apart';

/** Ways kept side by side times joints: larger assemblies have as many more steps. */
const WIDTH_TIMES_JOINTS = 1_000;

/** A way of taking all apart, and whether it is known that none has fewer sessions or more room. */
export interface BestApart {
  readonly found: TakenApart;
  readonly proven: boolean;
}

/**
 * The best way of taking all apart, best so far after each step: fewest sessions first, then gentler windows in as
 * many, then the proof of both. Tells nothing where no way is found.
 */
export function* bestApart(
  problem: SequenceProblem,
  taking: TakingApart,
  bound: SessionsBound,
  effort: SequenceEffort,
): Generator<BestApart, void> {
  const gentlest = taking.pieces.gentlest();
  if (gentlest.usedShare > 1 + SHARE_EPS) return;
  const width = widthFor(problem, effort, taking.independent);
  const first = fewest(problem, taking, bound, width);
  if (first === null) return;
  const provable = taking.independent && problem.joints.length <= MOST_JOINTS_TO_PROVE;
  const proof: Effort = { left: provable ? effort.proofSteps : 0 };
  const bySessions = bettered(
    first,
    ({ sessions }) => sessions.length <= bound.sessions,
    ({ sessions }) => ({ usedShare: 1 + SHARE_EPS, sessions: sessions.length - 1 }),
    taking,
    proof,
  );
  yield { found: bySessions.found, proven: false };
  const enough = Math.max(gentlest.usedShare, effort.enough ?? 0);
  const gentler = withGentlerWindows(bySessions.found, enough, taking, width, effort.rounds);
  if (effort.enough !== undefined && gentler.usedShare <= effort.enough) {
    yield { found: gentler, proven: false };
    return;
  }
  const byShare = bettered(
    gentler,
    ({ usedShare }) => gentlest.complete && usedShare <= gentlest.usedShare + SHARE_EPS,
    ({ usedShare, sessions }) => ({ usedShare: usedShare - SHARE_EPS, sessions: sessions.length }),
    taking,
    proof,
  );
  yield { found: byShare.found, proven: bySessions.proven && byShare.proven };
}

function widthFor(
  { joints }: SequenceProblem,
  { width, widthWhereTied = width }: SequenceEffort,
  independent: boolean,
): number {
  // Where presses tie closings together each way is timed as a whole, which costs as much as several.
  const affordable = WIDTH_TIMES_JOINTS / joints.length / (independent ? 1 : 16);
  return Math.min(independent ? width : widthWhereTied, Math.max(4, Math.round(affordable)));
}

/** Asks for something better with all labels kept until there is nothing, the bound is met or the effort runs out. */
function bettered(
  start: TakenApart,
  meetsBound: (found: TakenApart) => boolean,
  better: (found: TakenApart) => Asked,
  taking: TakingApart,
  proof: Effort,
): BestApart {
  let found = start;
  while (!meetsBound(found)) {
    if (proof.left <= 0) return { found, proven: false };
    const next = taking.find(better(found), { width: Infinity, effort: proof });
    if (next === 'gave-up') return { found, proven: false };
    if (next === null) break;
    found = next;
  }
  return { found, proven: true };
}

/** As many sessions with windows used less: the gentlest that is thinkable is asked for first, then halfway again and again. */
function withGentlerWindows(
  start: TakenApart,
  least: number,
  taking: TakingApart,
  width: number,
  rounds: number,
): TakenApart {
  const sessions = start.sessions.length;
  let best = start;
  let low = least;
  for (let round = 0; round < rounds && best.usedShare > low + SHARE_EPS; round += 1) {
    const usedShare = round === 0 ? low + SHARE_EPS / 2 : (low + best.usedShare) / 2;
    const found = taking.find({ usedShare, sessions }, { width, effort: { left: Infinity } });
    if (found !== null && found !== 'gave-up' && found.usedShare < best.usedShare) best = found;
    else if (round > 0) low = usedShare;
  }
  return best;
}

/** Sessions beyond the fewest thinkable that are tried to make room for pins. */
const SESSIONS_FOR_PINS = 12;

/** A way of taking all apart with as few sessions as are found; pins say how many there are. */
function fewest(
  problem: SequenceProblem,
  taking: TakingApart,
  bound: SessionsBound,
  width: number,
): TakenApart | null {
  const joints = problem.joints.length;
  const pinned = problem.pins.some((pin) => pin !== null);
  const most = pinned ? Math.min(joints, bound.sessions + SESSIONS_FOR_PINS) : joints;
  for (let sessions = pinned ? bound.sessions : joints; sessions <= most; sessions += 1) {
    const found = taking.find({ usedShare: 1 + SHARE_EPS, sessions }, { width, effort: { left: Infinity } });
    if (found !== null && found !== 'gave-up') return found;
  }
  return null;
}

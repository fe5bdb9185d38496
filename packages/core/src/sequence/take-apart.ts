import { SHARE_EPS } from './best-timing';
import type { BlockTimer } from './block-timer';
import type { Effort } from './clock-search';
import { blocksOf, inOrder, type Merge, rootsOf } from './merge';
import { type Parting, type Piece, Pieces } from './pieces';
import type { SequenceProblem } from './problem';

/** How far an assembly is taken apart: pieces that are left, and the session, counted from the last, that is being filled. */
interface Label {
  readonly left: readonly Piece[];
  readonly session: number;
  /** Clamps tied up in that session, in the order of the rack's kinds. */
  readonly clamps: readonly number[];
  /** Joints still made in what is left, and their clamps. */
  readonly joints: number;
  readonly still: readonly number[];
  readonly usedShare: number;
  readonly parting: Parting | null;
  readonly before: Label | null;
  /** Sessions that this comes to at least, with a part of one for clamps in use. */
  readonly filled: number;
}

/** Closings of each session, first session first, children before parents. */
export interface TakenApart {
  readonly sessions: readonly (readonly Merge[])[];
  readonly usedShare: number;
}

/** What a way of taking apart has to keep. */
export interface Asked {
  /** Share of every window that may be used. */
  readonly usedShare: number;
  readonly sessions: number;
}

/** How wide is looked. */
export interface Breadth {
  /** Labels kept for each number of joints left; infinite to prove. */
  readonly width: number;
  /** Labels made in all. */
  readonly effort: Effort;
}

/**
 * Takes assemblies apart from the whole downwards, sessions from the last to the first.
 *
 * Closings that follow one another do not touch each other's windows; only clamps, which stay on until the session is
 * over, force another session. So what is known of a state, the pieces that are left, is how many sessions were used
 * and which clamps the present one ties up: a label. Of two labels on the same pieces one that has fewer sessions, or
 * as many and no more clamps of any kind in use, makes the other needless. With all labels kept, an answer is the best
 * there is and none means that there is none; with a few for each number of joints left, those that fill sessions
 * least, it is found soon.
 *
 * Presses over several joints tie closings together; those are timed as they come and a label's session is checked as
 * a whole, so there nothing is proven.
 */
export class TakingApart {
  readonly pieces: Pieces;
  /** True where every press belongs to one joint. */
  readonly independent: boolean;
  private readonly pinned: boolean;

  constructor(
    private readonly problem: SequenceProblem,
    private readonly timer: BlockTimer,
    mostSets: number,
  ) {
    this.pieces = new Pieces(problem, timer, mostSets);
    this.independent = this.pieces.independent;
    this.pinned = problem.pins.some((pin) => pin !== null);
  }

  /**
   * A way of taking all apart that keeps what is asked, with fewest sessions, then the gentlest of those found.
   * @returns null where there is none; "gave-up" where some were left out and none of the others did.
   */
  find(asked: Asked, { width, effort }: Breadth): TakenApart | null | 'gave-up' {
    const levels = this.problem.joints.map((): Map<string, Label[]> => new Map());
    let best: Label | null = null;
    let leftOut = false;
    const put = (label: Label) => {
      if (label.joints === 0) {
        if (this.pinned && label.session + 1 < asked.sessions) return;
        if (!this.holds(label, asked)) return;
        if (best === null || isBetter(label, best)) best = label;
        return;
      }
      const level = levels[label.joints - 1];
      const key = keyOf(label.left);
      const others = level?.get(key);
      if (others === undefined) {
        level?.set(key, [label]);
        return;
      }
      if (others.some((other) => this.dominates(other, label))) return;
      level?.set(key, [...others.filter((other) => !this.dominates(label, other)), label]);
    };
    const left = this.pieces.whole();
    const start: Label = {
      left,
      session: 0,
      clamps: this.pieces.kinds.map(() => 0),
      joints: left.reduce((sum, piece) => sum + piece.joints.length, 0),
      still: this.pieces.kinds.map((_, k) => left.reduce((sum, piece) => sum + (piece.clamps[k] ?? 0), 0)),
      usedShare: 0,
      parting: null,
      before: null,
      filled: 0,
    };
    put(start);
    for (let level = levels.pop(); level !== undefined; level = levels.pop()) {
      const labels = [...level.values()].flat();
      if (labels.length > width) labels.sort(fillsLess);
      let kept = 0;
      for (const label of labels) {
        if (kept >= width || effort.left <= 0) {
          leftOut = true;
          break;
        }
        if (!this.holds(label, asked)) continue;
        kept += 1;
        for (const next of this.next(label, asked, width === Infinity)) {
          effort.left -= 1;
          put(next);
        }
      }
    }
    if (best === null)
      return leftOut || !this.independent || this.pinned || !this.pieces.sawAll() ? 'gave-up' : null;
    return this.read(best);
  }

  /** @param once Closings of one session that may change places are looked at in one order only; the other leads to the same. */
  private *next(label: Label, asked: Asked, once: boolean): Generator<Label, void> {
    for (const piece of label.left) {
      const isTurned = once && this.couldHaveComeBefore(piece, label);
      for (const parting of this.pieces.partingsOf(piece)) {
        if (parting.usedShare > asked.usedShare) break;
        const clamps = this.tiedUp(label, parting);
        const isRoom = this.pieces.fits(clamps);
        if (isRoom && isTurned) continue;
        const same = isRoom ? this.made(label, parting, { session: label.session, clamps }, asked) : null;
        if (same !== null) yield same;
        // Another session is only worth opening where this one is full, somebody wants it, or windows may ask for it.
        if (
          (same === null || this.pinned || !this.independent) &&
          label.before !== null &&
          label.session + 1 < asked.sessions
        ) {
          const other = this.made(
            label,
            parting,
            { session: label.session + 1, clamps: parting.clamps },
            asked,
          );
          if (other !== null) yield other;
        }
      }
    }
  }

  /** What is left once a piece is taken apart in a session; null where that cannot come to as few sessions as are asked. */
  private made(
    label: Label,
    parting: Parting,
    { session, clamps }: Pick<Label, 'session' | 'clamps'>,
    asked: Asked,
  ): Label | null {
    if (!this.mayBe(parting, session, asked)) return null;
    const filled = this.filled(label.still, parting, session, clamps);
    if (Math.max(session + 1, Math.ceil(filled - 1e-9)) > asked.sessions) return null;
    return {
      left: inPlaceOf(label.left, parting),
      session,
      clamps,
      joints: label.joints - parting.joints.length,
      still: label.still.map((count, k) => count - (parting.clamps[k] ?? 0)),
      usedShare: Math.max(label.usedShare, parting.usedShare),
      parting,
      before: label,
      filled,
    };
  }

  /**
   * Whether a piece stood there before the last one was taken apart, and comes before it: what fits into the session now fitted then as
   * well, and then the last one after it, with the same pieces left and no more clamps in use. Pins and shared presses tell them apart.
   */
  private couldHaveComeBefore(piece: Piece, { parting }: Label): boolean {
    if (parting === null || !this.independent || this.pinned) return false;
    return piece.id < parting.piece.id && !parting.halves.includes(piece);
  }

  private tiedUp(label: Label, parting: Parting): readonly number[] {
    if (this.independent) return label.clamps.map((count, k) => count + (parting.clamps[k] ?? 0));
    return this.pieces.countsOf([...sessionPartings(label), parting].flatMap(({ joints }) => joints));
  }

  /** Whether one label on the same pieces makes another needless. */
  private dominates(one: Label, other: Label): boolean {
    if (one.session !== other.session) return this.independent && one.session < other.session;
    if (!this.independent && one.usedShare > other.usedShare) return false;
    return one.clamps.every((count, k) => count <= (other.clamps[k] ?? 0));
  }

  /** Pins count from the first session; the last of all that may be used is session 0 here. */
  private mayBe({ joints }: Parting, session: number, asked: Asked): boolean {
    if (!this.pinned) return true;
    return joints.every((joint) => {
      const pin = this.problem.pins[joint] ?? null;
      return pin === null || asked.sessions - 1 - pin === session;
    });
  }

  /** Sessions that it comes to once a piece is taken apart, with a part of one for clamps in use: clamps of each kind have to go round. */
  private filled(
    still: readonly number[],
    parting: Parting,
    session: number,
    clamps: readonly number[],
  ): number {
    let most = session;
    for (let k = 0; k < clamps.length; k += 1) {
      const there = this.pieces.there[k] ?? 0;
      if (there <= 0) continue;
      const later = this.independent ? (still[k] ?? 0) - (parting.clamps[k] ?? 0) : 0;
      most = Math.max(most, session + ((clamps[k] ?? 0) + later) / there);
    }
    return most;
  }

  /** Whether the session being filled keeps its windows where presses tie closings together. */
  private holds(label: Label, asked: Asked): boolean {
    if (this.independent || label.parting === null) return true;
    const session = mergesOf(sessionPartings(label));
    const last = session.find(({ joints }) => joints === label.parting?.joints);
    const block = blocksOf(this.problem, session).find((list) => last !== undefined && list.includes(last));
    return block === undefined || this.timer(block, asked.usedShare + SHARE_EPS) !== null;
  }

  private read(last: Label): TakenApart {
    const sessions: Parting[][] = [];
    for (let label: Label | null = last; label?.parting != null; label = label.before) {
      (sessions[label.session] ??= []).push(label.parting);
    }
    const merges = sessions.reverse().map((partings) => mergesOf(partings.reverse()));
    const shares = merges.flatMap((session) =>
      blocksOf(this.problem, session).map((block) => this.timer(block)?.usedShare ?? Infinity),
    );
    return { sessions: merges, usedShare: Math.max(0, ...shares) };
  }
}

/** Partings of the session that a label is filling, the last to close first. */
function sessionPartings(label: Label): Parting[] {
  const found: Parting[] = [];
  for (let at: Label | null = label; at?.parting != null && at.session === label.session; at = at.before) {
    found.push(at.parting);
  }
  return found.reverse();
}

/** Closings of one session, children first, out of partings with the last to close first. */
function mergesOf(partings: readonly Parting[]): Merge[] {
  const of = new Map<Piece, Merge>();
  for (const { piece, joints, halves } of [...partings].reverse()) {
    of.set(piece, { joints, children: halves.flatMap((half) => of.get(half) ?? []) });
  }
  return rootsOf([...of.values()]).flatMap(inOrder);
}

/** Pieces in the order of their ids, with one of them taken apart. */
function inPlaceOf(left: readonly Piece[], { piece, halves }: Parting): Piece[] {
  const found: Piece[] = [];
  for (const other of left) if (other !== piece) found.push(other);
  for (const half of halves) {
    let at = found.length;
    while (at > 0 && (found[at - 1]?.id ?? 0) > half.id) at -= 1;
    found.splice(at, 0, half);
  }
  return found;
}

const keyOf = (left: readonly Piece[]): string => {
  let key = '';
  for (const { id } of left) key += `${id},`;
  return key;
};

const fillsLess = (x: Label, y: Label): number => x.filled - y.filled || x.usedShare - y.usedShare;

function isBetter(one: Label, other: Label): boolean {
  return one.session !== other.session ? one.session < other.session : one.usedShare < other.usedShare;
}

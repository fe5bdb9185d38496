import { SHARE_EPS } from './best-timing';
import type { BlockTimer } from './block-timer';
import { everySplitOf, type Splits } from './every-split';
import { clampsFor, type SequenceProblem } from './problem';
import { connectedPieces, waysToTry } from './splits';

/** A sub-assembly, and the ways of taking it apart that find hands, clamps and time. */
export interface Piece {
  readonly id: number;
  readonly parts: readonly number[];
  readonly joints: readonly number[];
  /** Clamps of all its joints, in the order of the rack's kinds. */
  readonly clamps: readonly number[];
  splits: readonly Parting[] | null;
  complete: boolean;
}

/** A sub-assembly taken apart: what closes last, read backwards. */
export interface Parting {
  readonly piece: Piece;
  readonly joints: readonly number[];
  /** Share of its tightest window that the closing uses. */
  readonly usedShare: number;
  /** Clamps it ties up, in the order of the rack's kinds. */
  readonly clamps: readonly number[];
  /** Halves that have joints of their own. */
  readonly halves: readonly Piece[];
}

/** Sub-assemblies that are met while an assembly is taken apart, each worked out once. */
export class Pieces {
  private readonly known = new Map<string, Piece>();
  /** Kinds of clamps that joints ask for, and how many the rack has. */
  readonly kinds: readonly string[];
  readonly there: readonly number[];
  private readonly splitsOf: (parts: readonly number[]) => Splits;
  /** True where every press belongs to one joint. */
  readonly independent: boolean;
  /** Clamps of each joint where every press belongs to one, in the order of the rack's kinds. */
  private readonly perJoint: readonly (readonly number[])[];

  constructor(
    private readonly problem: SequenceProblem,
    private readonly timer: BlockTimer,
    /** Sets of parts looked at for one sub-assembly before only some splits are taken. */
    mostSets: number,
  ) {
    this.splitsOf = everySplitOf(problem, waysToTry(problem), mostSets);
    const { rack } = problem;
    const all = problem.joints.map((_, i) => i);
    this.kinds = rack === null ? [] : Object.keys(clampsFor(problem, all));
    this.there = this.kinds.map((kind) => rack?.[kind] ?? 0);
    this.independent = problem.presses.every(({ joints }) => joints.length === 1);
    this.perJoint = all.map((joint) => {
      const counts = clampsFor(problem, [joint]);
      return this.kinds.map((kind) => counts[kind] ?? 0);
    });
  }

  /** Sub-assemblies that the whole falls into before anything is taken apart. */
  whole(): Piece[] {
    const { problem } = this;
    const all = problem.joints.map((_, i) => i);
    const parts = Array.from({ length: problem.parts }, (_, i) => i);
    return connectedPieces(problem, parts, all).flatMap((piece) =>
      piece.length > 1 ? [this.pieceOf(piece)] : [],
    );
  }

  /** Clamps of these joints together, in the order of the rack's kinds. */
  countsOf(joints: readonly number[]): number[] {
    if (this.independent) return this.ownCountsOf(joints);
    const counts = clampsFor(this.problem, joints);
    return this.kinds.map((kind) => counts[kind] ?? 0);
  }

  /** The same where every joint has clamps of its own: theirs, one after the other. */
  private ownCountsOf(joints: readonly number[]): number[] {
    const sum = this.kinds.map(() => 0);
    for (const joint of joints) {
      this.perJoint[joint]?.forEach((count, k) => (sum[k] = (sum[k] ?? 0) + count));
    }
    return sum;
  }

  private pieceOf(parts: readonly number[]): Piece {
    const sorted = [...parts].sort((x, y) => x - y);
    const key = sorted.join(',');
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const inside = new Set(sorted);
    const joints = this.problem.joints.flatMap(({ a, b }, i) => (inside.has(a) && inside.has(b) ? [i] : []));
    const clamps = this.countsOf(joints);
    const piece: Piece = {
      id: this.known.size,
      parts: sorted,
      joints,
      clamps,
      splits: null,
      complete: false,
    };
    this.known.set(key, piece);
    return piece;
  }

  /** Ways of taking a piece apart, the gentlest closing first. */
  partingsOf(piece: Piece): readonly Parting[] {
    if (piece.splits !== null) return piece.splits;
    const { splits, complete } = this.splitsOf(piece.parts);
    piece.complete = complete;
    piece.splits = splits
      .flatMap(({ joints, halves }): Parting[] => {
        const clamps = this.countsOf(joints);
        if (!this.fits(clamps)) return [];
        const timing = this.timer([{ joints, children: [] }]);
        // A closing that may be timed better leaves open what it rules out.
        piece.complete &&= timing?.proven === true;
        const usedShare = timing?.usedShare ?? Infinity;
        if (usedShare > 1 + SHARE_EPS) return [];
        const parting = { piece, joints, usedShare, clamps };
        return [
          {
            ...parting,
            halves: halves.flatMap((half) => (half.length > 1 ? [this.pieceOf(half)] : [])),
          },
        ];
      })
      .sort((x, y) => x.usedShare - y.usedShare || compareLists(x.joints, y.joints));
    return piece.splits;
  }

  /**
   * The least share of its windows that the worst closing uses, whatever sessions come to; infinite where some set of
   * parts cannot be put together at all. Taking the gentlest at every step spoils no later one, because what can be
   * taken apart can be so without some of its parts, too.
   * @returns with `complete` false where not every way of taking apart was looked at.
   */
  gentlest(parts?: readonly number[]): { readonly usedShare: number; readonly complete: boolean } {
    let worst = 0;
    let complete = true;
    const open = parts === undefined ? this.whole() : [this.pieceOf(parts)];
    for (const piece of open) {
      const [first] = this.partingsOf(piece);
      complete &&= piece.complete;
      if (first === undefined) return { usedShare: Infinity, complete: piece.complete };
      worst = Math.max(worst, first.usedShare);
      open.push(...first.halves);
    }
    return { usedShare: worst, complete };
  }

  /** Whether the rack has so many of each kind. */
  fits(clamps: readonly number[]): boolean {
    return clamps.every((count, k) => count <= (this.there[k] ?? 0));
  }

  /** Whether every way of taking every piece apart was looked at. */
  sawAll(): boolean {
    return [...this.known.values()].every(({ splits, complete }) => splits === null || complete);
  }
}

function compareLists(one: readonly number[], other: readonly number[]): number {
  for (let i = 0; i < Math.min(one.length, other.length); i += 1) {
    const gap = (one[i] ?? 0) - (other[i] ?? 0);
    if (gap !== 0) return gap;
  }
  return one.length - other.length;
}

import type { RackLot } from '../../formats';
import type { PlacedOnPull, TakenLot } from './placed-on-pull';

/** One clamp, strip or band of a pull. */
export interface Piece {
  /** Of the clamp that was placed; null where it was worked out. */
  readonly id: string | null;
  readonly lot: RackLot;
  readonly forceN: number;
  /** What it can give, or may by the person's own limit. */
  readonly mostN: number;
  /** The line of pull that it stands on, as counted by `linesOfPull`; null where it presses what lies on several or none. */
  readonly line: number | null;
}

/** What a pull takes, one by one, each lot spread evenly among the others, so that strong and weak ones alternate. */
export const piecesOf = (taken: readonly TakenLot[]): Piece[] =>
  taken
    .flatMap(({ lot, count, forceN, mostN }) =>
      Array.from({ length: count }, (_, i) => ({ lot, forceN, mostN, at: (i + 0.5) / count })),
    )
    .sort((a, b) => a.at - b.at)
    .map(({ lot, forceN, mostN }) => ({ id: null, lot, forceN, mostN, line: null }));

/** Clamps that the person has placed, one by one. */
export const piecesPlaced = (placed: readonly PlacedOnPull[]): Piece[] =>
  placed.map(({ clamp, lot, forceN, mostN }) => ({ id: clamp.id, lot, forceN, mostN, line: null }));

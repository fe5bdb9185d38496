import type { RackLot } from '../../formats';
import type { PlannedPull } from './planned-pull';

/** One clamp, strip or band of a pull. */
export interface Piece {
  /** Of the clamp that was placed; null where it was worked out. */
  readonly id: string | null;
  readonly lot: RackLot;
  readonly forceN: number;
}

/** What a pull takes, one by one: as placed, else each lot spread evenly among the others, so that strong and weak ones alternate. */
export function piecesOf({ placed, taken }: Pick<PlannedPull, 'placed' | 'taken'>): Piece[] {
  if (placed.length > 0) return placed.map(({ clamp, lot, forceN }) => ({ id: clamp.id, lot, forceN }));
  return taken
    .flatMap(({ lot, count, forceN }) =>
      Array.from({ length: count }, (_, i) => ({ id: null, lot, forceN, at: (i + 0.5) / count })),
    )
    .sort((a, b) => a.at - b.at)
    .map(({ id, lot, forceN }) => ({ id, lot, forceN }));
}

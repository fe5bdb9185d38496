import type { Pull } from '../../assembly';
import { ROUND } from '../../clamps';
import type { RackLot } from '../../formats';

/** Kinds that lie across a mitre or nip it at a spot. */
export const SPOTS: readonly string[] = ['tape', 'pointed-spring', 'cam-mitre', 'spring'];

/** Whether a clamp comes on in a pair, the other one square to it, where four staves are pressed from four sides. */
export const isOpposed = ({ opposedAxes }: Pull, kind: string): boolean =>
  opposedAxes !== undefined && !ROUND.includes(kind) && !SPOTS.includes(kind);

/** Two opposed clamps do what one band of the same tension does. */
export const OPPOSED_SHARE = 0.5;

/**
 * What one clamp adds to a pull that goes round, as a share of a band of the same tension: a band draws every corner by both its
 * members, T·sin(θ/2), while opposed clamps give each of four mitres (F_h + F_v)·cos 45°/2, so that two of them do what one band does.
 */
export const roundShare = (pull: Pull, kind: string): number => (isOpposed(pull, kind) ? OPPOSED_SHARE : 1);

/** Which of the two directions each opposed clamp takes, 0 or 1, those of a lot in turn so that partners are alike; null for what goes round. */
export function waysOf(pull: Pull, pieces: readonly { readonly lot: RackLot }[]): (0 | 1 | null)[] {
  const soFar = new Map<string, number>();
  return pieces.map(({ lot }) => {
    if (!isOpposed(pull, lot.kind)) return null;
    const nth = soFar.get(lot.id) ?? 0;
    soFar.set(lot.id, nth + 1);
    return nth % 2 === 0 ? 0 : 1;
  });
}

import type { RackLot } from '../../formats';
import { placeableLots } from '../pulls/take-from-rack';
import type { SqueezedPull } from './squeezed';

/** Whether the clamps of a pull can be placed one by one: those with a place of their own. */
export function canBePlaced({ clamps, planned }: SqueezedPull, rack: readonly RackLot[]): boolean {
  const lots = placeableLots(planned.pull, rack);
  return (
    clamps.length > 0 &&
    clamps.every(({ place, lot }) => place !== null && lots.some(({ id }) => id === lot.id))
  );
}

import { findClampKind } from '../../clamps';
import type { PlacedClamp, RackLot } from '../../formats';

/**
 * Handles at the last edge; where neighbours would foul each other, every other one at the first, by turning the clamp end for end.
 * Pinned clamps stay as they are.
 * @param set in their order along the row.
 */
export function withHandles(set: readonly PlacedClamp[], rack: readonly RackLot[]): PlacedClamp[] {
  const sweep = ({ rackId }: PlacedClamp) => {
    const kind = rack.find(({ id }) => id === rackId)?.kind;
    return kind === undefined ? 0 : findClampKind(kind).handleMm;
  };
  const placed: PlacedClamp[] = [];
  for (const clamp of set) {
    const before = placed.at(-1);
    const fouls = before !== undefined && clamp.xMm - before.xMm < (sweep(clamp) + sweep(before)) / 2;
    const other = before?.handle === 'first' ? 'last' : 'first';
    placed.push(clamp.pinned === true || !fouls ? clamp : { ...clamp, handle: other });
  }
  return placed;
}

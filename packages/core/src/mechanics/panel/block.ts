import { giveAtEdge } from '../kernel';
import { type Block, halvesOf } from './columns';

/**
 * How the two long edges of a block give under forces on them, beside moving as a whole: entry (i, j) is how far node i
 * moves across the grain for one newton at node j, mm/N, the block held at three points of its middle line. What holds
 * it carries nothing once all forces on the block balance.
 */
export interface EdgeGive {
  /** Node i of the lower edge for a force on the lower edge; the upper edge gives alike. */
  readonly same: Float64Array;
  /** Node i of the upper edge for a force on the lower edge, and the other way round: blocks are alike both ways up. */
  readonly opposite: Float64Array;
}

/**
 * Gives of both edges under forces on each node of the lower one: half of such a force drives both edges one way, half of
 * it drives them apart, and of either the upper half of the block tells all.
 *
 * Source: symmetry about the middle line; checked against Gauss on the whole block in the tests.
 */
export function edgeGive(block: Block): EdgeGive {
  const { apart, together } = halvesOf(block);
  const same = giveAtEdge(together);
  const opposite = giveAtEdge(apart);
  for (let k = 0; k < same.length; k += 1) {
    const [follows, yields] = [same[k] ?? 0, opposite[k] ?? 0];
    same[k] = (follows + yields) / 2;
    opposite[k] = (follows - yields) / 2;
  }
  if (!((same[0] ?? 0) > 0)) throw new Error('a block of wood has no stiffness');
  return { same, opposite };
}

import { lotForceN } from '../../clamps';
import type { BuildDocument, RackLot } from '../../formats';
import type { AssemblyFacts } from '../../assembly';
import { cover } from './least-clamps';
import { jointsOf } from './lines-of-pull';
import type { PlannedPull } from './planned-pull';
import { clampsForLines } from './wanted-lines';

/**
 * Clamps of one lot that a pull wants, were there nothing else: as many on each of its lines as seat it, or so near each other that what
 * they press meets. 0 where places do not count, as under a band.
 */
export function clampsWanted(
  { pull, lines }: Pick<PlannedPull, 'pull' | 'lines'>,
  { facts, build }: { readonly facts: AssemblyFacts; readonly build: BuildDocument },
  lot: RackLot,
): number {
  if (pull.need === 'line') {
    return cover(pull, jointsOf(pull, facts), facts, lot.padWidthMm, build.squeeze?.packing).count;
  }
  return lines === undefined || lotForceN(lot) === 0 ? 0 : clampsForLines(lines, lotForceN(lot));
}

import type { AssemblyFacts, Pull } from '../../assembly';
import { isBag, openingNeededMm, ROUND, USUAL_BLOCK_MM } from '../../clamps';
import type { BuildDocument } from '../../formats';
import { jointsOf, linesOfPull } from './lines-of-pull';
import { SPOTS } from './opposed';
import type { PlannedPull } from './planned-pull';

/** What lies under the jaws of an assembly. */
export interface Packing {
  readonly kind: 'bare' | 'blocks' | 'cauls';
  readonly thicknessMm: number;
}

/** What lies under the jaws of a build: blocks, unless the person says otherwise. */
export const packingOf = ({ squeeze }: Pick<BuildDocument, 'squeeze'>): Packing =>
  squeeze?.packing ?? { kind: 'blocks', thicknessMm: USUAL_BLOCK_MM };

/** How much longer and wider a jaw presses through its packing, mm: the pull spreads at 45° [judgement]. */
export const spreadMm = ({ kind, thicknessMm }: Packing): number => (kind === 'bare' ? 0 : 2 * thicknessMm);

/** Whether a pull presses through what lies under jaws. */
const hasJaws = ({ need }: Pull): boolean => need === 'seat' || need === 'line';

/** A pull whose clamps open as far as what lies under them asks; kinds count on the usual blocks, bare jaws want a little to spare. */
export function openedOver(pull: Pull, { kind, thicknessMm }: Packing): Pull {
  if (!hasJaws(pull)) return pull;
  const beyondMm = kind === 'bare' ? openingNeededMm(0, 0) : 2 * thicknessMm;
  return { ...pull, openingMm: pull.openingMm + beyondMm - 2 * USUAL_BLOCK_MM };
}

/** Kinds that lie on the work by themselves. */
const UNPACKED: readonly string[] = [...ROUND, ...SPOTS, 'weight'];

/** Pieces of packing to have ready for a pull: a block under each jaw; a caul on both sides of each line that it seats, or of what it presses. */
export function packingPieces(
  { pull, pieces, seats }: PlannedPull,
  facts: Pick<AssemblyFacts, 'joints'>,
  { kind }: Packing,
): number {
  const clamps = pieces.filter(({ lot }) => !UNPACKED.includes(lot.kind) && !isBag(lot.kind)).length;
  if (kind === 'bare' || clamps === 0 || !hasJaws(pull)) return 0;
  if (kind === 'blocks') return 2 * clamps;
  return 2 * (seats ? Math.min(clamps, linesOfPull(pull, jointsOf(pull, facts)).length) : 1);
}

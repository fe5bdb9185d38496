import { centreOutOrder, NOT_OPENED } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import { blockClampsOf } from './block-clamps';
import { cornersOf } from './corners-down';
import type { PlanParts } from '../plan';
import type { Squeeze, SqueezedPull } from './squeezed';

/** Clamps to open beforehand for one pull. */
export interface PullOpening {
  readonly pull: string;
  readonly kind: string;
  readonly count: number;
  /** Null for what is not opened, such as tape. */
  readonly openingMm: number | null;
  readonly numbers: readonly number[];
}

/** What to have open, in the order in which pulls come. */
export function pullOpenings({ pulls }: Squeeze): PullOpening[] {
  return pulls.flatMap(({ planned, clamps }) =>
    planned.taken.map(({ lot, count, forceN }) => ({
      pull: planned.pull.id,
      kind: lot.kind,
      count,
      openingMm: NOT_OPENED.includes(lot.kind) ? null : planned.pull.openingMm,
      numbers: clamps
        .filter((clamp) => clamp.lot.id === lot.id && clamp.forceN === forceN)
        .map(({ number }) => number),
    })),
  );
}

/** How an assembly is brought together, pull by pull, as it is said at the bench. */
export function pullTightening(parts: PlanParts, squeeze: Squeeze): PlanFinding[] {
  const { facts } = parts;
  const several = squeeze.pulls.length > 1;
  return [
    ...blocksHeld(parts),
    ...squeeze.pulls.flatMap((pull) => pullSteps(pull)),
    ...(several ? [finding('relieve-slide-restore', 'informs')] : []),
    ...(facts.assembly.square.kind === 'diagonals' ? [finding('read-diagonals', 'informs')] : []),
    ...(facts.assembly.flat.kind === 'wind' ? [finding('sight-wind', 'informs')] : []),
    ...cornerFindings(parts),
  ];
}

function pullSteps({ planned, clamps }: SqueezedPull): PlanFinding[] {
  const { pull, taken } = planned;
  if (taken.length === 0) return [];
  const numbers = clamps.map(({ number }) => number);
  const named = { pull: pull.id, count: planned.pieces.length };
  switch (pull.need) {
    case 'band':
      return [finding('tighten-round', 'informs', { ...named, order: centreOut(numbers).join(' · ') })];
    case 'tape':
      return [finding('tighten-tape', 'informs', named)];
    case 'vacuum':
      return taken[0]?.forceN === 0
        ? [finding('tighten-bag', 'informs')]
        : [finding('tighten-sheets', 'informs', { ...named, order: centreOut(numbers).join(' · ') })];
    case 'seat':
      return [
        finding('tighten-seat', 'informs', {
          ...named,
          order: numbers.join(' · '),
        }),
      ];
    case 'line':
      return [
        finding('tighten-stack', 'informs', {
          ...named,
          order: centreOut(numbers).join(' · '),
          forceN: taken[0]?.forceN ?? 0,
        }),
      ];
  }
}

/** The middle one first, then outward, either side in turn. */
function centreOut(numbers: readonly number[]): number[] {
  const places = numbers.map((_, i) => i);
  return centreOutOrder(places, numbers.length - 1).map((i) => numbers[i] ?? 0);
}

/** Blocks held before anything is drawn, and how hard. */
export function blocksHeld(parts: PlanParts): PlanFinding[] {
  const held = blockClampsOf(parts);
  if (held === null || held.lot === null) return [];
  const { count, lot, forceN } = held;
  return [finding('blocks-held', 'informs', { count, kind: lot.kind, forceN })];
}

/** The corners brought down to the base, and how hard. */
export function cornerFindings(parts: PlanParts): PlanFinding[] {
  const down = cornersOf(parts);
  return down === null
    ? []
    : [finding('corners-down', 'informs', { count: down.count, kind: down.lot.kind, forceN: down.forceN })];
}

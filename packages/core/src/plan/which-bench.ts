import type { Bench } from '../formats';
import type { PlanParts } from './plan';

/** The bench a glue-up stands on. */
export interface WhichBench {
  readonly bench: Bench;
  /** The work lies on it whole, one way round or the other. */
  readonly holds: boolean;
  /** The work's own sides, mm, and those of the bench laid the same way. */
  readonly work: readonly [lengthMm: number, widthMm: number];
  readonly top: readonly [lengthMm: number, widthMm: number];
}

/**
 * The smallest bench of the shop that holds the work; where none does, the largest. What hangs over is only clamps and hands: their room
 * is around the bench. Null where the shop lists no benches.
 */
export function whichBench({ facts, shop }: Pick<PlanParts, 'facts' | 'shop'>): WhichBench | null {
  const work = [facts.toMm[0] - facts.fromMm[0], facts.toMm[1] - facts.fromMm[1]] as const;
  const isLong = work[0] >= work[1];
  const laid = (shop.benches ?? [])
    .map((bench) => {
      const sides = [bench.lengthMm, bench.widthMm].sort((a, b) => b - a);
      const [long = 0, short = 0] = sides;
      const top = isLong ? ([long, short] as const) : ([short, long] as const);
      return { bench, work, top, holds: work[0] <= top[0] && work[1] <= top[1] };
    })
    .sort((a, b) => a.top[0] * a.top[1] - b.top[0] * b.top[1]);
  return laid.find(({ holds }) => holds) ?? laid.at(-1) ?? null;
}

import { type AssemblyFacts, deriveAssembly } from '../assembly';
import { remembered } from '../basics';
import type { OwnWood } from '../materials';
import { type LaidOut, layAssembly } from './lay-assembly';

/** Builds differ in glue, pull or hour far oftener than in their parts: those of the latest two stay measured. */
const MOST_REMEMBERED = 2;

const measured = remembered(
  ({ laid, nowPct, woods }: { laid: LaidOut; nowPct: number; woods: readonly OwnWood[] }): AssemblyFacts =>
    deriveAssembly(layAssembly(laid, nowPct, woods)),
  MOST_REMEMBERED,
);

/**
 * What a build's solids weigh and where they touch.
 * @param nowPct and `woods` as for `layAssembly`.
 * @throws InputError as `layAssembly` and `deriveAssembly` do.
 */
export function measureBuild(build: LaidOut, nowPct: number, woods: readonly OwnWood[] = []): AssemblyFacts {
  const { template, answers, free, boards, mcInUse, partNotes, jointNotes } = build;
  const laid = { template, answers, free, mcInUse, partNotes, jointNotes, ...(boards && { boards }) };
  return measured({ laid, nowPct, woods });
}

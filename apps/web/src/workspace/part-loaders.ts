import type { BuildDocument } from '@lean-clasp/core/formats';
import type { ComponentType } from 'react';

type Load = () => Promise<ComponentType>;

/** What Fit and Squeeze ask of a row of boards, and of an assembly: neither is read in for the other. */
export const PART_LOADERS = {
  boards: () => import('./steps/fit/BoardsFit').then((m) => m.BoardsFit),
  answers: () => import('../assembly/AssemblyFit').then((m) => m.AssemblyFit),
  row: () => import('./steps/squeeze/RowSqueeze').then((m) => m.RowSqueeze),
  pulls: () => import('../squeeze/PullsStep').then((m) => m.PullsStep),
  lessons: () => import('../lessons/LessonsOfPlan').then((m) => m.LessonsOfPlan),
} as const satisfies Readonly<Record<string, Load>>;

export type PartId = keyof typeof PART_LOADERS;

/** The part that a step will show of a build by all signs, to be read in ahead; the step itself goes by the plan. */
export function partAhead(
  step: string | undefined,
  { boards, row }: Pick<BuildDocument, 'boards' | 'row'>,
): PartId | undefined {
  if (step === 'fit') return boards === undefined ? 'answers' : 'boards';
  if (step === 'squeeze') return row === undefined ? 'pulls' : 'row';
  return undefined;
}

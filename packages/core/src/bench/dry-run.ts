import { type BenchScript, type ScriptOperation, stepsOfSession } from './script';

/** A step that was walked through without glue. */
export interface Lap {
  readonly operation: string;
  readonly tookMs: number;
  /** Something went wrong: it stays in the list, and out of the pace. */
  readonly mishap: boolean;
}

/** What one kind of work was planned to take and took, and what a whole dry run comes to. */
export interface Walked {
  /** Of operations; empty for the whole. */
  readonly kind: string;
  readonly count: number;
  readonly plannedMin: number;
  readonly takenMin: number;
  /** Taken over planned; 1 is as planned. */
  readonly factor: number;
}

/** What a dry run comes to. */
export interface DryRun {
  readonly whole: Walked;
  readonly byKind: readonly Walked[];
  /** Steps that took more than twice their share: where somebody had to think. */
  readonly hesitations: readonly string[];
  /** Whether enough of the session was walked, at a pace that hands can keep, to plan by it. */
  readonly tells: boolean;
}

const MS_PER_MIN = 60_000;
/** A step is a hesitation past so many times what it should have taken at the pace of the whole [judgement]. */
const HESITATION = 2;
/** Shorter steps are not told apart from the pressing of a key, min. */
const SHORT_MIN = 0.1;

/** Least share of the planned minutes that tells a pace, and paces that no hands keep [judgement]. */
const ENOUGH = 0.6;
const LIKELY = { least: 0.4, most: 3 };

/** Minutes of work of a step at the pace it was planned for; its wait is none. */
const workMin = ({ startMin, endMin, wait }: ScriptOperation): number => endMin - startMin - (wait?.min ?? 0);

/** A step that was walked without anything going wrong, against its own minutes. */
export interface WalkedStep {
  readonly step: ScriptOperation;
  readonly takenMin: number;
  readonly plannedMin: number;
}

/** The steps that tell a pace, of those that were walked. */
export const walkedSteps = (
  { operations }: Pick<BenchScript, 'operations'>,
  laps: readonly Lap[],
): WalkedStep[] =>
  laps
    .filter(({ mishap }) => !mishap)
    .flatMap(({ operation, tookMs }) => {
      const step = operations.find(({ id }) => id === operation);
      return step === undefined ? [] : [{ step, takenMin: tookMs / MS_PER_MIN, plannedMin: workMin(step) }];
    });

/** Whether hands keep such a pace, over the one that was planned. */
export const isLikelyPace = (factor: number): boolean => factor >= LIKELY.least && factor <= LIKELY.most;

/** Planned against taken, kind by kind, of a dry run that may have been stopped on the way. Null while there is nothing to go by. */
export function dryRunOf(script: BenchScript, laps: readonly Lap[]): DryRun | null {
  const walked = walkedSteps(script, laps);
  const summed = (kind: string, of: readonly WalkedStep[]): Walked => {
    const plannedMin = of.reduce((sum, each) => sum + each.plannedMin, 0);
    const takenMin = of.reduce((sum, each) => sum + each.takenMin, 0);
    return { kind, count: of.length, plannedMin, takenMin, factor: takenMin / plannedMin };
  };
  const whole = summed('', walked);
  if (!(whole.plannedMin > 0)) return null;
  const allMin = stepsOfSession(script).reduce((sum, step) => sum + workMin(step), 0);
  const kinds = [...new Set(walked.map(({ step }) => step.kind))];
  return {
    whole,
    byKind: kinds.map((kind) =>
      summed(
        kind,
        walked.filter(({ step }) => step.kind === kind),
      ),
    ),
    hesitations: walked
      .filter(
        ({ takenMin, plannedMin }) =>
          takenMin > SHORT_MIN && takenMin > HESITATION * whole.factor * plannedMin,
      )
      .map(({ step }) => step.id),
    tells: whole.plannedMin >= ENOUGH * allMin && isLikelyPace(whole.factor),
  };
}

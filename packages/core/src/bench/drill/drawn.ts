import { scatterFrom } from '../../sequence';
import type { Mishap } from '../mishaps';
import { type BenchScript, type ScriptOperation, stepsOfSession } from '../script';

/** A mishap that waits for its step to come up. */
export interface Planned {
  readonly operation: string;
  readonly mishap: Mishap;
}

/** Steps at which each mishap can come, by their kind; at any step where none is named. */
const COMES_AT: Readonly<Record<Exclude<Mishap, 'other'>, readonly string[]>> = {
  'clamp-stuck': ['set-clamp', 'tighten'],
  'clamp-short': ['set-clamp'],
  'brush-dropped': ['spread', 'coat', 'size'],
  'helper-away': [],
  'grabs-early': ['close', 'tighten'],
  'wrong-way': ['close'],
  'glue-out': ['spread'],
  'called-away': [],
};
/** One mishap for so many steps, within these numbers [judgement]. */
const STEPS_TO_ONE = 12;
const MISHAPS_TO_A_DRILL = { least: 2, most: 5 };
/** Draws after which no further place is looked for. */
const MOST_DRAWS = 60;
/** By how much a step is quicker or slower than planned [judgement]. */
const SCATTER = { from: 0.85, to: 1.2 };

/** Mishaps of a session, drawn from a seed: each at a step where it can come, none at the first, no two alike or at one step. */
export function drawnMishaps(script: BenchScript, people: number, seed: number): Planned[] {
  const random = scatterFrom(seed);
  const steps = stepsOfSession(script).slice(1);
  const { least, most } = MISHAPS_TO_A_DRILL;
  const wanted = Math.min(most, Math.max(least, Math.round(steps.length / STEPS_TO_ONE)));
  const kinds = Object.entries(COMES_AT).filter(([what]) => what !== 'helper-away' || people > 1);
  const found: Planned[] = [];
  for (let draws = 0; found.length < wanted && draws < MOST_DRAWS; draws += 1) {
    const [mishap, at] = kinds[Math.floor(random() * kinds.length)] ?? ['called-away', []];
    const places = steps.filter(({ kind }) => at.length === 0 || at.includes(kind));
    const place = places[Math.floor(random() * places.length)];
    const again = found.some((each) => each.operation === place?.id || each.mishap === mishap);
    if (place !== undefined && !again) found.push({ operation: place.id, mishap: mishap as Mishap });
  }
  return found;
}

/** How long a step takes, min: by the seed, the same however it is played. */
export function drawnMinutes(script: BenchScript, seed: number, operation: ScriptOperation): number {
  const { id, startMin, endMin, wait } = operation;
  const place = script.operations.findIndex((each) => each.id === id);
  const share = scatterFrom(seed * 1009 + place + 1)();
  return (endMin - startMin - (wait?.min ?? 0)) * (SCATTER.from + share * (SCATTER.to - SCATTER.from));
}

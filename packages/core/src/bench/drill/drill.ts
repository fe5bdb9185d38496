import type { RunEvent } from '../../formats';
import type { Answer } from '../mishaps';
import { positionOf, type RunPosition } from '../position';
import type { Moment } from '../rest';
import { type BenchScript, stepsOfSession } from '../script';
import { drawnMishaps, type Planned } from './drawn';

/** A mishap that asks for an answer, with what would help as it stood when it came. */
export interface Pending extends Planned {
  readonly sinceMin: number;
  readonly answers: readonly Answer[];
}

/** A mishap that was answered: how long one thought, how it came out, and what would have been best at once. */
export interface Handled extends Planned {
  readonly sinceMin: number;
  readonly thoughtMin: number;
  readonly chosen: Answer;
  readonly best: Answer;
}

/** What a pair of hands is at. */
export interface Busy {
  /** Null while a mishap is being mended. */
  readonly operation: string | null;
  readonly untilMin: number;
}

/** What a drill begins with. */
export interface DrillStart {
  readonly script: BenchScript;
  readonly people: number;
  readonly seed: number;
}

/** A session played without glue. All of it follows from its start and from the answers with their minutes. */
export interface Drill {
  readonly start: DrillStart;
  /** Windows of a joint that grabbed early are shorter than in the script it began with. */
  readonly script: BenchScript;
  readonly people: number;
  readonly atMin: number;
  readonly events: readonly RunEvent[];
  readonly hands: readonly (Busy | null)[];
  readonly toCome: readonly Planned[];
  readonly pending: Pending | null;
  readonly handled: readonly Handled[];
  readonly over: boolean;
}

/** An instant to begin at; a drill has no date. */
export const BEGUN_MS = 1_577_836_800_000;
const MS_PER_MIN = 60_000;

/** A minute of the drill as an instant, and back. */
export const instantOf = (min: number): number => BEGUN_MS + min * MS_PER_MIN;
export const minuteOf = (ms: number): number => (ms - BEGUN_MS) / MS_PER_MIN;

/** Sets a session up to be played. */
export function beginDrill(start: DrillStart): Drill {
  const { script, people, seed } = start;
  return {
    start,
    script,
    people,
    atMin: 0,
    events: [],
    hands: Array.from({ length: people }, () => null),
    toCome: drawnMishaps(script, people, seed),
    pending: null,
    handled: [],
    over: stepsOfSession(script).length === 0,
  };
}

/** Where a drill stands, as a run is read. */
export const drillPosition = ({ script, events }: Pick<Drill, 'script' | 'events'>): RunPosition =>
  positionOf(script, BEGUN_MS, events);

/** The moment as those see it who think the rest of a run through. */
export const drillMoment = (drill: Drill): Moment => ({
  script: drill.script,
  position: drillPosition(drill),
  nowMs: instantOf(drill.atMin),
  people: drill.people,
});

/** Notes what happened at a minute. */
export const noted = (
  events: readonly RunEvent[],
  what: Pick<RunEvent, 'kind' | 'operation' | 'joint' | 'payload'>,
  min: number,
): RunEvent[] => [
  ...events,
  {
    id: `drill-${events.length}`,
    device: 'drill',
    seq: events.length,
    hand: 0,
    atMs: instantOf(min),
    ...what,
  },
];

/** Steps that are ready and nobody is at, in their turn. */
export function readySteps(drill: Drill, position: RunPosition) {
  const underway = new Set(drill.hands.map((busy) => busy?.operation));
  return position.left.filter(({ id }) => position.begunAtMs.has(id) && !underway.has(id));
}

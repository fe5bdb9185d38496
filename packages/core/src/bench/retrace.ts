import type { Finding } from '../findings';
import type { RunDocument, RunEvent } from '../formats';
import { inOrder } from '../runs';
import { burntAt, spareOf } from './clock';
import { positionOf } from './position';
import { comesLater, type Fuse, type ScriptOperation, scriptOfRun } from './script';

/** A stretch of a run's clock, min from its start. */
export type Stretched = readonly [fromMin: number, toMin: number];

/** A step as it was planned and as it was worked. */
export interface RetracedStep {
  readonly id: string;
  readonly kind: string;
  readonly instruction: Finding;
  readonly hands: readonly number[];
  readonly planned: Stretched;
  /** Null where it was never done. */
  readonly worked: Stretched | null;
}

/** A fuse as it was planned and as it burned. */
export interface RetracedFuse {
  readonly joint: string;
  readonly label: string;
  readonly planned: { readonly litMin: number; readonly closedMin: number; readonly outMin: number };
  /** Null where it was never lit or never out. */
  readonly burned: {
    readonly litMin: number;
    readonly closedMin: number;
    readonly outMin: number;
    /** When full pressure was due, by how it was lit and closed. */
    readonly limitMin: number;
  } | null;
  /** Least that was left of its windows; negative where one was missed. Null as above. */
  readonly spareMin: number | null;
}

/** Something that happened beside the steps. */
export interface RetracedMark {
  readonly id: string;
  readonly atMin: number;
  readonly event: RunEvent;
}

/** A whole run on one time axis, planned beside worked. */
export interface Retraced {
  readonly untilMin: number;
  readonly hands: number;
  readonly steps: readonly RetracedStep[];
  readonly fuses: readonly RetracedFuse[];
  readonly marks: readonly RetracedMark[];
}

const MS_PER_MIN = 60_000;
const MARKED: ReadonlySet<RunEvent['kind']> = new Set([
  'mishap',
  'fresh-bead',
  'left-out',
  'helper-in',
  'helper-out',
  'wait-over',
  'reading',
  'order',
]);

const burnedOf = (
  { closedMin: closedFor, totalMin }: Pick<Fuse, 'closedMin' | 'totalMin'>,
  litMin: number,
  closedMin: number,
  outMin: number,
) => ({ litMin, closedMin, outMin, limitMin: Math.min(litMin + totalMin, closedMin + closedFor) });

/** Retraces a run; null where it kept no script. What is done hours later is left out, as it would press all else together. */
export function retrace(run: RunDocument): Retraced | null {
  if (run.script === null) return null;
  const script = scriptOfRun(run.script);
  const position = positionOf(script, run.startedAtMs, run.events);
  const { begunAtMs, done } = position;
  const minute = (atMs: number) => (atMs - run.startedAtMs) / MS_PER_MIN;
  const soon = script.operations.filter((operation) => !comesLater(operation));
  const known = new Map(soon.map((operation) => [operation.id, operation]));
  const steps = soon.map(({ id, kind, instruction, hands, startMin, endMin }): RetracedStep => {
    const [from, to] = [begunAtMs.get(id), done.get(id)];
    return {
      id,
      kind,
      instruction,
      hands,
      planned: [startMin, endMin],
      worked: from === undefined || to === undefined ? null : [minute(from), minute(to)],
    };
  });
  const fuses = script.fuses.map((fuse): RetracedFuse => {
    const { joint, label, lit, closed, holds } = fuse;
    const at = (id: string, of: (operation: ScriptOperation) => number) => {
      const operation = known.get(id);
      return operation === undefined ? 0 : of(operation);
    };
    const burnt = burntAt(fuse, position);
    const burned =
      burnt === null
        ? null
        : burnedOf(fuse, minute(burnt.litMs), minute(burnt.closedMs), minute(burnt.outMs));
    return {
      joint,
      label,
      planned: {
        litMin: at(lit, ({ startMin }) => startMin),
        closedMin: at(closed, ({ endMin }) => endMin),
        outMin: Math.max(0, ...holds.map((id) => at(id, ({ endMin }) => endMin))),
      },
      burned,
      spareMin: burned === null ? null : spareOf(fuse, burned),
    };
  });
  const ends = [
    ...steps.flatMap(({ planned, worked }) => [planned[1], worked?.[1] ?? 0]),
    ...fuses.map(({ burned }) => burned?.limitMin ?? 0),
  ];
  const untilMin = Math.max(1, ...ends);
  return {
    untilMin,
    hands: Math.max(1, ...soon.flatMap(({ hands }) => hands.map((hand) => hand + 1))),
    steps,
    fuses,
    marks: inOrder(run.events)
      .filter((event) => MARKED.has(event.kind) && minute(event.atMs) <= untilMin)
      .map((event) => ({ id: event.id, atMin: minute(event.atMs), event })),
  };
}

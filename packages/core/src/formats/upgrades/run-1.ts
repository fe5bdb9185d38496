type Stored = Readonly<Record<string, unknown>>;

/** Page that events of version 1 are said to come from; one page alone wrote them. */
const BEFORE = 'version-1';

/**
 * Version 1 → 2: what was a state and a record becomes events, each step by its place, since version 1 kept no script. The last
 * event of all is what was read and noted.
 */
export function upgradeRun1(document: Stored): Stored {
  const { id, buildId, buildName, startedAtMs, promise, clampedAtMs, events, record } = document;
  const old = events as readonly { kind: string; step: number; atMs: number }[];
  const numbered = [
    ...old.map(({ kind, step, atMs }) => ({ atMs, ...asEvent(kind, step) })),
    ...(isEmpty(record as Stored)
      ? []
      : [{ atMs: lastOf(old, clampedAtMs, document), kind: 'note', payload: { record } }]),
  ];
  return {
    format: 'lean-clasp/run',
    version: 2,
    id,
    buildId,
    buildName,
    buildRevision: null,
    session: 0,
    piece: 0,
    startedAtMs,
    script: null,
    promise,
    events: numbered.map((event, seq) => ({
      id: `${BEFORE}-${seq}`,
      device: BEFORE,
      seq,
      hand: 0,
      ...event,
    })),
  };
}

/** Going back named the step left; what it took back is the step before. */
function asEvent(kind: string, step: number): Stored {
  switch (kind) {
    case 'next':
      return { kind: 'done', operation: `step-${step}` };
    case 'back':
      return { kind: 'back', operation: `step-${step - 1}` };
    case 'trouble':
      return { kind: 'mishap' };
    default:
      return { kind };
  }
}

const isEmpty = (record: Stored) => Object.values(record).every((value) => value === null || value === '');

const lastOf = (
  events: readonly { atMs: number }[],
  clampedAtMs: unknown,
  { startedAtMs }: Stored,
): unknown => events.at(-1)?.atMs ?? clampedAtMs ?? startedAtMs;

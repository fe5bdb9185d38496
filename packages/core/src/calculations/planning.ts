import { Type } from '../basics/type';
import { batchOf, calendarProblemOf, datedSessions, writeWallTime } from '../calendar';
import { bounded, oneOf, orNull, strictObject, wholeBounded } from '../formats';
import { DIRECTION_NAMES, problemOf, sequenceTotals, sessionOf, solveSequence } from '../sequence';
import { calculation } from './calculation';
import { optional, UsedSchema } from './shared-schemas';

const minutes = bounded({ min: 0, max: 100000, unit: 'min' });
const windowMin = Type.Number({ exclusiveMinimum: 0, maximum: 100000 });
const Clamps = Type.Record(Type.String({ maxLength: 200 }), wholeBounded({ min: 0, max: 999, unit: '' }));
const Name = Type.String({ minLength: 1, maxLength: 200 });
const Ids = Type.Array(Type.String());

/** Sessions and order of an assembly. */
export const sequence = calculation({
  name: 'sequence',
  doc: 'In how many sessions and in which order an assembly is glued, so that every joint keeps its windows.',
  input: strictObject({
    parts: Type.Array(Name, { maxItems: 400 }),
    joints: Type.Array(
      strictObject({
        id: Name,
        a: Name,
        b: Name,
        spreadMin: minutes,
        closeMin: minutes,
        clampMin: minutes,
        hands: optional(Type.Union([Type.Literal(1), Type.Literal(2)])),
        release: Type.Array(oneOf(DIRECTION_NAMES), { maxItems: 27 }),
        clamps: optional(Clamps),
      }),
      { maxItems: 400 },
    ),
    window: strictObject({ openMin: windowMin, closedMin: windowMin, totalMin: windowMin }),
    crew: wholeBounded({ min: 1, max: 8, unit: '' }),
    clamps: optional(Clamps),
    clampTimeMin: minutes,
    setUpMin: optional(minutes),
    marginShare: optional(Type.Number({ minimum: 0, exclusiveMaximum: 1 })),
    pins: optional(
      Type.Record(Type.String({ maxLength: 200 }), wholeBounded({ min: 1, max: 400, unit: '' })),
    ),
  }),
  output: strictObject({
    status: oneOf(['proven', 'best-found', 'infeasible']),
    sessions: Type.Array(
      strictObject({
        joints: Ids,
        operations: Type.Array(
          strictObject({
            kind: oneOf(['spread', 'close', 'clamp']),
            joints: Ids,
            hands: Type.Array(Type.Integer()),
            startMin: Type.Number(),
            endMin: Type.Number(),
          }),
        ),
        worstMargin: Type.Number(),
        handsOnMin: Type.Number(),
      }),
    ),
    worstMargin: orNull(Type.Number()),
    handsOnMin: orNull(Type.Number()),
    elapsedMin: orNull(Type.Number()),
    leastSessions: Type.Integer(),
    findings: Type.Array(
      strictObject({
        code: Type.String(),
        severity: oneOf(['refuses', 'warns', 'informs']),
        joints: Ids,
        values: UsedSchema,
      }),
    ),
  }),
  example: {
    parts: ['stile-1', 'rail-1', 'rail-2', 'stile-2'],
    joints: [
      { id: 'j1', a: 'stile-1', b: 'rail-1', release: ['+x'] },
      { id: 'j2', a: 'stile-1', b: 'rail-2', release: ['+x'] },
      { id: 'j3', a: 'rail-1', b: 'stile-2', release: ['+x'] },
      { id: 'j4', a: 'rail-2', b: 'stile-2', release: ['+x'] },
    ].map((joint) => ({ ...joint, spreadMin: 0.8, closeMin: 0.5, clampMin: 0.6, clamps: { bar: 1 } })),
    window: { openMin: 5, closedMin: 6, totalMin: 10 },
    crew: 1,
    clamps: { bar: 4 },
    clampTimeMin: 45,
    setUpMin: 10,
    marginShare: 0.1,
  },
  compute: (input) => {
    const problem = problemOf(input);
    const answer = solveSequence(problem);
    const named = (joints: readonly number[]) => joints.map((joint) => problem.joints[joint]?.id ?? '');
    return {
      status: answer.status,
      sessions: answer.sessions.map((session) => {
        const { joints, operations, ...figures } = sessionOf(problem, session);
        return {
          ...figures,
          joints: [...joints],
          operations: operations.map((each) => ({
            ...each,
            joints: [...each.joints],
            hands: [...each.hands],
          })),
        };
      }),
      ...sequenceTotals(problem, answer),
      leastSessions: answer.bound.sessions,
      findings: [
        ...answer.impossible.map(({ joints, code, severity, values }) => ({
          code,
          severity,
          joints: named(joints),
          values: { ...values },
        })),
        ...answer.findings
          .filter(({ severity }) => severity !== 'refuses')
          .map(({ code, severity, values }) => ({ code, severity, joints: [], values: { ...values } })),
      ],
    };
  },
});

/** Dates of sessions in a shop. */
export const calendar = calculation({
  name: 'calendar',
  doc: 'When each session starts and its clamps come off, given shop hours, clamps, benches and hands, earliest finish.',
  input: strictObject({
    sessions: Type.Array(
      strictObject({
        id: Name,
        setUpMin: minutes,
        handsOnMin: minutes,
        clampMin: minutes,
        machineMin: optional(minutes),
        cureMin: optional(minutes),
        crew: optional(wholeBounded({ min: 0, max: 99, unit: '' })),
        clamps: Clamps,
        bench: optional(wholeBounded({ min: 0, max: 99, unit: '' })),
        after: Type.Array(
          strictObject({ id: Name, wait: Type.Union([oneOf(['clamp', 'machine', 'cure']), minutes]) }),
          { maxItems: 200 },
        ),
      }),
      { maxItems: 200 },
    ),
    shop: strictObject({
      clamps: Clamps,
      benches: wholeBounded({ min: 0, max: 99, unit: '' }),
      crew: wholeBounded({ min: 0, max: 99, unit: '' }),
    }),
    hours: Type.Array(
      strictObject({
        day: wholeBounded({ min: 0, max: 6, unit: '' }),
        fromMin: bounded({ min: 0, max: 1440, unit: 'min' }),
        toMin: bounded({ min: 0, max: 1440, unit: 'min' }),
      }),
      { maxItems: 100 },
    ),
    start: Type.String({ maxLength: 40 }),
  }),
  output: strictObject({
    items: Type.Array(
      strictObject({
        id: Type.String(),
        start: Type.String(),
        handsEnd: Type.String(),
        clampsOff: Type.String(),
      }),
    ),
    finish: orNull(Type.String()),
    status: oneOf(['proven', 'best-found', 'infeasible']),
    findings: Type.Array(strictObject({ code: Type.String(), sessions: Ids })),
  }),
  example: {
    sessions: [
      { id: 'ladders', setUpMin: 10, handsOnMin: 8, clampMin: 60, clamps: { bar: 4 }, after: [] },
      {
        id: 'frame',
        setUpMin: 15,
        handsOnMin: 12,
        clampMin: 60,
        clamps: { bar: 6 },
        after: [{ id: 'ladders', wait: 'clamp' }],
      },
    ],
    shop: { clamps: { bar: 8 }, benches: 1, crew: 2 },
    hours: [1, 2, 3, 4, 5].map((day) => ({ day, fromMin: 480, toMin: 1020 })),
    start: '2027-03-01T15:40',
  },
  compute: (input) => {
    const answer = datedSessions(calendarProblemOf(input));
    const idOf = (i: number) => input.sessions[i]?.id ?? '';
    const finish = Math.max(...answer.items.map(({ clampsOff }) => clampsOff));
    return {
      items: answer.items.map(({ start, handsEnd, clampsOff }, i) => ({
        id: idOf(i),
        start: writeWallTime(start),
        handsEnd: writeWallTime(handsEnd),
        clampsOff: writeWallTime(clampsOff),
      })),
      finish: answer.items.length > 0 ? writeWallTime(finish) : null,
      status: answer.status,
      findings: answer.noPlace.map(({ code, sessions }) => ({ code, sessions: sessions.map(idOf) })),
    };
  },
});

/** Equal pieces through a few sets of clamps. */
export const batch = calculation({
  name: 'batch',
  doc: 'How equal pieces flow through the clamps there are: pieces an hour, and when the first clamps may come off.',
  input: strictObject({
    pieces: wholeBounded({ min: 1, max: 500, unit: '' }),
    handsOnMin: minutes,
    clampMin: minutes,
    unclampMin: minutes,
    clampSets: wholeBounded({ min: 1, max: 500, unit: '' }),
  }),
  output: strictObject({
    startMin: Type.Array(Type.Number()),
    firstFreeMin: Type.Number(),
    doneMin: Type.Number(),
    /** Null where a piece takes no time at all. */
    perHour: orNull(Type.Number()),
    heldUpBy: oneOf(['hands', 'clamps']),
    clampSetsToFlow: Type.Integer(),
  }),
  example: { pieces: 8, handsOnMin: 2.5, clampMin: 6, unclampMin: 0.4, clampSets: 2 },
  compute: (input) => {
    const { perHour, startMin, ...rest } = batchOf(input);
    return { ...rest, startMin: [...startMin], perHour: Number.isFinite(perHour) ? perHour : null };
  },
});

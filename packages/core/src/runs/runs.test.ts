import fc from 'fast-check';
import { RUN_EVENT_KINDS, type RunEvent } from '../formats';
import { inOrder, merged, readRun } from '.';

const START = 1_780_000_000_000;
const event = (device: string, seq: number, more: Partial<RunEvent> = {}): RunEvent => ({
  id: `${device}-${seq}`,
  device,
  seq,
  atMs: START + seq * 1000,
  hand: 0,
  kind: 'done',
  ...more,
});

/** Events of up to three devices, their clocks set to and fro. */
const someEvents = fc
  .array(
    fc.record({
      device: fc.constantFrom('a', 'b', 'c'),
      atMs: fc.integer({ min: START, max: START + 60_000 }),
      kind: fc.constantFrom(...RUN_EVENT_KINDS),
      operation: fc.constantFrom('spread:1', 'close:1', 'set:2'),
      note: fc.constantFrom('', 'even', 'a ridge'),
    }),
    { maxLength: 40 },
  )
  .map((drafts) => {
    const counts = new Map<string, number>();
    return drafts.map(({ device, note, ...rest }) => {
      const seq = counts.get(device) ?? 0;
      counts.set(device, seq + 1);
      return event(device, seq, { ...rest, payload: { record: { note } } });
    });
  });

describe('events of several devices', () => {
  it('give the same run in whatever order, and however often, they arrive', () => {
    fc.assert(
      fc.property(someEvents, fc.integer({ min: 0, max: 40 }), (events, at) => {
        const shuffled = [...events.slice(at), ...events.slice(0, at)].reverse();
        const [here, there] = [merged(events, shuffled), merged(merged([], shuffled), events)];
        expect(here).toHaveLength(events.length);
        expect(inOrder(there)).toEqual(inOrder(here));
        expect(readRun({ events: there })).toEqual(readRun({ events: here }));
      }),
      { seed: 16, numRuns: 300 },
    );
  });

  it('stay in the order of their device, however its clock is set', () => {
    fc.assert(
      fc.property(someEvents, (events) => {
        const ordered = inOrder(events);
        for (const device of ['a', 'b', 'c']) {
          const own = ordered.filter((each) => each.device === device).map(({ seq }) => seq);
          expect(own).toEqual([...own].sort((a, b) => a - b));
        }
        expect(ordered.map(({ atMs }) => atMs)).toEqual(
          ordered.map(({ atMs }) => atMs).sort((a, b) => a - b),
        );
      }),
      { seed: 17, numRuns: 200 },
    );
  });

  it('are never rewritten', () => {
    const told = event('a', 0, { operation: 'spread:1' });
    expect(merged([told], [{ ...told }])).toEqual([told]);
    expect(() => merged([told], [{ ...told, operation: 'close:1' }])).toThrow('told in another way');
  });
});

describe('a run', () => {
  const stateOf = (...events: RunEvent[]) => readRun({ events });

  it('keeps when a step was first done, and ends with its last', () => {
    const done = stateOf(
      event('a', 0, { operation: 'spread:1' }),
      event('b', 5, { operation: 'spread:1' }),
      event('a', 9, { kind: 'finish' }),
      event('b', 12, { kind: 'finish' }),
    );
    expect(done.done.get('spread:1')).toBe(START);
    expect(done).toMatchObject({ state: 'clamped', clampedAtMs: START + 9000 });
  });

  it('goes on after going back from its end', () => {
    const back = stateOf(
      event('a', 0, { operation: 'check' }),
      event('a', 1, { kind: 'finish' }),
      event('a', 2, { kind: 'back', operation: 'check' }),
    );
    expect(back).toMatchObject({ state: 'running', clampedAtMs: null });
    expect([...back.done.keys()]).toEqual([]);
  });

  it('is not given up once it is clamped', () => {
    expect(stateOf(event('a', 0, { kind: 'finish' }), event('a', 1, { kind: 'abandon' })).state).toBe(
      'clamped',
    );
    expect(stateOf(event('a', 0, { kind: 'abandon' })).state).toBe('abandoned');
  });

  it('takes readings field by field, so that two forms do not write over each other', () => {
    const note = (device: string, seq: number, record: object) =>
      event(device, seq, { kind: 'note', payload: { record } });
    const { record } = stateOf(
      note('desk', 1, { note: 'even beads', flatnessMm: 0.4 }),
      note('tablet', 2, { widestGapMm: 0.1 }),
      note('desk', 3, { flatnessMm: 0.5 }),
    );
    expect(record).toMatchObject({ note: 'even beads', flatnessMm: 0.5, widestGapMm: 0.1, squeezeOut: null });
  });

  it('tells by how much a clock was set', () => {
    const { clockSet } = stateOf(event('a', 0, { kind: 'clock-set', payload: { byMs: 3_600_000 } }));
    expect(clockSet).toEqual([{ atMs: START, byMs: 3_600_000 }]);
  });
});

import fc from 'fast-check';
import type { Bottle, RunDocument } from '../formats';
import { bottleState, glueUsedMl, nextBottle, poured } from '.';

const bottle = (
  id: string,
  remainingMl: number,
  openedOn: string | null,
  adhesive = 'pva-interior',
): Bottle => ({
  id,
  adhesive,
  openedOn,
  remainingMl,
});

describe('glue out of bottles', () => {
  it('comes out of the one that was opened first, then the next, then those without a date', () => {
    const shelf = [
      bottle('new', 500, null),
      bottle('late', 200, '2026-03-01'),
      bottle('early', 100, '2025-12-24'),
      bottle('other', 900, '2020-01-01', 'hide-hot'),
    ];
    const left = poured(shelf, 'pva-interior', 350).map(({ id, remainingMl }) => [id, remainingMl]);
    expect(left).toEqual([
      ['new', 450],
      ['late', 0],
      ['early', 0],
      ['other', 900],
    ]);
  });

  it('names the bottle that is poured from next', () => {
    const shelf = [
      bottle('empty', 0, '2025-01-01'),
      bottle('undated', 500, null),
      bottle('late', 200, '2026-03-01'),
      bottle('other', 900, '2020-01-01', 'hide-hot'),
    ];
    expect(nextBottle(shelf, 'pva-interior')).toEqual({ id: 'late', openedOn: '2026-03-01' });
    expect(nextBottle(shelf, 'epoxy-slow')).toBeNull();
  });

  it('takes what is asked, or all there is, and touches no other glue', () => {
    const shelves = fc.array(
      fc.record({
        remainingMl: fc.integer({ min: 0, max: 2000 }),
        openedOn: fc.constantFrom(null, '2025-01-01', '2026-01-01'),
        adhesive: fc.constantFrom('pva-interior', 'hide-hot'),
      }),
      { maxLength: 6 },
    );
    const sum = (shelf: readonly Bottle[], adhesive: string) =>
      shelf
        .filter((each) => each.adhesive === adhesive)
        .reduce((all, { remainingMl }) => all + remainingMl, 0);
    fc.assert(
      fc.property(shelves, fc.integer({ min: 0, max: 3000 }), (drafts, ml) => {
        const shelf = drafts.map((draft, i) => ({ ...draft, id: `b${i}` }));
        const after = poured(shelf, 'pva-interior', ml);
        expect(sum(after, 'pva-interior')).toBe(Math.max(0, sum(shelf, 'pva-interior') - ml));
        expect(sum(after, 'hide-hot')).toBe(sum(shelf, 'hide-hot'));
        expect(after.every(({ remainingMl }) => remainingMl >= 0)).toBe(true);
      }),
      { seed: 18, numRuns: 200 },
    );
  });
});

describe('a bottle on a day', () => {
  it('is past its time after the months its family keeps, and low when a panel would hardly have enough', () => {
    const old = bottleState(bottle('a', 90, '2024-01-01'), '2026-06-01');
    expect(old).toMatchObject({ past: true, left: 'low' });
    expect(old.ageMonths).toBeCloseTo(29, 0);
    expect(bottleState(bottle('a', 0, '2026-05-01'), '2026-06-01')).toMatchObject({
      past: false,
      left: 'empty',
    });
    expect(bottleState(bottle('a', 500, null), '2026-06-01')).toMatchObject({ ageMonths: null, past: false });
  });
});

describe('glue that a run used', () => {
  const run = (done: readonly string[], end: 'finish' | 'abandon' | null, adhesive = 'pva-interior') => {
    const event = (seq: number, more: object) => ({
      id: `d-${seq}`,
      device: 'd',
      seq,
      atMs: seq,
      hand: 0,
      ...more,
    });
    const operations = ['spread', 'spread', 'close', 'set-clamp'].map((kind, i) => ({ id: `o${i}`, kind }));
    const ends = end === null ? [] : [event(99, { kind: end })];
    return {
      events: [...done.map((operation, i) => event(i, { kind: 'done', operation })), ...ends],
      promise: { adhesive, glueMl: 120 },
      script: { operations, fuses: [], plannedMin: 10 },
    } as unknown as Pick<RunDocument, 'events' | 'promise' | 'script'>;
  };

  it('is what was planned once it is in clamps, and by the beads that were laid where it was given up', () => {
    expect(glueUsedMl(run(['o0', 'o1', 'o2'], 'finish'))).toBe(120);
    expect(glueUsedMl(run(['o0'], 'abandon'))).toBe(60);
    expect(glueUsedMl(run([], 'abandon'))).toBe(0);
    expect(glueUsedMl(run(['o0'], null))).toBeNull();
  });

  it('is the whole cup of what is mixed, as soon as any of it is on the wood', () => {
    expect(glueUsedMl(run(['o0'], 'abandon', 'epoxy-slow'))).toBe(120);
    expect(glueUsedMl(run([], 'abandon', 'epoxy-slow'))).toBe(0);
  });

  it('is not known of a run from before amounts were promised', () => {
    const ended = run(['o0', 'o1'], 'finish');
    Reflect.deleteProperty(ended.promise, 'glueMl');
    expect(glueUsedMl(ended)).toBeNull();
  });
});

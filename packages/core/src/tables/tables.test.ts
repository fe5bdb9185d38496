import fc from 'fast-check';
import { DEMO_SHOP } from '../demo';
import type { RackLot } from '../formats';
import {
  BLOCKS_TABLE,
  BOTTLES_TABLE,
  caulsTable,
  METHODS_TABLE,
  printTable,
  RACK_TABLE,
  readTable,
  WOODS_TABLE,
} from '.';

const cells = (text: string) => text.split('\n').map((line) => line.split('\t'));

describe('a table out of a spreadsheet', () => {
  it('is read by its heads in any order, by the units they name, and by words in the singular or the plural', () => {
    const { rows, unknownHeads, headed } = readTable(
      cells('Qty\tOpening (in)\tKind\tColour\n6\t24\tT-bar sash clamps\tred\n4\t300 mm\tLight F-clamps\t'),
      RACK_TABLE,
      'metric',
    );
    expect(headed).toBe(true);
    expect(unknownHeads).toEqual(['Colour']);
    expect(rows.map(({ row }) => row)).toMatchObject([
      { kind: 't-bar', count: 6, maxOpeningMm: expect.closeTo(609.6, 9) as number, forceN: null },
      { kind: 'f-light', count: 4, maxOpeningMm: 300 },
    ]);
  });

  it('is read in the order of the columns where it has no heads; jaws are those of the kind', () => {
    const { rows, headed } = readTable(cells('spring clamp\t12\t75'), RACK_TABLE, 'metric');
    expect(headed).toBe(false);
    expect(rows[0]?.row).toMatchObject({ kind: 'spring', count: 12, maxOpeningMm: 75 });
    expect(rows[0]?.row?.padWidthMm).not.toBe(RACK_TABLE.blank.padWidthMm);
  });

  it('tells each fault of a row and takes none that has one', () => {
    const { rows } = readTable(
      cells('Kind\tHow many\tOpens to\nsash clamp\tmany\t9 m\nanvil\t2\t600\n\t3\t500'),
      RACK_TABLE,
      'metric',
    );
    expect(rows.map(({ row }) => row)).toEqual([null, null, null]);
    expect(rows.map(({ faults }) => faults.map(({ code, head }) => `${code} ${head}`))).toEqual([
      ['no-such-word Kind', 'not-readable How many', 'out-of-range Opens to'],
      ['no-such-word Kind'],
      ['missing Kind'],
    ]);
  });

  it('asks a day for year, month and day, and never guesses at another order', () => {
    const read = (day: string) =>
      readTable([['liquid hide glue', day, '250']], BOTTLES_TABLE, 'metric').rows[0];
    expect(read('2026-3-4')?.row).toMatchObject({ openedOn: '2026-03-04' });
    expect(read('03/04/2026')?.faults).toMatchObject([{ code: 'not-readable', head: 'Opened on' }]);
    expect(read('2026-13-40')?.row).toBeNull();
  });

  it('takes decimal commas, shares in per cent, movement in millimetres a metre', () => {
    const method = readTable([['wide roller', '4,5', '3', '0,4', '12']], METHODS_TABLE, 'metric').rows[0]
      ?.row;
    expect(method).toMatchObject({ name: 'wide roller', beadMPerMin: 4.5, areaM2PerMin: 0.4 });
    expect(method?.waste).toBeCloseTo(0.12, 12);
    const wood = readTable([['plum', 'cherry', '760', '2,9']], WOODS_TABLE, 'metric').rows[0]?.row;
    expect(wood?.cT).toBeCloseTo(0.0029, 12);
  });
});

describe('a table for a spreadsheet', () => {
  it('comes back as it was, in either unit system', () => {
    const { rack, cauls = [], blocks = [], bottles } = DEMO_SHOP;
    const without = <Row extends { id: string }>(rows: readonly Row[], ...left: string[]) =>
      rows.map((row) =>
        Object.fromEntries(Object.entries(row).filter(([key]) => !['id', ...left].includes(key))),
      );
    for (const system of ['metric', 'imperial'] as const) {
      const back = <Row>(rows: readonly Row[], table: Parameters<typeof printTable<Row>>[1]) =>
        readTable(printTable(rows, table), table, system).rows.map(({ row }) => row);
      expect(back(rack, RACK_TABLE)).toEqual(without(rack, 'bag'));
      expect(back(cauls, caulsTable([]))).toEqual(without(cauls));
      expect(back(blocks, BLOCKS_TABLE)).toEqual(without(blocks));
      expect(back(bottles, BOTTLES_TABLE)).toEqual(without(bottles, 'label'));
    }
  });

  it('never faults on whatever is pasted, and takes no row that says nothing sound', () => {
    const text = fc.oneof(
      fc.string(),
      fc.constantFrom('f-clamp', '4', '600 mm', '=1+1', 'Kind', '9e99', '½"', '-3'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(text, { maxLength: 10 }), { maxLength: 8 }), (lines) => {
        for (const { row, faults } of readTable<RackLot>(lines, RACK_TABLE, 'imperial').rows) {
          expect(row === null).toBe(faults.length > 0);
          if (row !== null) expect(Number.isInteger(row.count)).toBe(true);
        }
      }),
      { seed: 19, numRuns: 1000 },
    );
  });
});

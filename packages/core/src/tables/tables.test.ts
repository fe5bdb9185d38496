import fc from 'fast-check';
import { BLANK_LABEL } from '../adhesives';
import { DEMO_SHOP } from '../demo';
import type { RackLot } from '../formats';
import {
  BENCHES_TABLE,
  BLOCKS_TABLE,
  BOTTLES_TABLE,
  caulsTable,
  cutListTable,
  METHODS_TABLE,
  PART_SIZES,
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

  it('reads a label figure by figure, in the units that its heads name, and leaves bottles without one alone', () => {
    const read = readTable(
      cells(
        'Glue\tOpen, from\tOpen, to\tColdest (°F)\tPressure, to (psi)\tFills gaps to\nhot hide glue\t\t2\t70\t\t0.2 mm\nslow epoxy\t\t\t\t\t',
      ),
      BOTTLES_TABLE,
      'metric',
    ).rows;
    expect(read.map(({ faults }) => faults)).toEqual([[], []]);
    expect(read[0]?.row?.label).toEqual({
      ...BLANK_LABEL,
      openMin: { low: null, high: 2 },
      minTempC: expect.closeTo(21.1, 1) as number,
      gapMm: 0.2,
    });
    expect(read[1]?.row).not.toHaveProperty('label');
    const bag = readTable(cells('Kind\tHow many\tBag width\nvacuum bag\t1\t1250'), RACK_TABLE, 'metric');
    expect(bag.rows[0]?.row?.bag).toEqual({ lengthMm: null, widthMm: 1250 });
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
    const { rack, cauls = [], blocks = [], benches = [], bottles } = DEMO_SHOP;
    const without = <Row extends { id: string }>(rows: readonly Row[], ...left: string[]) =>
      rows.map((row) =>
        Object.fromEntries(Object.entries(row).filter(([key]) => !['id', ...left].includes(key))),
      );
    for (const system of ['metric', 'imperial'] as const) {
      const back = <Row>(rows: readonly Row[], table: Parameters<typeof printTable<Row>>[1]) =>
        readTable(printTable(rows, table), table, system).rows.map(({ row }) => row);
      expect(back(rack, RACK_TABLE)).toEqual(without(rack, 'measured'));
      expect(back(cauls, caulsTable([]))).toEqual(without(cauls));
      expect(back(blocks, BLOCKS_TABLE)).toEqual(without(blocks));
      expect(back(bottles, BOTTLES_TABLE)).toEqual(without(bottles));
      expect(back(benches, BENCHES_TABLE)).toEqual(without(benches));
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

describe('a cut list', () => {
  const table = cutListTable(
    'white-oak',
    [{ ...WOODS_TABLE.blank, id: 'own-1', name: 'Bog oak' }],
    PART_SIZES,
  );

  it('is read under the heads that other programs write, in inches with fractions or with decimal commas', () => {
    const inches = readTable(
      cells(
        'Qty\tDescription\tMaterial\tL (in)\tW (in)\tT (in)\tNotes\n2\tSide\tCherry\t28 1/2\t11 1/4\t3/4\tmind the knot',
      ),
      table,
      'metric',
    );
    expect(inches.unknownHeads).toEqual(['Notes']);
    expect(inches.rows[0]?.row).toMatchObject({ name: 'Side', count: 2, species: 'cherry' });
    expect(inches.rows[0]?.row?.lengthMm).toBeCloseTo(723.9, 9);
    expect(inches.rows[0]?.row?.thicknessMm).toBeCloseTo(19.05, 9);
    const commas = readTable(
      cells('Part\tLength\tWidth\tThickness\tWood\nTop\t600,5\t240\t18,5\tbog oak'),
      table,
      'metric',
    );
    expect(commas.rows[0]?.row).toEqual({
      name: 'Top',
      count: 1,
      lengthMm: 600.5,
      widthMm: 240,
      thicknessMm: 18.5,
      species: 'own-1',
    });
  });

  it('tells each line that it cannot take, with what would do', () => {
    const { rows } = readTable(
      cells('Part\tLength\tWidth\tThickness\nA\t9 m\t100\t20\nB\t600\t\t20\nC\tlong\t90\t20'),
      table,
      'metric',
    );
    expect(rows.map(({ row }) => row)).toEqual([null, null, null]);
    expect(rows.flatMap(({ faults }) => faults.map(({ code, head }) => [code, head]))).toEqual([
      ['out-of-range', 'Length'],
      ['missing', 'Width'],
      ['not-readable', 'Length'],
    ]);
  });

  it('written out and read in is the same', () => {
    const size = (min: number, max: number) =>
      fc.double({ min, max, noNaN: true }).map((mm) => Math.round(mm * 1000) / 1000);
    const row = fc.record({
      id: fc.constant('r'),
      name: fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ]{0,20}[a-z]$/),
      count: fc.integer({ min: 1, max: 99 }),
      lengthMm: size(5, 6000),
      widthMm: size(2, 3000),
      thicknessMm: size(0.5, 400),
      species: fc.constantFrom('white-oak', 'cherry', 'own-1'),
    });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 20 }), (list) => {
        const { rows } = readTable(printTable(list, table), table, 'imperial');
        expect(rows.map((each) => ({ id: 'r', ...each.row }))).toEqual(list);
      }),
      { seed: 19, numRuns: 100 },
    );
  });
});

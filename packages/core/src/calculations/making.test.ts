import fc from 'fast-check';
import { findCalculation } from '.';

const compute = (name: string, input: unknown) => findCalculation(name)?.compute(input as never) as never;

describe('sums of making', () => {
  it('drying-coats: so many coats one after the other, by the air', () => {
    const { eachMin, inAllMin, ironWithinMin } = compute('drying-coats', {
      coats: 3,
      tempC: 20,
      rhPct: 50,
    }) as {
      eachMin: Record<string, number>;
      inAllMin: Record<string, number>;
      ironWithinMin: number;
    };
    expect(eachMin['likely']).toBeCloseTo(20, 1);
    for (const end of ['low', 'likely', 'high']) {
      expect(inAllMin[end]).toBeCloseTo(3 * (eachMin[end] ?? NaN), 9);
    }
    expect(ironWithinMin).toBe(2 * 24 * 60);
  });

  it('glass-and-back: lies in the rebate and never bears on its walls', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 2000, noNaN: true }),
        fc.double({ min: 3, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 2.9, noNaN: true }),
        (open, rebateMm, clearanceMm) => {
          const { wideMm } = compute('glass-and-back', {
            openWideMm: open,
            openHighMm: open,
            rebateMm,
            clearanceMm,
          }) as { wideMm: number };
          // It covers the opening, and lies inside the rebate with its clearance to either side.
          expect(wideMm).toBeGreaterThan(open);
          expect(open + 2 * rebateMm - wideMm).toBeCloseTo(2 * clearanceMm, 9);
        },
      ),
    );
  });

  it('resaw-list: strips and kerfs fit into the board, one more would not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.double({ min: 20, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 4, noNaN: true }),
        (plyMm, boardMm, kerfMm) => {
          const job = { plies: 9, spare: 2, plyMm, boardMm, kerfMm, planedMm: 0.5 };
          const {
            stripMm,
            stripsPerBoard: n,
            boards,
          } = compute('resaw-list', job) as {
            stripMm: number;
            stripsPerBoard: number;
            boards: number;
          };
          expect(stripMm).toBeCloseTo(plyMm + 1, 9);
          expect(n * stripMm + (n - 1) * kerfMm).toBeLessThanOrEqual(boardMm + 1e-6);
          expect((n + 1) * stripMm + n * kerfMm).toBeGreaterThan(boardMm);
          expect(boards * n).toBeGreaterThanOrEqual(11);
          expect((boards - 1) * n).toBeLessThan(11);
        },
      ),
    );
    expect(() =>
      compute('resaw-list', { plies: 3, spare: 0, plyMm: 12, boardMm: 10, kerfMm: 3, planedMm: 0.5 }),
    ).toThrow(/No strip of 13.0 mm/);
  });

  it('milling-allowance: a crooked board must start thicker by twice what it is out of flat', () => {
    const straight = { lengthMm: 900, widthMm: 100, thicknessMm: 20, cupMm: 0, bowMm: 0, twistMm: 0 };
    const sizes = (change: object) =>
      compute('milling-allowance', { ...straight, ...change }) as Record<string, number>;
    expect(sizes({})).toEqual({ lengthMm: 950, widthMm: 106, thicknessMm: 23 });
    expect(sizes({ cupMm: 1, twistMm: 0.5 })['thicknessMm']).toBe(26);
    expect(sizes({ bowMm: 2 })['widthMm']).toBe(108);
  });

  it('drawbore: less in hard wood, always between 0.8 and 1.5 mm', () => {
    const offset = (species: string) => (compute('drawbore', { species }) as { offsetMm: number }).offsetMm;
    expect(offset('white-oak')).toBe(0.8);
    expect(offset('eastern-white-pine')).toBe(1.5);
    expect(offset('cherry')).toBeGreaterThanOrEqual(0.8);
  });

  it('vacuum-bag: the flat film goes round the sheet and is left over to be sealed', () => {
    const { insideLengthMm, insideWidthMm } = compute('vacuum-bag', {
      lengthMm: 1200,
      widthMm: 700,
      thicknessMm: 20,
    }) as Record<string, number>;
    // Right round the sheet across: twice its width and twice its thickness.
    expect(2 * (insideWidthMm ?? 0)).toBeGreaterThan(2 * 700 + 2 * 20);
    expect((insideLengthMm ?? 0) - 1200).toBeGreaterThan(150);
  });
});

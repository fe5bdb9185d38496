import fc from 'fast-check';
import { InputError } from '../../basics/checks';
import { resolveSpecies } from '../../materials';
import closing from '../../test-support/reference/closing-force.json';
import cases from '../../test-support/reference/panel-pressure.json';
import type { Cut, WoodProperties } from '../../materials';
import type { PressedBoard } from './panel-chain';
import { panelPressure, type PressedPanel, steadyPressure } from './panel-pressure';

const maple = resolveSpecies('hard-maple').properties;
/** The maple of the reference cases. */
const stated = (cases.cases as readonly Case[])[0]?.input.boards[0]?.species ?? maple;
const board = (widthMm: number, change: Partial<PressedBoard> = {}): PressedBoard => ({
  widthMm,
  wood: maple,
  cut: 'flat',
  thicknessMm: 20,
  ...change,
});
const clampsAt = (places: readonly number[], forceN = 3000, padMm = 30) =>
  places.map((xMm) => ({ xMm, forceN, padMm }));
const FIVE: PressedPanel = {
  boards: [120, 120, 120, 120, 120].map((width) => board(width)),
  lengthMm: 1000,
  clamps: clampsAt([125, 375, 625, 875]),
};
const finite = (values: readonly number[]) => values.every((value) => Number.isFinite(value));

interface Case {
  readonly name: string;
  readonly input: {
    readonly boards: readonly {
      readonly widthMm: number;
      readonly species: WoodProperties;
      readonly cut: string;
    }[];
    readonly lengthMm: number;
    readonly thicknessMm: number;
    readonly clamps: readonly { readonly xMm: number; readonly forceN: number; readonly padMm: number }[];
  };
  readonly expected: {
    readonly lines: readonly {
      readonly line: number;
      readonly minMPa: number;
      readonly meanMPa: number;
      readonly maxMPa: number;
      readonly pressureMPa: readonly number[];
    }[];
  };
}

/** A hollow, or where less than nothing a proud line, as a plan has it. */
const parabola = (mm: number) => Array.from({ length: 25 }, (_, i) => mm * (1 - (i / 12 - 1) ** 2));

/** Panels of unequal boards under clamps anywhere, some lines hollow or proud. */
const PANELS: fc.Arbitrary<PressedPanel> = fc
  .record({
    widths: fc.array(fc.integer({ min: 60, max: 220 }), { minLength: 2, maxLength: 6 }),
    lengthMm: fc.integer({ min: 500, max: 2200 }),
    // In shares of the length.
    places: fc.uniqueArray(fc.integer({ min: 5, max: 95 }), { minLength: 2, maxLength: 8 }),
    forceN: fc.integer({ min: 1000, max: 6000 }),
    padMm: fc.integer({ min: 25, max: 60 }),
    hollowMm: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  })
  .map(({ widths, lengthMm, places, forceN, padMm, hollowMm }) => ({
    boards: widths.map((width) => board(width)),
    lengthMm,
    clamps: clampsAt(
      places.map((share) => (lengthMm * share) / 100),
      forceN,
      Math.min(padMm, lengthMm / 10),
    ),
    gaps: [{ line: 0, profileMm: parabola(hollowMm) }],
  }));

describe('steadyPressure', () => {
  it('presses as graded elements do: within 5 % of the mean at the lowest, and of the highest anywhere where a line is shut', () => {
    fc.assert(
      fc.property(PANELS, (panel) => {
        const [graded, even] = [panelPressure(panel), steadyPressure(panel)];
        expect(even.status).toBe(graded.status);
        graded.lines.forEach(({ minMPa, meanMPa, maxMPa, pressureMPa, closed }, l) => {
          const line = even.lines[l];
          expect(Math.abs((line?.minMPa ?? NaN) - minMPa)).toBeLessThan(0.05 * meanMPa);
          if (!closed) return;
          pressureMPa.forEach((pressure, i) =>
            expect(Math.abs((line?.pressureMPa[i] ?? NaN) - pressure)).toBeLessThan(0.05 * maxMPa),
          );
        });
      }),
      { seed: 20, numRuns: 60 },
    );
  });

  it.each([0.2, 0.5, 1, 2, 3])(
    'a pad that ends %d mm short of an end presses there as finer elements say',
    (shortMm) => {
      const panel = { ...FIVE, clamps: clampsAt([15 + shortMm, 200, 500, 800, 985 - shortMm]) };
      const finer = panelPressure({ ...panel, fineness: 3 });
      for (const press of [panelPressure, steadyPressure]) {
        press(panel).lines.forEach(({ pressureMPa, meanMPa }, l) => {
          for (const end of [0, -1]) {
            const expected = finer.lines[l]?.pressureMPa.at(end) ?? NaN;
            expect(Math.abs((pressureMPa.at(end) ?? NaN) - expected)).toBeLessThan(0.03 * meanMPa);
          }
        });
      }
    },
  );

  it('is the same whatever was pressed before it', () => {
    const alone = steadyPressure(FIVE);
    const moved = { ...FIVE, clamps: clampsAt([150, 375, 625, 875]) };
    expect(steadyPressure(moved)).not.toEqual(alone);
    steadyPressure({ ...FIVE, boards: FIVE.boards.map((each) => ({ ...each, thicknessMm: 30 })) });
    expect(steadyPressure(FIVE)).toEqual(alone);
  });

  it('has the same elements wherever the clamps are', () => {
    const unknowns = [110, 233, 377].map(
      (first) => steadyPressure({ ...FIVE, clamps: clampsAt([first, 700]) }).unknowns,
    );
    expect(new Set(unknowns).size).toBe(1);
  });
});

describe('panelPressure against fine-mesh finite elements', () => {
  it.each((cases.cases as readonly Case[]).map((each) => [each.name, each] as const))(
    '%s: mean to 1 %%, ends and stations to what the cases allow',
    (_name, { input, expected }) => {
      const { lines, status } = panelPressure({
        ...input,
        boards: input.boards.map(({ widthMm, species, cut }) => ({
          widthMm,
          wood: species,
          cut: cut as Cut,
          thicknessMm: input.thicknessMm,
        })),
      });
      expect(status).toBe('converged');
      for (const wanted of expected.lines) {
        const line = lines[wanted.line];
        if (line === undefined) throw new Error('a line is missing');
        const { meanMPa } = wanted;
        expect(Math.abs(line.meanMPa / meanMPa - 1)).toBeLessThan(0.01);
        const allowed = (line.closed ? 0.03 : 0.05) * meanMPa;
        expect(Math.abs(line.minMPa - wanted.minMPa)).toBeLessThan(allowed);
        expect(Math.abs(line.maxMPa - wanted.maxMPa)).toBeLessThan(allowed);
        const pad = input.clamps[0]?.padMm ?? 0;
        wanted.pressureMPa.forEach((pressure, i) => {
          const x = (input.lengthMm * i) / (wanted.pressureMPa.length - 1);
          if (x < pad || x > input.lengthMm - pad) return;
          expect(Math.abs((line.pressureMPa[i] ?? 0) - pressure)).toBeLessThan(0.05 * meanMPa);
        });
      }
    },
  );

  it.each(closing.cases.map((each) => [each.name, each] as const))(
    'closes a line that is %s by as much as they say',
    (name, { clampsXmm, table }) => {
      const hollow = name.startsWith('hollow');
      const deep = hollow ? 0.5 : 0.3;
      const profileMm = Array.from({ length: 181 }, (_, i) => {
        const share = (2 * i) / 180 - 1;
        return deep * (hollow ? 1 - share ** 2 : share ** 2);
      });
      for (const { forceN, maxOpenMm } of table) {
        const { lines } = panelPressure({
          boards: [board(100, { wood: stated }), board(100, { wood: stated })],
          lengthMm: 900,
          clamps: clampsAt(clampsXmm, forceN),
          gaps: [{ line: 0, profileMm }],
          samples: 181,
        });
        expect(Math.abs(Math.max(...(lines[0]?.openMm ?? [])) - maxOpenMm)).toBeLessThan(0.01);
      }
    },
  );
});

describe('panelPressure by itself', () => {
  it('carries the whole pull on every line, also where lines are open or boards differ', () => {
    const panels: PressedPanel[] = [
      FIVE,
      { ...FIVE, boards: [40, 120, 90, 70].map((width) => board(width)) },
      { ...FIVE, gaps: [{ line: 1, profileMm: [0, 0.5, 0.8, 0.5, 0] }] },
      { ...FIVE, batten: board(60) },
      { ...FIVE, clamps: [...clampsAt([80], 5000, 40), ...clampsAt([700, 900], 1200)] },
    ];
    for (const panel of panels) {
      const { lines, status } = panelPressure({ ...panel, samples: 2001 });
      const total = panel.clamps.reduce((sum, { forceN }) => sum + forceN, 0);
      expect(status).toBe('converged');
      for (const { pressureMPa, meanMPa } of lines) {
        const inside = pressureMPa.slice(1, -1).reduce((sum, value) => sum + value, 0);
        const ends = ((pressureMPa[0] ?? 0) + (pressureMPa.at(-1) ?? 0)) / 2;
        const carried = ((inside + ends) / 2000) * panel.lengthMm * 20;
        expect(Math.abs(carried / total - 1)).toBeLessThan(0.01);
        expect(meanMPa * panel.lengthMm * 20).toBeCloseTo(total, 0);
      }
    }
  });

  it('mirrors with its clamps and with its boards', () => {
    const lopsided: PressedPanel = {
      boards: [60, 140, 100].map((width) => board(width)),
      lengthMm: 800,
      clamps: clampsAt([100, 300, 640], 2500),
    };
    const turned = { ...lopsided, clamps: clampsAt([700, 500, 160], 2500) };
    const flipped = { ...lopsided, boards: [...lopsided.boards].reverse() };
    const of = (panel: PressedPanel) => panelPressure(panel).lines.map(({ pressureMPa }) => pressureMPa);
    const [one, along, across] = [of(lopsided), of(turned), of(flipped)];
    one.forEach((line, l) => {
      line.forEach((value, i) => {
        expect(along[l]?.[line.length - 1 - i]).toBeCloseTo(value, 6);
        expect(across[one.length - 1 - l]?.[i]).toBeCloseTo(value, 6);
      });
    });
  });

  it.each([
    [3000, 20],
    [6000, 20],
    [6000, 10],
    [10_000, 5],
  ])('stays even-handed where boards are long and slender (%d × %d mm)', (lengthMm, widthMm) => {
    // Such a board gives by metres as a whole and by hundredths of a millimetre where it is pressed.
    const count = lengthMm / 250;
    const places = Array.from({ length: count }, (_, i) => (lengthMm * (i + 0.5)) / count);
    const { lines, status } = panelPressure({
      boards: [0, 0.1, 0.2, 0.3].map((more) => board(widthMm + more)),
      lengthMm,
      clamps: clampsAt(places, 4000, 40),
    });
    expect(status).toBe('converged');
    for (const { pressureMPa, meanMPa } of lines) {
      expect(meanMPa).toBeCloseTo((count * 4000) / (lengthMm * 20), 6);
      pressureMPa.forEach((value, i) =>
        expect(Math.abs(value - (pressureMPa.at(-1 - i) ?? NaN)) / meanMPa).toBeLessThan(1e-4),
      );
    }
  });

  it('is exactly even under a pad as long as the panel', () => {
    const { lines } = panelPressure({ ...FIVE, lengthMm: 300, clamps: clampsAt([150], 6000, 300) });
    for (const { minMPa, maxMPa } of lines) {
      // What keeps boards from drifting carries some millionths.
      expect(minMPa).toBeCloseTo(1, 5);
      expect(maxMPa).toBeCloseTo(1, 5);
    }
  });

  it('adds up while everything stays closed', () => {
    const of = (clamps: PressedPanel['clamps']) =>
      panelPressure({ ...FIVE, clamps }).lines[0]?.pressureMPa ?? [];
    const all = of(FIVE.clamps);
    const parts = FIVE.clamps.map((clamp, i) =>
      of(FIVE.clamps.map((other, k) => (k === i ? clamp : { ...other, forceN: other.forceN / 2 }))),
    );
    // The same mesh throughout; doubling each clamp in turn adds half of what it gives alone.
    const half = of(FIVE.clamps.map((clamp) => ({ ...clamp, forceN: clamp.forceN / 2 })));
    all.forEach((value, s) => {
      const sum = parts.reduce((total, part) => total + ((part[s] ?? 0) - (half[s] ?? 0)), half[s] ?? 0);
      expect(sum).toBeCloseTo(value, 6);
    });
  });

  it('settles as elements get smaller', () => {
    const narrow: PressedPanel = { ...FIVE, boards: [75, 75].map((width) => board(width)) };
    const [coarse, usual, fine, finest] = [0.5, 1, 2, 3].map(
      (fineness) => panelPressure({ ...narrow, fineness }).lines[0],
    );
    const off = (line: typeof fine) =>
      Math.abs((line?.maxMPa ?? 0) - (finest?.maxMPa ?? 0)) / (finest?.meanMPa ?? 1);
    expect(off(usual)).toBeLessThan(off(coarse));
    expect(off(fine)).toBeLessThan(off(usual));
    expect(off(usual)).toBeLessThan(0.03);
  });

  it('presses lower where boards are narrow, higher with a batten before them', () => {
    const lowest = (panel: PressedPanel) => panelPressure(panel).lines[0]?.minMPa ?? 0;
    const narrow: PressedPanel = { ...FIVE, boards: [40, 120, 120, 120, 40].map((width) => board(width)) };
    expect(lowest(narrow)).toBe(0);
    expect(lowest({ ...narrow, batten: board(60) })).toBeGreaterThan(0.2);
    expect(lowest(FIVE)).toBeGreaterThan(lowest({ ...FIVE, clamps: clampsAt([250, 750], 6000) }));
  });

  it('takes the thinner of two boards for the height of their line', () => {
    const mixed = { ...FIVE, boards: [board(120), board(120, { thicknessMm: 15 }), board(120)] };
    const { lines, status } = panelPressure(mixed);
    expect(status).toBe('converged');
    for (const { meanMPa } of lines) expect(meanMPa).toBeCloseTo(12000 / (1000 * 15), 6);
  });
});

describe('panelPressure with what is wrong', () => {
  it('lets a 3 mm gap that nothing closes stay open, without a number that is none', () => {
    const { lines, status } = panelPressure({ ...FIVE, gaps: [{ line: 1, profileMm: [0, 3, 3, 3, 0] }] });
    expect(status).toBe('converged');
    const open = lines[1];
    expect(open?.closed).toBe(false);
    expect(Math.max(...(open?.openMm ?? []))).toBeGreaterThan(0.3);
    for (const line of lines)
      expect(finite([...line.pressureMPa, ...line.openMm, line.minMPa, line.maxMPa])).toBe(true);
  });

  it('closes boards that start apart all along', () => {
    const { lines } = panelPressure({ ...FIVE, gaps: [{ line: 0, profileMm: [2, 2] }] });
    const apart = lines[0]?.pressureMPa ?? [];
    panelPressure(FIVE).lines[0]?.pressureMPa.forEach((value, i) => expect(apart[i]).toBeCloseTo(value, 3));
  });

  it('presses with nothing where nothing pulls', () => {
    for (const clamps of [[], clampsAt([500], 0)]) {
      const { lines, status } = panelPressure({ ...FIVE, clamps });
      expect(status).toBe('converged');
      for (const line of lines) expect(finite(line.pressureMPa) && line.maxMPa).toBe(0);
    }
  });

  it('adds two clamps in one place', () => {
    const twice = panelPressure({ ...FIVE, clamps: clampsAt([300, 300], 2000) });
    const once = panelPressure({ ...FIVE, clamps: clampsAt([300], 4000) });
    twice.lines[1]?.pressureMPa.forEach((value, i) =>
      expect(value).toBeCloseTo(once.lines[1]?.pressureMPa[i] ?? 0, 9),
    );
  });

  it.each([
    ['a pad past the end', { clamps: clampsAt([5]) }, /reaches past an end/],
    ['a clamp that pushes', { clamps: clampsAt([500], -1) }, /cannot push/],
    ['one board', { boards: [board(100)] }, /two boards or more/],
    [
      'a gap on a line that is not there',
      { gaps: [{ line: 4, profileMm: [0, 1] }] },
      /there are lines 0 to 3/,
    ],
  ] as const)('refuses %s in a sentence', (_what, change, words) => {
    expect(() => panelPressure({ ...FIVE, ...change })).toThrow(InputError);
    expect(() => panelPressure({ ...FIVE, ...change })).toThrow(words);
  });
});

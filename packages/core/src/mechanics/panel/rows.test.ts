import fc from 'fast-check';
import { InputError } from '../../basics/checks';
import { type Cut, resolveSpecies, type WoodProperties } from '../../materials';
import cases from '../../test-support/reference/row-pressure.json';
import type { PressedBoard } from './panel-chain';
import { panelPressure } from './panel-pressure';
import { unitPressures } from './unit-pressures';

const maple = resolveSpecies('hard-maple').properties;
const board = (fromMm: number, lengthMm: number, widthMm = 120): PressedBoard => ({
  widthMm,
  wood: maple,
  cut: 'flat',
  thicknessMm: 22,
  fromMm,
  lengthMm,
});
const clampsAt = (...places: number[]) => places.map((xMm) => ({ xMm, forceN: 4000, padMm: 40 }));

interface Case {
  readonly name: string;
  readonly input: {
    readonly boards: readonly {
      readonly widthMm: number;
      readonly fromMm: number;
      readonly lengthMm: number;
      readonly species: WoodProperties;
      readonly cut: string;
    }[];
    readonly thicknessMm: number;
    readonly clamps: readonly { readonly xMm: number; readonly forceN: number; readonly padMm: number }[];
  };
  readonly expected: {
    readonly lines: readonly {
      readonly fromMm: number;
      readonly toMm: number;
      readonly meanMPa: number;
      readonly minInnerMPa: number;
      readonly stationsMPa: readonly number[];
    }[];
  };
}

/** An end that stops on a longer neighbour presses like the edge of a punch: what is nearer is not compared. Theirs is a 4 mm mesh. */
const NEAR_END_MM = 44 - 1e-6;

describe('boards of their own length and place', () => {
  it.each((cases.cases as readonly Case[]).map((each) => [each.name, each] as const))(
    'press as fine-mesh finite elements say: %s',
    (_name, { input, expected }) => {
      const { lines, status } = panelPressure({
        boards: input.boards.map(({ species, cut, ...own }) => ({
          ...own,
          wood: species,
          cut: cut as Cut,
          thicknessMm: input.thicknessMm,
        })),
        lengthMm: Math.max(...input.boards.map(({ fromMm, lengthMm }) => fromMm + lengthMm)),
        clamps: input.clamps,
        samples: 401,
      });
      expect(status).toBe('converged');
      expected.lines.forEach((wanted, l) => {
        const line = lines[l];
        if (line === undefined) throw new Error('a line is missing');
        expect([line.fromMm, line.toMm]).toEqual([wanted.fromMm, wanted.toMm]);
        expect(Math.abs(line.meanMPa / wanted.meanMPa - 1)).toBeLessThan(0.01);
        const inner = wanted.stationsMPa.flatMap((pressure, i) => {
          const at = ((wanted.toMm - wanted.fromMm) * i) / 20;
          const apart = Math.min(at, wanted.toMm - wanted.fromMm - at);
          return apart > NEAR_END_MM ? [{ pressure, own: line.pressureMPa[20 * i] ?? NaN }] : [];
        });
        for (const { pressure, own } of inner) {
          expect(Math.abs(own - pressure)).toBeLessThan(0.04 * wanted.meanMPa);
        }
        const spanMm = line.toMm - line.fromMm;
        const least = Math.min(
          ...line.pressureMPa.filter((_, i) => Math.min(i, 400 - i) * (spanMm / 400) > NEAR_END_MM),
        );
        expect(Math.abs(least - wanted.minInnerMPa)).toBeLessThan(0.04 * wanted.meanMPa);
      });
    },
  );

  it('press alike whether their length is said or not', () => {
    const clamps = clampsAt(120, 500, 880);
    const bare = [100, 140, 90].map((widthMm): PressedBoard => ({
      widthMm,
      wood: maple,
      cut: 'flat',
      thicknessMm: 22,
    }));
    const said = panelPressure({
      boards: bare.map((each) => ({ ...each, fromMm: 0, lengthMm: 1000 })),
      lengthMm: 1000,
      clamps,
    });
    expect(said).toEqual(panelPressure({ boards: bare, lengthMm: 1000, clamps }));
  });

  it('carry the whole pull on every line, turned end for end as well', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            fromMm: fc.integer({ min: 0, max: 120 }),
            lengthMm: fc.integer({ min: 620, max: 860 }),
            widthMm: fc.integer({ min: 60, max: 160 }),
          }),
          { minLength: 2, maxLength: 5 },
        ),
        (sizes) => {
          const boards = sizes.map(({ fromMm, lengthMm, widthMm }) => board(fromMm, lengthMm, widthMm));
          const lengthMm = Math.max(...sizes.map((each) => each.fromMm + each.lengthMm));
          const clamps = clampsAt(190, 330, 480, 590);
          const pressed = panelPressure({ boards, lengthMm, clamps });
          // Boards that stand far out on one side may not be held at all; that is said, not pressed.
          fc.pre(pressed.status === 'converged');
          const turned = panelPressure({
            boards: boards.map((each) => ({
              ...each,
              fromMm: lengthMm - (each.fromMm ?? 0) - (each.lengthMm ?? 0),
            })),
            lengthMm,
            clamps: clamps.map((clamp) => ({ ...clamp, xMm: lengthMm - clamp.xMm })),
          });
          pressed.lines.forEach((line, l) => {
            const forceN = line.meanMPa * (line.toMm - line.fromMm) * 22;
            expect(Math.abs(forceN / 16_000 - 1)).toBeLessThan(0.01);
            expect(turned.lines[l]?.minMPa).toBeCloseTo(line.minMPa, 3);
          });
        },
      ),
      { seed: 5, numRuns: 25 },
    );
  });

  it('add up from single places while nothing opens', () => {
    const boards = [board(100, 800), board(0, 1000), board(100, 800)];
    const clamps = clampsAt(200, 400, 600, 800);
    const units = unitPressures({ boards, lengthMm: 1000 }, clamps);
    const { lines } = panelPressure({ boards, lengthMm: 1000, clamps, samples: 21 });
    const n = units.xsMm.length;
    lines.forEach((line, l) => {
      const [first = 0, last = 0] = units.meets[l] ?? [];
      expect([units.xsMm[first], units.xsMm[last]]).toEqual([line.fromMm, line.toMm]);
      const at = (x: number) => {
        const i = units.xsMm.findIndex((node) => node >= x);
        const sum = (k: number) =>
          units.perNewton.reduce((all, own) => all + 4000 * (own[l * n + k] ?? 0), 0);
        const [from, to] = [units.xsMm[i - 1] ?? 0, units.xsMm[i] ?? 0];
        return sum(i - 1) + ((sum(i) - sum(i - 1)) * (x - from)) / (to - from);
      };
      for (const share of [0.2, 0.35, 0.5, 0.65, 0.8]) {
        const x = line.fromMm + share * (line.toMm - line.fromMm);
        expect(Math.abs(at(x) - (line.pressureMPa[share * 20] ?? NaN))).toBeLessThan(0.05 * line.meanMPa);
      }
    });
  });

  it.each([
    ['a board past an end', [board(0, 900), board(200, 900)], 1000, [400], 'boards.1.fromMm'],
    ['boards that miss each other', [board(0, 400), board(500, 500)], 1000, [200], 'boards.1.fromMm'],
    ['a pad past an outer board', [board(300, 400), board(0, 1000)], 1000, [250], 'clamps.0.xMm'],
  ] as const)('refuse %s', (_name, boards, lengthMm, places, field) => {
    const attempt = () => panelPressure({ boards, lengthMm, clamps: clampsAt(...places) });
    expect(attempt).toThrow(InputError);
    expect(attempt).toThrow(expect.objectContaining({ field }) as Error);
  });
});

import { CALCULATIONS, findCalculation } from '../../calculations';
import { deepFreeze } from '../../test-support/deep-freeze';
import type { Figure } from './figure';
import { figureOf } from '.';

const draw = (name: string, input: unknown): Figure => {
  const answer = findCalculation(name)?.compute(input as never);
  const figure = figureOf(name, deepFreeze(input), answer);
  if (figure === null) throw new Error(`${name} is not drawn`);
  return figure;
};

const length = ([from, to]: readonly (readonly [number, number])[]): number =>
  Math.hypot((to?.[0] ?? 0) - (from?.[0] ?? 0), (to?.[1] ?? 0) - (from?.[1] ?? 0));

const area = (points: readonly (readonly [number, number])[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = points[(i + 1) % points.length] ?? [0, 0];
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );

describe('figureOf', () => {
  it.each(CALCULATIONS.map(({ name, example }) => [name, example] as const))(
    'draws %s from its example, finite and with its numbers',
    (name, example) => {
      const { paths, labels, enlarged } = draw(name, example);
      expect(paths.length).toBeGreaterThan(0);
      expect(labels.length).toBeGreaterThan(0);
      expect(enlarged).toBeGreaterThanOrEqual(1);
      for (const number of [
        ...paths.flatMap(({ points }) => points.flat()),
        ...labels.flatMap(({ at, value }) => [...at, value ?? 0]),
      ]) {
        expect(Number.isFinite(number)).toBe(true);
      }
    },
  );

  it('has no drawing for a name it does not know', () => {
    expect(figureOf('nothing', {}, {})).toBeNull();
  });

  it('draws the longer diagonal longer, whichever it is', () => {
    for (const [ac, bd] of [
      [722.6, 719.6],
      [719.6, 722.6],
    ] as const) {
      const figure = draw('quad', { ab: 600, bc: 400, cd: 600, da: 400, ac, bd });
      const [first, second] = figure.paths.filter(({ points }) => points.length === 2);
      expect(length(first?.points ?? []) > length(second?.points ?? [])).toBe(ac > bd);
      expect((ac > bd ? first : second)?.ink).toBe('force');
    }
  });

  it('draws readings over turns, and the line through them at the pull that it comes to', () => {
    const readings = [
      { turns: 0, kg: 10 },
      { turns: 1, kg: 60 },
      { turns: 2, kg: 110 },
    ];
    const { paths, labels } = draw('hand-calibration', { readings, lever: 3 });
    const fitted = paths.find(({ ink }) => ink === 'glue')?.points ?? [];
    const marks = paths.filter(({ ink }) => ink === 'force');
    expect(marks).toHaveLength(2 * readings.length);
    // They lie on one line: its ends are the middles of the first and the last mark.
    const middle = (points: readonly (readonly [number, number])[] = []) => [
      ((points[0]?.[0] ?? 0) + (points[1]?.[0] ?? 0)) / 2,
      ((points[0]?.[1] ?? 0) + (points[1]?.[1] ?? 0)) / 2,
    ];
    expect(fitted[0]?.[1]).toBeCloseTo(middle(marks[0]?.points)[1] ?? 0, 9);
    expect(fitted[1]?.[1]).toBeCloseTo(middle(marks.at(-1)?.points)[1] ?? 0, 9);
    expect(labels.find(({ field }) => field === 'perTurnN')?.value).toBeCloseTo(50 * 9.80665 * 3, 6);
  });

  it('keeps the staves to scale: together they fill the ring', () => {
    const n = 7;
    const figure = draw('stave', { sides: n, outsideAcrossFlatsMm: 110, thicknessMm: 17 });
    const drawn = figure.paths.reduce((sum, { points }) => sum + area(points), 0);
    const polygon = (acrossFlats: number) => n * (acrossFlats / 2) ** 2 * Math.tan(Math.PI / n);
    expect(drawn).toBeCloseTo(polygon(110) - polygon(110 - 34), 6);
  });

  it('closes a triangle of 100°, 45° and 35°, and shows by how much a wrong one misses', () => {
    const frame = { sidesMm: [524.2, 900, 646.2], anglesDeg: [100, 45, 35], memberWidthMm: 54 };
    const [good] = draw('mitre-polygon', { ...frame, sidesMm: [646.2, 900, 524.2] }).paths;
    const wrong = draw('mitre-polygon', { ...frame, sidesMm: [560, 900, 646.2] });
    const missed = wrong.paths.find(({ ink }) => ink === 'force');
    const answer = findCalculation('mitre-polygon')?.compute({
      ...frame,
      sidesMm: [560, 900, 646.2],
    } as never) as { closureMm: number };
    expect(good).toBeDefined();
    expect(length(missed?.points ?? [])).toBeCloseTo(answer.closureMm, 6);
  });

  it('gives each corner of a band an arrow as long as its pressure', () => {
    const figure = draw('band', {
      interiorAnglesDeg: [100, 45, 35],
      tensionN: 1000,
      faceAreaMm2: 800,
      friction: 0.25,
    });
    const arrows = figure.paths.filter(({ arrow }) => arrow).map(({ points }) => length(points) - 2);
    const pressures = figure.labels.filter(({ field }) => field === 'pressureMPa').map(({ value }) => value);
    expect(arrows).toHaveLength(3);
    arrows.forEach((each, i) =>
      expect(each / (arrows[0] ?? 1)).toBeCloseTo((pressures[i] ?? 0) / (pressures[0] ?? 1), 9),
    );
  });

  it('splits an angled pull into arrows that add up to it', () => {
    const input = {
      jointAngleDeg: 30,
      pullAngleDeg: 110,
      forceN: 2000,
      offsetMm: 4,
      faceMm: 60,
      friction: 0.12,
    };
    const [pull, presses, slides] = draw('angled-clamp', input).paths.filter(({ arrow }) => arrow);
    const share = (0.8 * length(pull?.points ?? [])) ** 2;
    expect(length(presses?.points ?? []) ** 2 + length(slides?.points ?? []) ** 2).toBeCloseTo(share, 6);
  });

  it('lets the bark face turn hollow when a board dries, and crowns it when it swells', () => {
    const board = { species: 'hard-maple', widthMm: 180, ringRadiusMm: 140 };
    const rise = (mcFromPct: number, mcToPct: number) => {
      const [wood] = draw('cup', { ...board, mcFromPct, mcToPct }).paths;
      const points = wood?.points ?? [];
      return (points[0]?.[1] ?? 0) - (points[12]?.[1] ?? 0);
    };
    expect(rise(10, 6)).toBeGreaterThan(0);
    expect(rise(6, 10)).toBeLessThan(0);
  });

  it('leaves out windows that the cold refuses, and says so', () => {
    const figure = draw('adhesive-window', {
      adhesive: 'pva-interior',
      tempC: 4,
      rhPct: 60,
      faces: 1,
      species: 'hard-maple',
    });
    expect(figure.labels.filter(({ text }) => text.includes('refused'))).toHaveLength(3);
  });
});

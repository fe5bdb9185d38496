import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { angledPull, band, compoundMitre, edgeLine, flatness, mitrePolygon, quad, stave } from '.';

type Point = readonly [number, number];
const far = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]);
const readingsOf = ([a, b, c, d]: readonly [Point, Point, Point, Point]) => ({
  ab: far(a, b),
  bc: far(b, c),
  cd: far(c, d),
  da: far(d, a),
  ac: far(a, c),
  bd: far(b, d),
});
const rad = (deg: number) => (deg * Math.PI) / 180;

describe('quad', () => {
  it('finds the angles of any flat convex quadrilateral it is given exactly', () => {
    const corner = fc.double({ min: -60, max: 60, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(corner, corner, corner, corner, corner, corner), ([p, q, r, s, t, u]) => {
        const points: [Point, Point, Point, Point] = [
          [3, -7],
          [640 + p, 12 + q],
          [610 + r, 430 + s],
          [20 + t, 405 + u],
        ];
        const answer = quad(readingsOf(points));
        const angle = (at: Point, from: Point, to: Point) => {
          const dot = (from[0] - at[0]) * (to[0] - at[0]) + (from[1] - at[1]) * (to[1] - at[1]);
          return (Math.acos(dot / (far(at, from) * far(at, to))) * 180) / Math.PI;
        };
        const [a, b, c, d] = points;
        return (
          Math.abs(answer.anglesDeg.a - angle(a, b, d)) < 1e-6 &&
          Math.abs(answer.anglesDeg.b - angle(b, c, a)) < 1e-6 &&
          Math.abs(answer.anglesDeg.c - angle(c, d, b)) < 1e-6 &&
          Math.abs(answer.anglesDeg.d - angle(d, a, c)) < 1e-6 &&
          answer.residualMm < 1e-6
        );
      }),
      { seed: 21 },
    );
  });

  it('calls a true frame square and a frame racked 3 mm racked, with the pull that corrects it', () => {
    expect(
      quad({ ab: 600, bc: 400, cd: 600, da: 400, ac: Math.hypot(600, 400), bd: Math.hypot(600, 400) }),
    ).toMatchObject({ verdict: 'square', longDiagonal: 'none', lengthErrorMm: 0 });
    // The upper rail slid 3 mm along.
    const h = Math.sqrt(400 ** 2 - 3 ** 2);
    const racked = quad(
      readingsOf([
        [0, 0],
        [600, 0],
        [603, h],
        [3, h],
      ]),
    );
    expect(racked).toMatchObject({ verdict: 'racked', longDiagonal: 'ac' });
    expect(racked.rackMm).toBeCloseTo(3, 6);
    expect(racked.pullMm).toBeCloseTo((far([0, 0], [603, h]) - far([600, 0], [3, h])) / 2, 9);
    expect(racked.anglesDeg.a).toBeCloseTo((Math.acos(3 / 400) * 180) / Math.PI, 6);
  });

  it('tells a rail 3 mm short from a rack: a trapezium with equal diagonals is not square', () => {
    const short = quad(
      readingsOf([
        [0, 0],
        [600, 0],
        [598.5, 400],
        [1.5, 400],
      ]),
    );
    expect(short).toMatchObject({ verdict: 'length-error', longDiagonal: 'none' });
    expect(short.lengthErrorMm).toBeCloseTo(3, 9);
    expect(short.rackMm).toBeCloseTo(0, 9);
    const both = quad(
      readingsOf([
        [0, 0],
        [600, 0],
        [597, 400],
        [0, 400],
      ]),
    );
    expect(both.verdict).toBe('both');
  });

  it('spreads readings that do not fit, so that no corner is favoured', () => {
    const { anglesDeg, residualMm } = quad({ ab: 600, bc: 400, cd: 600, da: 400, ac: 722, bd: 722 });
    for (const angle of Object.values(anglesDeg)) expect(angle).toBeCloseTo(90, 6);
    expect(residualMm).toBeGreaterThan(0.1);
    expect(anglesDeg.a + anglesDeg.b + anglesDeg.c + anglesDeg.d).toBeCloseTo(360, 9);
  });

  it('agrees with the small-angle rule (d₁² − d₂²)/4ab', () => {
    const h = Math.sqrt(380 ** 2 - 2 ** 2);
    const readings = readingsOf([
      [0, 0],
      [520, 0],
      [522, h],
      [2, h],
    ]);
    const error = ((readings.ac ** 2 - readings.bd ** 2) / (4 * 520 * 380)) * (180 / Math.PI);
    expect(90 - quad(readings).anglesDeg.a).toBeCloseTo(error, 4);
  });

  it('refuses lengths that cannot make a triangle', () => {
    expect(() => quad({ ab: 600, bc: 400, cd: 600, da: 400, ac: 1001, bd: 700 })).toThrow(InputError);
  });
});

describe('mitrePolygon', () => {
  it('closes a square, a hexagon, a 100/45/35 triangle and an irregular pentagon', () => {
    const triangle = [rad(100), rad(45), rad(35)];
    // Law of sines: the side from corner 0 to corner 1 faces corner 2.
    const sides = [2, 0, 1].map((opposite) => 700 * Math.sin(triangle[opposite] ?? 0));
    const pentagon: Point[] = [
      [0, 0],
      [400, -30],
      [520, 260],
      [210, 455],
      [-90, 240],
    ];
    const at = (i: number): Point => pentagon[(i + 5) % 5] ?? [0, 0];
    const pentagonSides = pentagon.map((p, i) => far(p, at(i + 1)));
    const pentagonAngles = pentagon.map((p, i) => {
      const to = (q: Point) => Math.atan2(q[1] - p[1], q[0] - p[0]);
      return (((((to(at(i - 1)) - to(at(i + 1))) * 180) / Math.PI) % 360) + 360) % 360;
    });
    for (const [sidesMm, anglesDeg] of [
      [
        [500, 300, 500, 300],
        [90, 90, 90, 90],
      ],
      [Array.from({ length: 6 }, () => 200), Array.from({ length: 6 }, () => 120)],
      [sides, [100, 45, 35]],
      [pentagonSides, pentagonAngles],
    ] as const) {
      const answer = mitrePolygon({ sidesMm, anglesDeg, memberWidthMm: 40 });
      expect(answer.closureMm).toBeLessThan(1e-9);
      expect(answer.findings).toEqual([]);
      expect(answer.cutsDeg).toEqual(anglesDeg.map((angle) => angle / 2));
    }
  });

  it('needs more than a 45° saw for a corner sharper than 90°', () => {
    const { sawDeg } = mitrePolygon({ sidesMm: [300, 300, 300], anglesDeg: [60, 60, 60], memberWidthMm: 40 });
    expect(sawDeg).toEqual([60, 60, 60]);
  });

  it('tells of an outline that misses itself, by how much', () => {
    const open = mitrePolygon({
      sidesMm: [500, 300, 503, 300],
      anglesDeg: [90, 90, 90, 90],
      memberWidthMm: 50,
    });
    expect(open.closureMm).toBeCloseTo(3, 9);
    expect(open.findings.map(({ code }) => code)).toEqual(['does-not-close']);
  });

  it('shows 0.1° a cut as 0.99 mm at the last of four 50 mm corners', () => {
    const square = { sidesMm: [400, 400, 400, 400], anglesDeg: [90, 90, 90, 90], memberWidthMm: 50 };
    expect(mitrePolygon({ ...square, cutErrorDeg: 0.1 }).gapMm).toBeCloseTo(0.987, 3);
    expect(mitrePolygon(square).gapMm).toBe(0);
  });

  it('refuses as many sides as there are not corners', () => {
    expect(() =>
      mitrePolygon({ sidesMm: [1, 2, 3], anglesDeg: [90, 90, 90, 90], memberWidthMm: 10 }),
    ).toThrow(InputError);
  });
});

describe('stave and compoundMitre', () => {
  it('goes round once: n staves of the width make the polygon of that apothem', () => {
    for (const sides of [3, 5, 6, 12]) {
      const { widthMm, bevelDeg, insideAcrossFlatsMm } = stave({
        sides,
        outsideAcrossFlatsMm: 120,
        thicknessMm: 18,
      });
      const radius = widthMm / (2 * Math.sin(Math.PI / sides));
      expect(radius * Math.cos(Math.PI / sides)).toBeCloseTo(60, 9);
      expect(bevelDeg * 2 * sides).toBeCloseTo(360, 9);
      expect(insideAcrossFlatsMm).toBe(84);
    }
    expect(() => stave({ sides: 6, outsideAcrossFlatsMm: 30, thicknessMm: 15 })).toThrow(InputError);
  });

  it('is a plain box upright and a plain frame lying flat', () => {
    expect(compoundMitre({ sides: 4, slopeDeg: 0 })).toMatchObject({ mitreDeg: 0 });
    expect(compoundMitre({ sides: 4, slopeDeg: 0 }).bladeTiltDeg).toBeCloseTo(45, 9);
    expect(compoundMitre({ sides: 6, slopeDeg: 90 }).mitreDeg).toBeCloseTo(30, 9);
    expect(compoundMitre({ sides: 6, slopeDeg: 90 }).bladeTiltDeg).toBeCloseTo(0, 9);
  });

  it('puts the cut into the plane that halves the corner, worked out with vectors', () => {
    for (const [sides, slopeDeg] of [
      [4, 15],
      [5, 40],
      [8, 62],
    ] as const) {
      const half = Math.PI / sides;
      const lean = rad(slopeDeg);
      // A board along x, leaning outward about x by `lean`; the corner's plane stands upright at 90° − half to x.
      const face = [0, Math.cos(lean), -Math.sin(lean)] as const;
      const up = [0, Math.sin(lean), Math.cos(lean)] as const;
      const plane = [Math.cos(half), Math.sin(half), 0] as const;
      const dot = (p: readonly number[], q: readonly number[]) =>
        p.reduce((sum, v, i) => sum + v * (q[i] ?? 0), 0);
      // Tilt: between the plane and square to the face. Mitre: trace on the face against square across the board.
      const { mitreDeg, bladeTiltDeg } = compoundMitre({ sides, slopeDeg });
      expect(bladeTiltDeg).toBeCloseTo((Math.asin(dot(plane, face)) * 180) / Math.PI, 9);
      const trace = Math.atan2(dot(plane, up), plane[0]);
      expect(mitreDeg).toBeCloseTo((trace * 180) / Math.PI, 9);
    }
  });
});

describe('flatness', () => {
  const grid = (z: (x: number, y: number) => number, xs: readonly number[], ys: readonly number[]) =>
    xs.flatMap((xMm) => ys.map((yMm) => ({ xMm, yMm, zMm: z(xMm, yMm) })));

  it('gets wind, cup and bow back out of a surface made of them, wherever it lies and however it leans', () => {
    const xs = [130, 380, 700, 1130];
    const ys = [-40, 110, 460];
    const surface = (x: number, y: number) => {
      const u = (x - 630) / 500;
      const v = (y - 210) / 250;
      return 3 + 0.4 * u - 0.2 * v + (1.2 / 4) * u * v - 0.7 * u ** 2 - 0.35 * v ** 2;
    };
    const answer = flatness(grid(surface, xs, ys));
    expect(answer.windMm).toBeCloseTo(1.2, 9);
    expect(answer.bowMm).toBeCloseTo(0.7, 9);
    expect(answer.cupMm).toBeCloseTo(0.35, 9);
    expect(answer.residualMm).toBeLessThan(1e-9);
  });

  it('reads wind alone off four corners, and says that it cannot tell cup or bow', () => {
    const corners = grid((x, y) => (x === 900 && y === 500 ? 2 : 0), [0, 900], [0, 500]);
    expect(flatness(corners)).toEqual({
      windMm: expect.closeTo(2, 9) as number,
      cupMm: null,
      bowMm: null,
      residualMm: expect.closeTo(0, 9) as number,
    });
  });

  it('drops terms that the places cannot support', () => {
    const line = flatness(grid((x) => (x === 500 ? 0.8 : 0), [0, 500, 1000], [0]));
    expect(line).toMatchObject({ windMm: null, cupMm: null });
    expect(line.bowMm).toBeCloseTo(0.8, 9);
    expect(flatness(grid(() => 1, [0, 900, 400], [7])).bowMm).toBeCloseTo(0, 9);
  });

  it('leaves what does not fit as residual, and refuses two points', () => {
    const five = [...grid(() => 0, [0, 800], [0, 400]), { xMm: 200, yMm: 100, zMm: 1 }];
    expect(
      flatness([...five, { xMm: 600, yMm: 300, zMm: -1 }, { xMm: 400, yMm: 200, zMm: 0 }]).residualMm,
    ).toBeGreaterThan(0.3);
    expect(() => flatness(five.slice(0, 2))).toThrow(InputError);
  });
});

describe('edgeLine', () => {
  it.each([
    ['hollow', [0, 0.3, 0.4, 0.3, 0], 0.4, 0],
    ['sprung', [0.4, 0.1, 0, 0.1, 0.4], -0.4, 0],
    ['wedge', [0, 0.15, 0.3, 0.45, 0.6], 0, 0.6],
    ['true', [0.02, 0.02, 0.03], 0, 0.01],
  ] as const)('%s', (kind, readings, sag, wedge) => {
    const answer = edgeLine(readings);
    expect(answer.kind).toBe(kind);
    expect(answer.sagMm).toBeCloseTo(sag, kind === 'true' ? 1 : 9);
    expect(answer.wedgeMm).toBeCloseTo(wedge, 9);
  });

  it('asks for three readings', () => expect(() => edgeLine([0, 0.1])).toThrow(InputError));
});

describe('angledPull', () => {
  it('presses square on and slides along, and keeps the whole pull between the two', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (j, p) => {
          const { normalN, slideN } = angledPull({
            jointAngleDeg: j,
            pullAngleDeg: p,
            forceN: 1500,
            offsetMm: 0,
            faceMm: 40,
            friction: 0.3,
          });
          return Math.abs(Math.hypot(normalN, slideN) - 1500) < 1e-6;
        },
      ),
      { seed: 22 },
    );
  });

  it('slides once the angle passes the friction cone, and opens an edge past a sixth', () => {
    const at = (pullAngleDeg: number, offsetMm = 0) =>
      angledPull({ jointAngleDeg: 20, pullAngleDeg, forceN: 1000, offsetMm, faceMm: 60, friction: 0.12 });
    const cone = (Math.atan(0.12) * 180) / Math.PI;
    expect(at(110 + cone - 0.1).slides).toBe(false);
    expect(at(110 + cone + 0.1).slides).toBe(true);
    expect(at(110, 5).edgeRatio).toBeCloseTo(0.5, 9);
    expect(at(110, -10).edgeRatio).toBeCloseTo(0, 9);
    expect(at(110, 25).edgeRatio).toBe(0);
  });
});

describe('band', () => {
  it('gives .707, .383 and .866 of the tension at 90°, 45° and 120° without friction', () => {
    const corners = band({ interiorAnglesDeg: [90, 45, 120, 105], tensionN: 1000, faceAreaMm2: 800 });
    expect(corners.map(({ normalN }) => Math.round(normalN))).toEqual([707, 383, 866, 793]);
    expect(corners[1]?.pressureMPa).toBeCloseTo(0.383 / 0.8, 3);
  });

  it('keeps 68 % after one square corner and 46 % after two, the same both ways round', () => {
    const square = band({
      interiorAnglesDeg: [90, 90, 90, 90],
      tensionN: 1000,
      faceAreaMm2: 800,
      friction: 0.25,
    });
    expect(square.map(({ tensionN }) => Math.round(tensionN))).toEqual([1000, 675, 456, 675]);
  });

  it('never gains by going round, whichever way is better', () => {
    const odd = band({ interiorAnglesDeg: [100, 45, 35], tensionN: 500, faceAreaMm2: 500, friction: 0.2 });
    expect(odd[1]?.tensionN).toBeCloseTo(500 * Math.exp(-0.2 * rad(80)), 9);
    expect(odd[2]?.tensionN).toBeCloseTo(500 * Math.exp(-0.2 * rad(80)), 9);
  });
});

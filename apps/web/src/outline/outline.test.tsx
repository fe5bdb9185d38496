import { InputError } from '@lean-clasp/core/basics';
import { DEMO_SHOP } from '@lean-clasp/core/demo';
import { LIVE_STATIONS, liveEdges } from '@lean-clasp/core/outline';
import { planBuild } from '@lean-clasp/core/plan';
import { solidVolume, type Vec2 } from '@lean-clasp/core/solids';
import { newBuild } from '@lean-clasp/core/templates';
import { screen, waitFor } from '@testing-library/react';
import fc from 'fast-check';
import { renderBuild } from '../../test/render-build';
import { OutlineFromFile } from './OutlineFromFile';
import { readOutline } from './read-outline';

const svg = (inner: string, size = 'width="1200mm" height="600mm" viewBox="0 0 1200 600"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${inner}</svg>`;
/** A DXF drawing by its pairs of code and value. */
const dxf = (units: number, ...entities: readonly (readonly (string | number)[])[]) =>
  [
    [0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, units, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
    ...entities,
    [0, 'ENDSEC', 0, 'EOF'],
  ]
    .flat()
    .join('\n');
const WAVY = svg('<path d="M0 40 C 300 0 700 90 1000 30 L 1000 430 C 700 380 300 470 0 420 Z"/>');
const refusal = (text: string): InputError => {
  try {
    readOutline(text);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('nothing was refused');
};

describe('an outline with two live edges', () => {
  it('is read back as it was drawn, lying or upright, from either corner, either way round', () => {
    const insets = fc.array(fc.integer({ min: 0, max: 4000 }), {
      minLength: LIVE_STATIONS,
      maxLength: LIVE_STATIONS,
    });
    const whole = fc.record({
      near: insets,
      far: insets,
      long: fc.integer({ min: 600, max: 3000 }),
      wide: fc.integer({ min: 200, max: 590 }),
      upright: fc.boolean(),
      backward: fc.boolean(),
      start: fc.nat(40),
    });
    fc.assert(
      fc.property(whole, ({ near, far, long, wide, upright, backward, start }) => {
        // One station of each edge lies on the box, so that the box is as wide as it says.
        const edges = [near, far].map((list) =>
          list.map((hundredths, i) => (i === 7 ? 0 : hundredths / 100)),
        );
        const [lower = [], upper = []] = edges;
        const x = (i: number) => (long * i) / (LIVE_STATIONS - 1);
        const outline = [
          ...lower.map((inset, i): Vec2 => [x(i), inset]),
          ...upper.map((inset, i): Vec2 => [x(i), wide - inset]).reverse(),
        ];
        const turned = outline.map((_, i) => outline[(i + start) % outline.length] as Vec2);
        if (backward) turned.reverse();
        const drawn = upright ? turned.map(([px, py]): Vec2 => [-py, px]) : turned;
        const read = liveEdges(drawn);
        expect([read.lengthMm, read.widthMm]).toEqual([long, wide]);
        read.nearMm.forEach((mm, i) => expect(Math.abs(mm - (lower[i] ?? 0))).toBeLessThan(0.01));
        read.farMm.forEach((mm, i) => expect(Math.abs(mm - (upper[i] ?? 0))).toBeLessThan(0.01));
      }),
      { seed: 8, numRuns: 150 },
    );
  });

  it('that turns back on itself, or is a dot, is refused in words', () => {
    const hook: Vec2[] = [
      [0, 0],
      [900, 0],
      [900, 400],
      [500, 400],
      [500, 200],
      [700, 200],
      [700, 300],
      [600, 100],
      [0, 100],
    ];
    expect(() => liveEdges(hook)).toThrow('turns back on itself');
    expect(() =>
      liveEdges([
        [0, 0],
        [1, 0],
        [0, 1],
      ]),
    ).toThrow('The outline is 1 by 1 mm.');
  });
});

describe('drawings', () => {
  it('of the same slab say the same as SVG in any unit, shifted and scaled, and as DXF', () => {
    const plain = readOutline(WAVY);
    expect(plain.lengthMm).toBeCloseTo(1000, 1);
    const inches = WAVY.replace(
      'width="1200mm" height="600mm"',
      `width="${1200 / 25.4}in" height="${600 / 25.4}in"`,
    );
    const moved = svg(
      '<defs><rect width="5000" height="5000"/></defs><rect width="40" height="30"/><g transform="translate(30 20)"><path transform="scale(2)" d="M0 20 C 150 0 350 45 500 15 L 500 215 C 350 190 150 235 0 210 Z"/></g>',
    );
    for (const same of [inches, moved]) {
      const read = readOutline(same);
      expect(read.widthMm).toBeCloseTo(plain.widthMm, 1);
      read.nearMm.forEach((mm, i) => expect(mm).toBeCloseTo(plain.nearMm[i] ?? 0, 0));
      read.farMm.forEach((mm, i) => expect(mm).toBeCloseTo(plain.farMm[i] ?? 0, 0));
    }
  });

  it('in DXF are read with their bulges, put together from lines and arcs, in the unit they tell', () => {
    // 40 in long and 12 wide, the near edge an arc 2 in deep.
    const bulge = Math.tan(Math.atan(2 / 20));
    const poly = [
      0,
      'LWPOLYLINE',
      8,
      'cut',
      90,
      4,
      70,
      1,
      10,
      0,
      20,
      0,
      42,
      -bulge,
      10,
      40,
      20,
      0,
      10,
      40,
      20,
      12,
      10,
      0,
      20,
      12,
    ];
    const read = readOutline(dxf(1, poly));
    expect([read.lengthMm, read.widthMm]).toEqual([1016, 304.8]);
    expect(read.nearMm[10]).toBeCloseTo(50.8, 1);
    // The circle through both ends that is 2 in high: r = (20² + 2²) / 4 = 101 in.
    const radius = 101 * 25.4;
    expect(read.nearMm[5]).toBeCloseTo(Math.sqrt(radius ** 2 - 254 ** 2) - (radius - 50.8), 0);
    const line = (x1: number, y1: number, x2: number, y2: number) => [
      0,
      'LINE',
      8,
      '0',
      10,
      x1,
      20,
      y1,
      11,
      x2,
      21,
      y2,
    ];
    const pieces = readOutline(
      dxf(4, line(0, 0, 800, 0), line(0, 300, 800, 300), line(800, 300, 800, 0), line(0, 0, 0, 300)),
    );
    expect([pieces.lengthMm, pieces.widthMm, ...new Set([...pieces.nearMm, ...pieces.farMm])]).toEqual([
      800, 300, 0,
    ]);
  });

  it('that are none, do not close or are empty say so', () => {
    expect(refusal('hello').message).toMatch(/^The (file is no DXF drawing|drawing has no lines)\.$/);
    expect(refusal('<svg >').message).toBe('The file is no SVG drawing.');
    expect(refusal(svg('<line x1="0" y1="0" x2="900" y2="0"/>')).message).toBe(
      'No line of the drawing closes.',
    );
    expect(refusal(dxf(4)).message).toBe('The drawing has no lines.');
  });

  it('with a figure that would keep a reader busy for ever are refused at once', () => {
    const spin = [0, 'ARC', 8, 'cut', 10, 5, 20, 5, 40, 2, 50, 0, 51, 1e300];
    expect(refusal(dxf(4, spin)).message).toMatch(/^The drawing has a figure of 1e\+300 in line \d+\.$/);
    const long = svg(`<path d="M0 0 ${'l1 1 '.repeat(20_000)}"/>`);
    expect(refusal(long).message).toBe('The drawing has a path with 40002 numbers.');
  });

  it('spoilt anywhere are read or refused in a sentence, never worse', () => {
    const poly = dxf(4, [
      0,
      'LWPOLYLINE',
      8,
      'cut',
      90,
      4,
      70,
      1,
      10,
      0,
      20,
      0,
      10,
      900,
      20,
      0,
      10,
      900,
      20,
      300,
      10,
      0,
      20,
      300,
    ]);
    const spoilt = fc.record({
      from: fc.nat(WAVY.length),
      gone: fc.nat(60),
      put: fc.constantFrom('', '1e308', '-', 'NaN', '<', '\u0000', '"', 'Z', '\n0\n', '9'.repeat(50)),
      file: fc.constantFrom(WAVY, poly),
    });
    fc.assert(
      fc.property(spoilt, ({ from, gone, put, file }) => {
        try {
          const { lengthMm } = readOutline(file.slice(0, from) + put + file.slice(from + gone));
          expect(Number.isFinite(lengthMm)).toBe(true);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
          expect((error as InputError).message).not.toMatch(/NaN|undefined/);
        }
      }),
      { seed: 31, numRuns: 400 },
    );
  });
});

describe('a bend by its drawing', () => {
  const bend = (answers: Parameters<typeof newBuild>[0]['answers']) =>
    newBuild(
      { template: 'bent-lamination', name: 'Arch', project: '', service: 'dry', answers },
      DEMO_SHOP,
      () => 'x',
    );

  it('takes the radius and the angle of its longest line', async () => {
    const shown = renderBuild(<OutlineFromFile />, bend({}), 'drumhead');
    const input = await screen.findByLabelText('Curve from a drawing (SVG, DXF)');
    const arch = svg('<path d="M100 500 A 700 700 0 0 1 1090 500"/><path d="M0 0h20"/>');
    await shown.user.upload(input, new File([arch], 'arch.svg', { type: 'image/svg+xml' }));
    expect(await screen.findByText(/^Curve taken: radius 700 mm, 90\.0°/)).toBeInTheDocument();
    // Its chord is 990 mm: 2 · asin(495 / 700).
    const deg = (2 * Math.asin(495 / 700) * 180) / Math.PI;
    await waitFor(() =>
      expect(shown.build().answers).toMatchObject({ radiusMm: expect.closeTo(700, 1) as number }),
    );
    expect(shown.build().answers['arcDeg']).toBeCloseTo(deg, 1);
    const straight = svg('<path d="M0 0L300 0L600 0L700 0L800 0L900 0"/>');
    await shown.user.upload(input, new File([straight], 'line.svg', { type: 'image/svg+xml' }));
    expect(await screen.findByText(/^The curve is straight/)).toBeInTheDocument();
  });
});

describe('a mitred frame by the drawing of its outside', () => {
  it('has a member along each side; a curve changes nothing', async () => {
    const build = newBuild(
      {
        template: 'mitred-frame',
        name: 'House',
        project: '',
        service: 'dry',
        answers: { memberWidthsMm: [60, 0, 0, 0] },
      },
      DEMO_SHOP,
      () => 'x',
    );
    const shown = renderBuild(<OutlineFromFile />, build, 'drumhead');
    const input = await screen.findByLabelText('Outline from a drawing (SVG, DXF)');
    // A gable: two walls of 400 under a roof that rises 300 over a span of 800.
    const gable = svg('<polygon points="0,300 400,0 800,300 800,700 0,700"/>');
    await shown.user.upload(input, new File([gable], 'gable.svg', { type: 'image/svg+xml' }));
    expect(await screen.findByText('Outline taken: 5 sides, 2600 mm round.')).toBeInTheDocument();
    await waitFor(() => expect(shown.build().answers['sidesMm']).toEqual([800, 400, 500, 500, 400]));
    const eaves = 90 + (Math.atan2(300, 400) * 180) / Math.PI;
    const read = shown.build().answers['anglesDeg'] as number[];
    [90, 90, eaves, 360 - 2 * (eaves - 90) - 180, eaves].forEach((deg, i) =>
      expect(read[i]).toBeCloseTo(deg, 2),
    );
    expect(planBuild(shown.build(), DEMO_SHOP).joints).toHaveLength(5);
    const taken = shown.build().answers;
    const round = svg('<circle cx="300" cy="300" r="250"/>');
    await shown.user.upload(input, new File([round], 'round.svg', { type: 'image/svg+xml' }));
    expect(await screen.findByText(/^The outline is curved/)).toBeInTheDocument();
    expect(shown.build().answers).toEqual(taken);
  });
});

describe('a slab by its drawing', () => {
  const slab = (answers: Parameters<typeof newBuild>[0]['answers']) =>
    newBuild(
      { template: 'round-panel', name: 'Slab', project: '', service: 'dry', answers },
      DEMO_SHOP,
      () => 'x',
    );

  it('has as much wood as its outline holds', () => {
    const { lengthMm, widthMm, nearMm, farMm } = readOutline(WAVY);
    const build = slab({
      outline: 'live-edge',
      boards: 3,
      lengthMm,
      widthMm,
      thicknessMm: 40,
      nearMm: [...nearMm],
      farMm: [...farMm],
    });
    const { facts } = planBuild(build, DEMO_SHOP);
    const mm3 = facts.parts.reduce((sum, { part }) => sum + solidVolume(part.solid), 0);
    const stretch = lengthMm / (LIVE_STATIONS - 1);
    const insets = nearMm.map((near, i) => near + (farMm[i] ?? 0));
    const lost = insets
      .slice(1)
      .reduce((sum, inset, i) => sum + (stretch * (inset + (insets[i] ?? 0))) / 2, 0);
    expect(mm3 / (40 * (lengthMm * widthMm - lost))).toBeCloseTo(1, 3);
  });

  it('is laid out when the file is opened; a bad file or an edge too deep changes nothing', async () => {
    const build = slab({ outline: 'oval', boards: 3 });
    const shown = renderBuild(<OutlineFromFile />, build, 'drumhead');
    const input = await screen.findByLabelText('Outline from a drawing (SVG, DXF)');
    await shown.user.upload(input, new File([WAVY], 'slab.svg', { type: 'image/svg+xml' }));
    expect(await screen.findByText(/^Outline taken: 1000 mm by/)).toBeInTheDocument();
    await waitFor(() =>
      expect(shown.build().answers).toMatchObject({ outline: 'live-edge', lengthMm: 1000 }),
    );
    const taken = shown.build().answers;
    await shown.user.upload(input, new File(['none'], 'slab.dxf'));
    expect(await screen.findByText(/^The (file is no DXF drawing|drawing has no lines)/)).toBeInTheDocument();
    const deep = svg('<path d="M0 0 L500 250 L1000 0 V400 H0 Z"/>');
    await shown.user.upload(input, new File([deep], 'deep.svg', { type: 'image/svg+xml' }));
    expect(await screen.findByText(/^The edge goes 250 mm in/)).toBeInTheDocument();
    expect(shown.build().answers).toEqual(taken);
  });
});

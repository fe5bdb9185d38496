import fc from 'fast-check';
import { type AssemblyFacts, deriveAssembly } from '../assembly';
import { buildOf } from '../test-support/builds';
import { type Answers, findKind, layAssembly, startOf } from '.';

/** Measures a kind with some of its answers given. */
function measured(template: string, answers: Answers): AssemblyFacts {
  const build = buildOf({ template, name: 'One', project: '', service: 'dry', answers });
  return deriveAssembly(layAssembly(build, 8));
}

const areasOf = ({ joints }: AssemblyFacts): number[] => joints.map(({ contactMm2 }) => contactMm2);

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** A figure that solids measured agrees with one worked out by hand. */
const agree = (solid: number, byHand: number) => expect(solid / byHand).toBeCloseTo(1, 6);

const RUNS = { numRuns: 25, seed: 77 };

describe('glue faces, against what is worked out by hand', () => {
  it('lines of a panel are its length by its thickness, one fewer than its boards', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 9 }), size(300, 2500), size(8, 60), (boards, lengthMm, t) => {
        const facts = measured('edge-panel', { boards, widthMm: 120 * boards, lengthMm, thicknessMm: t });
        expect(facts.joints).toHaveLength(boards - 1);
        areasOf(facts).forEach((area) => agree(area, lengthMm * t));
      }),
      RUNS,
    );
  });

  it('faces of a lamination are as wide and long as its layers', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 8 }),
        size(30, 400),
        size(200, 2000),
        (layers, widthMm, lengthMm) => {
          const facts = measured('face-lamination', { layers, layerMm: 20, widthMm, lengthMm });
          expect(facts.joints).toHaveLength(layers - 1);
          areasOf(facts).forEach((area) => agree(area, widthMm * lengthMm));
        },
      ),
      RUNS,
    );
  });

  it('mitres of a post are its length by its thickness over cos(180°/n)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), size(6, 20), size(100, 2000), (staves, t, lengthMm) => {
        const facts = measured('mitred-post', { staves, acrossFlatsMm: 300, thicknessMm: t, lengthMm });
        expect(facts.joints).toHaveLength(staves);
        areasOf(facts).forEach((area) => agree(area, (lengthMm * t) / Math.cos(Math.PI / staves)));
      }),
      RUNS,
    );
  });

  it('mitres of a square frame are √2 times its width by its thickness', () => {
    fc.assert(
      fc.property(size(10, 100), size(5, 60), size(300, 1500), size(300, 1500), (widthMm, t, a, b) => {
        const facts = measured('mitred-frame', {
          sidesMm: [a, b, a, b],
          anglesDeg: [90, 90, 90, 90],
          widthMm,
          thicknessMm: t,
        });
        areasOf(facts).forEach((area) => agree(area, Math.SQRT2 * widthMm * t));
      }),
      RUNS,
    );
  });

  it('mitres of a regular frame are its width over sin of half its corner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 8 }), size(10, 40), (n, widthMm) => {
        const corner = 180 - 360 / n;
        const facts = measured('mitred-frame', {
          sidesMm: Array.from({ length: n }, () => 400),
          anglesDeg: Array.from({ length: n }, () => corner),
          widthMm,
          thicknessMm: 20,
        });
        expect(facts.joints).toHaveLength(n);
        areasOf(facts).forEach((area) => agree(area, (20 * widthMm) / Math.sin((corner * Math.PI) / 360)));
      }),
      RUNS,
    );
  });

  it('an open chain has one mitre fewer than members, and one member fewer than sides', () => {
    const facts = measured('mitred-frame', { chain: 'open' });
    expect(facts.parts).toHaveLength(3);
    expect(facts.joints).toHaveLength(2);
  });

  it('a scarf is its section times √(1 + r²)', () => {
    fc.assert(
      fc.property(size(20, 200), size(10, 80), size(4, 16), (widthMm, thicknessMm, ratio) => {
        const facts = measured('scarf', { pieces: 2, lengthMm: 6000, widthMm, thicknessMm, ratio });
        agree(areasOf(facts)[0] ?? NaN, widthMm * thicknessMm * Math.sqrt(1 + ratio * ratio));
      }),
      RUNS,
    );
  });

  it('veneers cover their core, both or one', () => {
    fc.assert(
      fc.property(size(200, 2000), size(150, 1200), fc.boolean(), (lengthMm, widthMm, both) => {
        const facts = measured('veneered-sheet', { lengthMm, widthMm, faces: both ? 'both' : 'one' });
        expect(facts.joints).toHaveLength(both ? 2 : 1);
        areasOf(facts).forEach((area) => agree(area, lengthMm * widthMm));
      }),
      RUNS,
    );
  });

  it('plies of a bend meet along arcs that grow outward by their thickness', () => {
    const facts = measured('bent-lamination', {
      radiusMm: 500,
      arcDeg: 60,
      thicknessMm: 18,
      widthMm: 70,
      plyMm: 3,
      spare: 0,
    });
    const areas = [...areasOf(facts)].sort((a, b) => a - b);
    expect(areas).toHaveLength(5);
    areas.forEach((area, i) => {
      const byHand = 70 * (500 + 3 * (i + 1)) * (Math.PI / 3);
      // Arcs are drawn as chords, each a little shorter than its arc.
      expect(Math.abs(area / byHand - 1)).toBeLessThan(0.01);
    });
  });

  it('lippings are as long as their edges', () => {
    fc.assert(
      fc.property(size(200, 2000), size(100, 900), size(9, 40), (lengthMm, widthMm, t) => {
        const front = measured('edge-banding', { lengthMm, widthMm, thicknessMm: t, edges: 'front' });
        expect(front.joints).toHaveLength(1);
        agree(areasOf(front)[0] ?? NaN, lengthMm * t);
        const both = measured('edge-banding', { lengthMm, widthMm, thicknessMm: t, edges: 'long' });
        areasOf(both).forEach((area) => agree(area, lengthMm * t));
      }),
      RUNS,
    );
  });

  it('an oval is as wide and as long as asked, its lines as long as its chords', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 8 }), size(300, 1800), (boards, lengthMm) => {
        const widthMm = 0.7 * lengthMm;
        const facts = measured('round-panel', {
          outline: 'oval',
          boards,
          lengthMm,
          widthMm,
          thicknessMm: 22,
          blockMm: 80,
        });
        facts.joints.forEach((joint, i) => {
          const y = widthMm * ((i + 1) / boards - 0.5);
          const chord = lengthMm * Math.sqrt(Math.max(0, 1 - (2 * y) ** 2 / widthMm ** 2));
          expect(Math.abs(joint.lengthMm / chord - 1)).toBeLessThan(0.01);
        });
      }),
      RUNS,
    );
  });
});

describe('how many joints a kind has', () => {
  it.each([
    [2, 5],
    [2, 12],
    [3, 7],
  ])('%i rails and %i slats', (rails, slats) => {
    const { joints } = measured('slatted-frame', {
      rails,
      slats,
      betweenLegsMm: 900,
      heightMm: 900,
      slatWidthMm: 25,
    });
    const bays = rails - 1;
    const named = (prefix: string) => joints.filter(({ joint }) => joint.b.startsWith(prefix)).length;
    expect(named('rail')).toBe(2 * rails);
    expect(named('slat')).toBe(2 * bays * slats);
    expect(named('spacer')).toBe(2 * bays * (slats + 1));
  });

  it.each([
    [0, 0],
    [3, 0],
    [2, 3],
  ])('a case with %i shelves and %i back strips', (shelves, backStrips) => {
    const { joints } = measured('case', { shelves, backStrips, depthMm: 300, heightMm: 900, widthMm: 700 });
    const strips = joints.filter(({ joint }) => joint.b.startsWith('back') || joint.b.startsWith('strip'));
    expect(joints.length - strips.length).toBe(2 * (shelves + 2));
    expect(strips.length).toBe(2 * backStrips);
  });

  it.each([0, 1, 3])('a frame with %i middle rails', (midRails) => {
    const { joints, parts } = measured('tenon-frame', {
      midRails,
      heightMm: 1500,
      memberMm: 60,
      tenonMm: 40,
    });
    expect(parts).toHaveLength(4 + midRails);
    expect(joints).toHaveLength(2 * (2 + midRails));
  });

  it('takes no more of a tenon than there is: twice as long is about twice the cheek', () => {
    const area = (tenonMm: number) =>
      areasOf(measured('tenon-frame', { tenonMm, memberMm: 120, thicknessMm: 24, midRails: 0 }))[0] ?? NaN;
    // Shoulders stay as they are, cheeks grow with the length.
    const per = area(60) - area(40);
    expect(area(80) - area(60)).toBeCloseTo(per, 6);
    expect(per).toBeGreaterThan(0);
  });
});

describe('sizes and mass', () => {
  it.each(['edge-panel', 'face-lamination', 'mitred-post', 'tenon-frame', 'case', 'breadboard'])(
    '%s weighs what its solids do, and twice as much in wood twice as dense',
    (template) => {
      const start = startOf(findKind(template));
      const light = measured(template, { ...start, species: 'eastern-white-pine' });
      const heavy = measured(template, { ...start, species: 'hard-maple' });
      const sg = (facts: AssemblyFacts) => facts.parts[0]?.wood.sg ?? NaN;
      expect(heavy.massKg / light.massKg).toBeCloseTo(sg(heavy) / sg(light), 6);
      expect(light.massKg).toBeCloseTo(
        light.parts.reduce((sum, { massKg }) => sum + massKg, 0),
        9,
      );
    },
  );

  it('grows with the cube of its size where everything does', () => {
    const one = measured('face-lamination', { layers: 3, layerMm: 15, widthMm: 60, lengthMm: 400 });
    const two = measured('face-lamination', { layers: 3, layerMm: 30, widthMm: 120, lengthMm: 800 });
    expect(two.massKg / one.massKg).toBeCloseTo(8, 6);
    expect(two.gluedMm2 / one.gluedMm2).toBeCloseTo(4, 6);
  });
});

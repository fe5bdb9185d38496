import { resolveSpecies } from '../materials';
import { type AssemblyFacts, deriveAssembly } from '../assembly';
import { InputError } from '../basics/checks';
import { assemblyMarks } from '../drawing';
import type { FreePart } from '../formats';
import { findKind, KINDS, startOf } from '.';
import type { Answers, Season } from '.';
import { freeLayout } from './layouts/free';
import { layOutKind } from './layouts/list';

const SEASON: Season = { nowPct: 9, lowPct: 7, highPct: 10 };

function measured(id: string, answers: Answers = {}): AssemblyFacts {
  const kind = findKind(id);
  const layout = layOutKind(kind, { ...startOf(kind), ...answers }, SEASON);
  return deriveAssembly({
    ...layout,
    parts: layout.parts.map((part) => ({
      ...part,
      mcPct: null,
      ring: null,
      condition: 'fresh',
      faceTurned: false,
      edgeTurned: false,
    })),
  });
}

const volume = (facts: AssemblyFacts) => facts.parts.reduce((sum, { volumeMm3 }) => sum + volumeMm3, 0);
const contact = (facts: AssemblyFacts) => facts.joints.reduce((sum, { contactMm2 }) => sum + contactMm2, 0);
const jointsOf = (facts: AssemblyFacts, kind: string) =>
  facts.joints.filter(({ joint }) => joint.kind === kind);
const areaOf = (facts: AssemblyFacts, kind: string) =>
  jointsOf(facts, kind).reduce((sum, { contactMm2 }) => sum + contactMm2, 0);
const rad = (deg: number) => (deg * Math.PI) / 180;

describe('every kind', () => {
  it.each(KINDS.map((kind) => [kind.id, kind] as const))(
    '%s asks at most eight things and starts sound',
    (id, kind) => {
      expect(Object.values(kind.questions).filter(({ later }) => later !== true).length).toBeLessThanOrEqual(
        8,
      );
      const facts = measured(id);
      expect(facts.assembly.findings.filter(({ severity }) => severity !== 'informs')).toEqual([]);
      // Whatever is glued is pulled at; only slats and spacers are slid in and held by what stands beside them.
      const pulled = facts.assembly.pulls.flatMap(({ joints }) => joints);
      const loose = facts.assembly.joints.filter(
        ({ id: joint }) => facts.assembly.pressedBy === 'clamps' && !pulled.includes(joint),
      );
      expect(loose.filter(({ b }) => !/^(slat|spacer)-/.test(b))).toEqual([]);
      for (const { release, contactMm2 } of facts.joints) {
        expect(contactMm2).toBeGreaterThan(0);
        expect(release.length).toBeGreaterThan(0);
      }
      for (const view of ['slant', 'front', 'above', 'side'] as const) {
        const { from, size, sides } = assemblyMarks(facts, view);
        expect([...from, ...size].every(Number.isFinite)).toBe(true);
        expect(sides.length).toBeGreaterThan(0);
      }
    },
  );

  it.each(KINDS.map((kind) => [kind.id, kind] as const))(
    '%s answers at both ends of each question, or says why not',
    (id, kind) => {
      for (const [name, question] of Object.entries(kind.questions)) {
        if (question.kind === 'species' || question.kind === 'each-choice') continue;
        const ends =
          question.kind === 'choice'
            ? question.options
            : 'least' in question
              ? []
              : [question.bounds.min, question.bounds.max];
        // A list of its own for each piece is tried in its first place.
        for (const value of ends) {
          const end = question.kind === 'each-length' ? [value as number] : value;
          try {
            const facts = measured(id, { [name]: end });
            expect(Number.isFinite(facts.massKg) && facts.massKg > 0).toBe(true);
          } catch (error) {
            expect(error).toBeInstanceOf(InputError);
            expect((error as InputError).allowed.length).toBeGreaterThan(3);
            expect((error as InputError).message).not.toMatch(/NaN|undefined|Infinity/);
          }
        }
      }
    },
  );
});

describe('areas and volumes against closed forms', () => {
  it('an oval panel', () => {
    const facts = measured('round-panel', { boards: 4, lengthMm: 910, widthMm: 600, thicknessMm: 23 });
    const [a, b] = [455, 300];
    expect(volume(facts) / (Math.PI * a * b * 23)).toBeCloseTo(1, 2);
    const chord = (y: number) => 2 * a * Math.sqrt(1 - (y / b) ** 2);
    expect(contact(facts)).toBeCloseTo((chord(-150) + chord(0) + chord(150)) * 23, 2);
  });

  it('planks, a stack and pieces', () => {
    expect(contact(measured('heavy-slab', { planks: 3, lengthMm: 1810, thicknessMm: 47 }))).toBeCloseTo(
      2 * 1810 * 47,
      3,
    );
    const stack = measured('face-lamination', { layers: 4, layerMm: 21, widthMm: 87, lengthMm: 431 });
    expect(contact(stack)).toBeCloseTo(3 * 87 * 431, 3);
    expect(volume(stack)).toBeCloseTo(4 * 21 * 87 * 431, 2);
    expect(contact(measured('reglue', { pieces: 3, lengthMm: 905, thicknessMm: 31 }))).toBeCloseTo(
      2 * 905 * 31,
      3,
    );
  });

  it.each([3, 5, 6, 12])('a post of %d staves', (staves) => {
    const [af, t, l] = [140, 13, 777];
    const facts = measured('mitred-post', { staves, acrossFlatsMm: af, thicknessMm: t, lengthMm: l });
    const ring = staves * Math.tan(Math.PI / staves) * ((af / 2) ** 2 - (af / 2 - t) ** 2);
    expect(volume(facts)).toBeCloseTo(ring * l, 1);
    expect(contact(facts)).toBeCloseTo((staves * l * t) / Math.cos(Math.PI / staves), 1);
    expect(facts.joints).toHaveLength(staves);
    expect(new Set(facts.joints.map(({ pairing }) => pairing))).toEqual(new Set(['long-long']));
  });

  it('a mitred frame, and a triangle of 100°, 45° and 35°', () => {
    const frame = measured('mitred-frame', { sidesMm: [410, 333, 410, 333], widthMm: 52, thicknessMm: 19 });
    expect(contact(frame)).toBeCloseTo(4 * 52 * Math.SQRT2 * 19, 2);
    expect(volume(frame)).toBeCloseTo((410 * 333 - (410 - 104) * (333 - 104)) * 19, 1);
    // Sides by the law of sines; side i runs from corner i to corner i + 1.
    const k = 900 / Math.sin(rad(100));
    const triangle = measured('mitred-frame', {
      sidesMm: [k * Math.sin(rad(35)), k * Math.sin(rad(100)), k * Math.sin(rad(45))],
      anglesDeg: [100, 45, 35],
      widthMm: 40,
      thicknessMm: 18,
    });
    const faces = [100, 45, 35].reduce((sum, angle) => sum + (40 * 18) / Math.sin(rad(angle / 2)), 0);
    expect(contact(triangle)).toBeCloseTo(faces, 1);
  });

  it('an irregular pentagon closes, and a three-sided frame has two joints', () => {
    const corners: [number, number][] = [
      [0, 0],
      [500, 0],
      [620, 310],
      [240, 520],
      [-90, 260],
    ];
    const vector = (i: number) => {
      const [p, q] = [corners[i % 5] as [number, number], corners[(i + 1) % 5] as [number, number]];
      return [q[0] - p[0], q[1] - p[1]] as const;
    };
    const sidesMm = corners.map((_, i) => Math.hypot(...vector(i)));
    const anglesDeg = corners.map((_, i) => {
      const [a, b] = [vector(i), vector(i + 4)];
      return 180 - (Math.atan2(b[0] * a[1] - b[1] * a[0], b[0] * a[0] + b[1] * a[1]) * 180) / Math.PI;
    });
    expect(measured('mitred-frame', { sidesMm, anglesDeg, widthMm: 45 }).joints).toHaveLength(5);
    expect(measured('mitred-frame', { chain: 'open' }).joints).toHaveLength(2);
  });

  it.each(['mortise-tenon', 'bridle'])('a frame, %s', (joinery) => {
    const [w, h, m, t, l] = [800, 1200, 66, 27, 40];
    const facts = measured('tenon-frame', {
      widthMm: w,
      heightMm: h,
      memberMm: m,
      thicknessMm: t,
      tenonMm: l,
      midRails: 1,
      joinery,
    });
    // A bridle fills its stile: cheeks, and wood as if the frame were cut from the solid.
    const reach = joinery === 'bridle' ? m : l;
    const heights = joinery === 'bridle' ? [m, m, m] : [m * 0.75, m * 0.75, m * 0.75];
    const cheeks = heights.reduce((sum, height) => sum + 2 * 2 * height * reach, 0);
    const long = facts.joints.reduce(
      (sum, { contacts }) =>
        sum +
        contacts
          .filter(({ pairing, normal }) => pairing === 'cross-grain' && Math.abs(normal[2]) > 0.9)
          .reduce((s, { areaMm2 }) => s + areaMm2, 0),
      0,
    );
    expect(long).toBeCloseTo(cheeks, 1);
    const solid = 2 * h * m * t + 3 * (w - 2 * m) * m * t;
    const rooms =
      joinery === 'bridle' ? 0 : heights.reduce((sum, height) => sum + (2 * 2 * height * t) / 3, 0);
    expect(volume(facts)).toBeCloseTo(solid - rooms, 0);
    facts.joints.forEach(({ joint, release }) =>
      expect(release).toContain(joint.a === 'stile-1' ? '+x' : '-x'),
    );
  });

  it('slats shut in their grooves leave only along the rail or out of it', () => {
    const facts = measured('slatted-frame', { slats: 13, rails: 3, slatWidthMm: 30 });
    expect(jointsOf(facts, 'housing').filter(({ joint }) => joint.b.startsWith('slat'))).toHaveLength(
      13 * 2 * 2,
    );
    const first = facts.joints.find(({ joint }) => joint.b === 'slat-1');
    expect([...(first?.release ?? [])].sort()).toEqual(['+x', '+x+y', '+y', '-x', '-x+y'].sort());
  });

  it('a case: housings a third deep', () => {
    const [w, d, t] = [700, 390, 18];
    const facts = measured('case', { widthMm: w, depthMm: d, thicknessMm: t, shelves: 1, backStrips: 0 });
    // Middle shelf: bottom and both cheeks of the housing; top and bottom lack one cheek.
    expect(areaOf(facts, 'housing')).toBeCloseTo(2 * (3 * d * t + 4 * d * (t / 3)), 2);
  });

  it('blanks ganged: film between them takes no glue, and as few pressings as it takes', () => {
    const size = { layers: 3, layerMm: 20, widthMm: 80, lengthMm: 500 };
    const one = measured('face-lamination', { ...size, blanks: 5 });
    const two = measured('face-lamination', { ...size, blanks: 5, ganged: 2 });
    expect(one.assembly.sets).toBe(5);
    expect(two.assembly.sets).toBe(3);
    expect(two.joints.map(({ gluedMm2 }) => gluedMm2)).toEqual(
      [1, 1, 0, 1, 1].map((glued) => glued * 80 * 500),
    );
    expect(two.gluedMm2).toBeCloseTo(2 * one.gluedMm2, 6);
    expect(volume(two)).toBeCloseTo(2 * volume(one), 6);
    expect(two.assembly.pulls[0]?.openingMm).toBe((one.assembly.pulls[0]?.openingMm ?? 0) + 60);
    // More together than there are is all of them.
    expect(measured('face-lamination', { ...size, blanks: 2, ganged: 6 }).parts).toHaveLength(6);
  });

  it('a breadboard: tongue cheeks, its end and the shoulders', () => {
    const facts = measured('breadboard', { panelWidthMm: 610, tongueMm: 24, thicknessMm: 21, pegs: 5 });
    expect(contact(facts)).toBeCloseTo(2 * (2 * 610 * 24 + 610 * 21), 1);
    // Glued over as much as moves 0.5 mm to either side over the year, by hand; over a fifth where that is less.
    const { cT } = resolveSpecies('hard-maple').properties;
    const gluedMm = Math.min(610 / 5, 1 / (cT * (SEASON.highPct - SEASON.lowPct)));
    const share = (facts.joints[0]?.gluedMm2 ?? 0) / (facts.joints[0]?.contactMm2 ?? 1);
    expect(share).toBeCloseTo(gluedMm / 610, 9);
  });

  it('veneer, bands, plies and scarfs', () => {
    expect(contact(measured('veneered-sheet', { lengthMm: 905, widthMm: 404 }))).toBeCloseTo(
      2 * 905 * 404,
      2,
    );
    const bands = measured('edge-banding', { lengthMm: 701, widthMm: 203, thicknessMm: 17, bandMm: 5 });
    expect(areaOf(bands, 'band')).toBeCloseTo(2 * (701 + 203) * 17, 2);
    expect(areaOf(bands, 'butt')).toBeCloseTo(4 * 5 * (17 + 2 * 0.5), 3);
    const bend = measured('bent-lamination', {
      radiusMm: 500,
      arcDeg: 120,
      thicknessMm: 24,
      plyMm: 4,
      widthMm: 55,
    });
    const arcs = [1, 2, 3, 4, 5].reduce((sum, n) => sum + (500 + 4 * n) * rad(120) * 55, 0);
    expect(contact(bend) / arcs).toBeGreaterThan(0.999);
    expect(contact(bend) / arcs).toBeLessThanOrEqual(1);
    const scarf = measured('scarf', { thicknessMm: 38, widthMm: 57, ratio: 8, pieces: 3 });
    expect(contact(scarf)).toBeCloseTo(2 * 57 * Math.hypot(38, 8 * 38), 1);
    expect(volume(scarf)).toBeCloseTo(3600 * 57 * 38, 0);
    expect(scarf.joints[0]?.pairing).toBe('long-long');
  });

  it('an odd angle', () => {
    const facts = measured('odd-angle', { angleDeg: 118, widthMm: 64, thicknessMm: 30 });
    expect(contact(facts)).toBeCloseTo((64 * 30) / Math.sin(rad(59)), 2);
  });
});

describe('what cannot be made is refused with the nearest that can', () => {
  const refusal = (id: string, answers: Answers): InputError => {
    try {
      measured(id, answers);
    } catch (error) {
      if (error instanceof InputError) return error;
      throw error;
    }
    throw new Error(`${id} was not refused`);
  };

  it('mitres that do not close', () => {
    const error = refusal('mitred-frame', { sidesMm: [400, 300, 390, 300] });
    expect(error.message).toContain('misses itself by 10 mm');
    expect(error.allowed).toContain('400 and 300');
    expect(refusal('mitred-frame', { anglesDeg: [90, 90, 90, 80] }).allowed).toContain('90°');
    expect(refusal('mitred-frame', { widthMm: 230 }).allowed).toMatch(/up to 209.5 mm/);
  });

  it('a gang of blanks that would tip in its clamps', () => {
    const { message, allowed } = refusal('face-lamination', {
      layers: 4,
      layerMm: 40,
      blanks: 6,
      ganged: 6,
    });
    expect(message).toContain('960 mm high');
    expect(allowed).toBe('at most 3 pressed together');
  });

  it('a tenon longer than its stile, a ply too thick, a slot past the breadboard', () => {
    expect(refusal('tenon-frame', { memberMm: 60, tenonMm: 70 }).allowed).toContain('at most 55 mm');
    expect(refusal('bent-lamination', { radiusMm: 200, plyMm: 6 }).allowed).toContain('plies up to 4.0 mm');
    expect(refusal('breadboard', { panelWidthMm: 150, pegs: 11, pegMm: 16 }).message).toContain('slot');
    expect(refusal('slatted-frame', { slats: 24 }).allowed).toMatch(/at most \d+ slats/);
  });

  it('answers that no question asked for', () => {
    expect(refusal('case', { drawers: 3 }).field).toBe('answers.drawers');
    expect(refusal('mitred-post', { staves: 4.5 }).message).toContain('whole number');
    expect(refusal('case', { species: 'plastic' }).code).toBe('unknown-id');
  });
});

describe('free assembly', () => {
  const post: FreePart = {
    id: 'p',
    name: 'Post',
    species: 'white-ash',
    atMm: [5, 7, 0],
    sizeMm: [40, 40, 300],
    grain: 'z',
  };
  const arm: FreePart = {
    id: 'q',
    name: 'Arm',
    species: 'white-ash',
    atMm: [45, 7, 260],
    sizeMm: [200, 40, 40],
    grain: 'x',
  };
  const derive = (parts: Parameters<typeof freeLayout>[0], joints: Parameters<typeof freeLayout>[1]) => {
    const layout = freeLayout(parts, joints);
    return deriveAssembly({
      ...layout,
      parts: layout.parts.map((part) => ({
        ...part,
        mcPct: null,
        ring: null,
        condition: 'fresh',
        faceTurned: false,
        edgeTurned: false,
      })),
    });
  };

  it('measures what touches and pulls along it', () => {
    const facts = derive([post, arm], [{ id: 'j', kind: 'butt', a: 'p', b: 'q' }]);
    expect(facts.joints[0]).toMatchObject({ contactMm2: 1600, pairing: 'long-end' });
    expect(facts.assembly.pulls[0]).toMatchObject({ id: 'x', openingMm: 280 });
  });

  it('refuses parts in one place, and joints across a gap', () => {
    expect(() => derive([post, { ...arm, atMm: [20, 7, 260] }], [])).toThrow('same place');
    expect(() =>
      derive([post, { ...arm, atMm: [50, 7, 260] }], [{ id: 'j', kind: 'butt', a: 'p', b: 'q' }]),
    ).toThrow('do not touch');
    expect(() => derive([post, arm], [{ id: 'j', kind: 'butt', a: 'p', b: 'p' }])).toThrow('itself');
    expect(() => derive([post, arm], [{ id: 'j', kind: 'butt', a: 'p', b: 'x' }])).toThrow('not there');
  });
});

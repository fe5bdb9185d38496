import { deriveAssembly } from '../assembly';
import { layAssembly } from '../kinds';
import { wagonBuilds } from '../demo';
import { dot, subtract, type Vec3 } from '../solids';
import { type AssemblyMarks, assemblyMarks } from './assembly-marks';
import { closingsOnSheet, playedClosings, pulledApart, shiftsAt, TOGETHER } from './apart';

function factsOf(id: string) {
  const build = wagonBuilds().find((each) => each.id === id)?.build;
  if (build === undefined) throw new Error(`no ${id} in the demo`);
  return deriveAssembly(layAssembly(build, 8.5));
}

describe('playedClosings', () => {
  const flats = factsOf('scenery-flats');
  const stile = (n: number) =>
    flats.joints.flatMap(({ joint }) => (joint.a === `stile-${n}` ? [joint.id] : []));
  const order = [...stile(1).map((id) => [id]), stile(2)];
  const played = playedClosings(flats, order);

  it('brings each rail to the first stile by itself, and the second stile to all of them at once', () => {
    expect(played.map(({ comes }) => comes.length)).toEqual([1, 1, 1, 1]);
    expect(played.at(-1)?.comes).toEqual(['stile-2']);
  });

  it('lets parts come straight along a way that their joints leave open', () => {
    for (const { joints, comes, fromMm } of played) {
      const own = flats.joints.find(({ joint }) => joint.id === joints[0]);
      const [normal] = own?.contacts.map((contact) => contact.normal) ?? [];
      // Tenons draw out along the rails, that is along x, in one direction or the other.
      expect(fromMm[0] ** 2).toBeCloseTo(dot(fromMm, fromMm), 6);
      expect(normal).toBeDefined();
      expect(comes.length).toBeGreaterThan(0);
    }
  });

  it('moves nothing once everything is closed, one part fewer with each closing', () => {
    expect(shiftsAt(played, played.length).size).toBe(0);
    expect(shiftsAt(played, 0).size).toBe(4);
    expect(shiftsAt(played, played.length - 1).size).toBe(1);
    const half: Vec3 = shiftsAt(played, 3.5).get('stile-2') ?? [0, 0, 0];
    const whole: Vec3 = shiftsAt(played, 3).get('stile-2') ?? [0, 0, 0];
    expect(Math.hypot(...half)).toBeCloseTo(Math.hypot(...whole) / 2, 9);
  });

  it('passes over joints whose parts hang together already', () => {
    const [first = []] = order;
    expect(playedClosings(flats, [first, first])).toHaveLength(1);
  });
});

describe('pulledApart', () => {
  it('moves parts away from the middle by a share of their distance, and nothing for none', () => {
    const trunk = factsOf('costume-trunk');
    expect(pulledApart(trunk, 0)).toBe(TOGETHER);
    const [once, twice] = [pulledApart(trunk, 0.4), pulledApart(trunk, 0.8)];
    for (const [part, shift] of once) {
      const double = twice.get(part) ?? [0, 0, 0];
      expect(Math.hypot(...subtract(double, [2 * shift[0], 2 * shift[1], 2 * shift[2]]))).toBeLessThan(1e-9);
    }
  });
});

describe('closings on a sheet', () => {
  it('move what comes as far as the parts themselves are drawn apart in space', () => {
    const facts = factsOf('costume-trunk');
    const closings = facts.joints.map(({ joint }) => [joint.id]);
    const [played] = playedClosings(facts, closings);
    const [onSheet] = closingsOnSheet(facts, closings, 'slant');
    if (played === undefined || onSheet === undefined) throw new Error('the trunk closes');
    const shifts = new Map(played.comes.map((part) => [part, played.fromMm]));
    const outlines = (marks: AssemblyMarks, by: readonly [number, number]) =>
      marks.sides
        .filter(({ part }) => part !== null && played.comes.includes(part))
        .map(({ loops: [outer = []] }) =>
          outer.map(([x, y]) => `${(x + by[0]).toFixed(3)} ${(y + by[1]).toFixed(3)}`).join(),
        );
    const apart = new Set(outlines(assemblyMarks(facts, 'slant', { shifts }), [0, 0]));
    const moved = outlines(assemblyMarks(facts, 'slant'), [onSheet.from[0], onSheet.from[1]]);
    expect(moved.length).toBeGreaterThan(0);
    for (const outline of moved) expect(apart).toContain(outline);
  });
});

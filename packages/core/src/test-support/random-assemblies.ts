import fc from 'fast-check';
import type { SequenceInput, SequenceJoint } from '../sequence/input';

const AXIS = ['+x', '-x', '+y', '-y', '+z', '-z', '+x+y', '-y+z'];

/** Small assemblies in whole minutes; every joint beyond the tree closes a ring. */
export function assembliesInWholeMinutes(most: {
  joints: number;
  crew: number;
}): fc.Arbitrary<SequenceInput> {
  const joint = fc.record({
    spreadMin: fc.integer({ min: 1, max: 2 }),
    closeMin: fc.integer({ min: 1, max: 2 }),
    clampMin: fc.integer({ min: 1, max: 2 }),
    hands: fc.constantFrom(1, 1, 1, 2),
    release: fc.oneof(
      fc.constant(['any']),
      fc.uniqueArray(fc.constantFrom(...AXIS), { minLength: 1, maxLength: 3 }),
    ),
    bars: fc.integer({ min: 0, max: 2 }),
    from: fc.nat(100),
    to: fc.nat(100),
  });
  return fc
    .record({
      joints: fc.array(joint, { minLength: 2, maxLength: most.joints }),
      rings: fc.nat(2),
      crew: fc.integer({ min: 1, max: most.crew }),
      openMin: fc.integer({ min: 4, max: 7 }),
      closedMin: fc.integer({ min: 2, max: 5 }),
      totalMin: fc.integer({ min: 5, max: 9 }),
      rackShare: fc.option(fc.double({ min: 0.35, max: 1, noNaN: true })),
      marginShare: fc.constantFrom(0, 0, 0.15),
    })
    .map(({ joints, rings, crew, rackShare, marginShare, ...window }) => {
      const parts = Math.max(2, joints.length + 1 - Math.min(rings, joints.length - 1));
      const made = joinedUp(joints, parts).map(({ bars, ...rest }) => ({ ...rest, clamps: { bar: bars } }));
      const wanted = made.reduce((sum, { clamps }) => sum + clamps.bar, 0);
      return {
        parts: Array.from({ length: parts }, (_, i) => `p${i}`),
        joints: made,
        window,
        crew,
        clampTimeMin: 45,
        marginShare,
        ...(rackShare === null ? {} : { clamps: { bar: Math.max(2, Math.round(rackShare * wanted)) } }),
      };
    });
}

/** Joints along a random tree over the parts, then across it; two of the same parts are left out. */
function joinedUp<T extends { readonly from: number; readonly to: number }>(
  joints: readonly T[],
  parts: number,
) {
  const taken = new Set<string>();
  return joints.flatMap(({ from, to, ...rest }, i) => {
    const b = i < parts - 1 ? i + 1 : 1 + (to % (parts - 1));
    const a = from % b;
    if (taken.has(`${a}-${b}`)) return [];
    taken.add(`${a}-${b}`);
    return [{ ...rest, id: `j${i}`, a: `p${a}`, b: `p${b}` }];
  });
}

/** Who is joined to whom, and along which ways they part. */
type Links = readonly { readonly a: string; readonly b: string; readonly release: readonly string[] }[];

/** Two rails and the slats between them, with posts at the ends. */
function slatted(slats: number, posts: number): Links {
  const between = Array.from({ length: slats }, (_, i) => [
    { a: 'top', b: `slat${i}`, release: ['-y'] },
    { a: 'foot', b: `slat${i}`, release: ['+y'] },
  ]);
  const ends = Array.from({ length: posts }, (_, i) =>
    ['top', 'foot'].map((rail) => ({ a: rail, b: `post${i}`, release: [i === 0 ? '-x' : '+x'] })),
  );
  return [...between, ...ends].flat();
}

/** Four posts with rails from each to the next, in two heights, as a chair or a small table. */
function railed(heights: number, sides: number): Links {
  const posts = ['p0', 'p1', 'p2', 'p3'];
  const ways = ['+x', '+y', '-x', '-y'];
  return Array.from({ length: heights }, (_, height) =>
    Array.from({ length: sides }, (__, side) => {
      const rail = `rail${height}${side}`;
      const [way = '+x'] = ways.slice(side % 4);
      const back = way.startsWith('+') ? `-${way.slice(1)}` : `+${way.slice(1)}`;
      return [
        { a: posts[side % 4] ?? 'p0', b: rail, release: [way] },
        { a: rail, b: posts[(side + 1) % 4] ?? 'p0', release: [way] },
        ...(height === 0 && side === 0 ? [{ a: rail, b: 'peg', release: [way, back] }] : []),
      ];
    }).flat(),
  ).flat();
}

/** Assemblies of 7 to 14 joints in hundredths of a minute, with windows and racks that just do or just do not. */
export function tightAssemblies({ least = 7, most = 14 } = {}): fc.Arbitrary<SequenceInput> {
  const minutes = (from: number, to: number) =>
    fc.integer({ min: Math.round(from * 100), max: Math.round(to * 100) }).map((cents) => cents / 100);
  const links: fc.Arbitrary<Links> = fc.oneof(
    fc
      .tuple(fc.integer({ min: 2, max: 5 }), fc.integer({ min: 0, max: 2 }))
      .map(([slats, posts]) => slatted(slats, posts)),
    fc
      .tuple(fc.constantFrom(1, 2), fc.integer({ min: 3, max: 4 }))
      .map(([heights, sides]) => railed(heights, sides)),
    fc
      .tuple(
        fc.array(
          fc.record({
            from: fc.nat(100),
            to: fc.nat(100),
            release: fc.oneof(
              fc.constant(['any']),
              fc.uniqueArray(fc.constantFrom(...AXIS), { minLength: 1, maxLength: 4 }),
            ),
          }),
          { minLength: least, maxLength: most },
        ),
        fc.nat(4),
      )
      .map(([joints, rings]) => joinedUp(joints, joints.length + 1 - Math.min(rings, joints.length - 2))),
  );
  const work = fc.record({
    spreadMin: minutes(0.3, 1.5),
    closeMin: minutes(0.2, 1.1),
    clampMin: minutes(0.3, 1.5),
    hands: fc.constantFrom(1, 1, 1, 1, 2),
    bars: fc.integer({ min: 1, max: 3 }),
    bands: fc.constantFrom(0, 0, 1, 2),
  });
  return fc
    .record({
      links,
      works: fc.array(work, { minLength: 18, maxLength: 18 }),
      crew: fc.integer({ min: 1, max: 3 }),
      openMin: minutes(3, 5),
      closedMin: minutes(2.5, 5),
      totalMin: minutes(4, 7),
      clamps: fc.record({ bar: fc.integer({ min: 3, max: 14 }), band: fc.integer({ min: 2, max: 6 }) }),
    })
    .map(({ links: joined, works, crew, clamps, ...window }) => {
      const joints = joined.slice(0, most).map(({ a, b, release }, i): SequenceJoint => {
        const {
          bars = 1,
          bands = 0,
          hands = 1,
          spreadMin = 1,
          closeMin = 1,
          clampMin = 1,
        } = works[i % works.length] ?? {};
        const own = { bar: bars, ...(bands === 0 ? {} : { band: bands }) };
        return {
          id: `j${i}`,
          a,
          b,
          release,
          spreadMin,
          closeMin,
          clampMin,
          hands: Math.min(hands, crew),
          clamps: own,
        };
      });
      const parts = [...new Set(joints.flatMap(({ a, b }) => [a, b]))];
      return { parts, joints, window, crew, clampTimeMin: 45, clamps };
    });
}

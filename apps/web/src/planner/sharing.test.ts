import { planBuild } from '@lean-clasp/core/plan';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import { wagonBuilds } from '@lean-clasp/core/demo';
import fc from 'fast-check';
import { sharing } from './sharing';

const before = { a: { x: 1, list: [1, 2, { deep: true }] }, b: { y: 2 }, none: null };

it('gives back what was there when nothing has changed', () => {
  expect(sharing(before, structuredClone(before))).toBe(before);
});

it('keeps what has not changed beside what has', () => {
  const after = sharing<unknown>(before, { ...structuredClone(before), b: { y: 3 } }) as typeof before;
  expect(after).toEqual({ ...before, b: { y: 3 } });
  expect(after.a).toBe(before.a);
});

it.each([
  [{ a: 1 }, { a: 1, b: undefined }],
  [{ a: 1, b: undefined }, { a: 1 }],
  [[1, 2], [1]],
  [[1], { 0: 1 }],
  [{ a: undefined }, { b: undefined }],
  [null, { a: 1 }],
])('tells %j from %j', (one, other) => {
  const result = sharing<unknown>(one, structuredClone(other));
  expect(result).not.toBe(one);
  expect(result).toStrictEqual(other);
});

it('always says what the newer one says', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (one, other) => {
      expect(sharing(one, structuredClone(other))).toStrictEqual(other);
      const both = structuredClone({ one: other, other });
      expect(sharing({ one, other }, both)).toStrictEqual({ one: other, other });
    }),
  );
});

it('keeps the joints of an assembly through a change of its name, and looks at what they share once', () => {
  const build = wagonBuilds().find(({ id }) => id === 'balustrade')?.build;
  if (build === undefined) throw new Error('the demo has no balustrade');
  const first = planBuild(build, STARTER_SHOP);
  const renamed = structuredClone(planBuild({ ...build, name: 'another name' }, STARTER_SHOP));
  const after = sharing(first, renamed);
  expect(after.build.name).toBe('another name');
  expect(after.joints).toBe(first.joints);
  expect(after.facts).toBe(first.facts);
  expect(new Set(first.joints.map(({ window }) => window)).size).toBeLessThan(first.joints.length);
});

import type { BuildDocument, FreePart } from '@lean-clasp/core/formats';
import { deepenJoint, laidAgainst, mirrorPart, repeatPart } from './free-edits';

const post: FreePart = {
  id: 'p',
  name: 'Post',
  species: 'cherry',
  atMm: [100, 50, 0],
  sizeMm: [60, 60, 700],
  grain: 'z',
};
const rail: FreePart = { ...post, id: 'r', name: 'Rail', atMm: [0, 0, 0], sizeMm: [300, 40, 20], grain: 'x' };
const build = (parts: readonly FreePart[]): BuildDocument =>
  ({ free: { parts, joints: [{ id: 'j', kind: 'housing', a: 'p', b: 'r' }] } }) as unknown as BuildDocument;

describe('laying a part against another', () => {
  it.each([
    ['on top of', [0, 0, 700]],
    ['under', [0, 0, -20]],
    ['left of', [-200, 0, 0]],
    ['right of', [160, 0, 0]],
    ['in front of', [0, 10, 0]],
    ['behind', [0, 110, 0]],
  ] as const)('%s it, as it is along the face', (side, atMm) => {
    expect(laidAgainst(rail, post, side, {}).atMm).toEqual(atMm);
  });

  it('flush with either end or in the middle', () => {
    expect(laidAgainst(rail, post, 'on top of', { 0: 'low', 1: 'centred' }).atMm).toEqual([100, 60, 700]);
    expect(laidAgainst(rail, post, 'right of', { 1: 'high', 2: 'high' }).atMm).toEqual([160, 70, 680]);
  });
});

describe('more of a part', () => {
  it('is repeated at a pitch under names of its own', () => {
    const { parts } = repeatPart('p', 2, 0, 150)(build([post, rail])).free;
    expect(parts.map(({ name, atMm }) => [name, atMm[0]])).toEqual([
      ['Post', 100],
      ['Rail', 0],
      ['Post 2', 250],
      ['Post 3', 400],
    ]);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(4);
  });

  it('is mirrored to the other side of the middle of all', () => {
    const far: FreePart = { ...post, id: 'q', name: 'Far', atMm: [900, 50, 0] };
    // All reach from 0 to 960: the post from 100 to 160 comes to 800 to 860.
    expect(mirrorPart('p', 0)(build([post, rail, far])).free.parts.at(-1)).toMatchObject({
      name: 'Post 2',
      atMm: [800, 50, 0],
    });
  });

  it('comes to nothing for a part that is gone', () => {
    const before = build([post]);
    expect(repeatPart('gone', 1, 0, 10)(before)).toBe(before);
    expect(mirrorPart('gone', 0)(before)).toBe(before);
  });
});

describe('the depth of a joint', () => {
  it('is kept as it is told, and left to the usual share again', () => {
    const deep = deepenJoint('j', 12)(build([post, rail]));
    expect(deep.free.joints[0]).toMatchObject({ deepMm: 12 });
    expect(deepenJoint('j', null)(deep).free.joints[0]).toEqual({ id: 'j', kind: 'housing', a: 'p', b: 'r' });
  });
});

import type { BuildDocument, FreePart } from '@lean-clasp/core/formats';
import { screen, waitFor, within } from '@testing-library/react';
import { fillIn, pickIn, renderBuild } from '../../test/render-build';
import {
  addJoint,
  addPart,
  changePart,
  noteJoints,
  noteParts,
  prepare,
  removeJoint,
  removePart,
} from './edits';
import { AssemblyFit } from './AssemblyFit';

const part = (id: string, name: string, x: number): FreePart => ({
  id,
  name,
  species: 'cherry',
  atMm: [x, 0, 0],
  sizeMm: [300, 60, 20],
  grain: 'x',
});
const FREE: Partial<BuildDocument> = {
  template: 'free',
  answers: {},
  boards: [],
  free: { parts: [part('a', 'Rail', 0), part('b', 'Post', 300)], joints: [] },
  partNotes: [],
  jointNotes: [],
  prepared: [],
};
const open = (change: Partial<BuildDocument> = {}) =>
  renderBuild(<AssemblyFit />, { ...FREE, ...change }, 'prop-shelf');

describe('a person’s own parts', () => {
  it('have a name, a wood, a size, a place and their grain', async () => {
    const apart = [part('a', 'Rail', 0), part('b', 'Post', 900)];
    const { user, build } = open({ free: { parts: apart, joints: [] } });
    const rail = await screen.findByRole('group', { name: 'Rail' });
    await fillIn(user, rail, 'Size x', '420');
    await fillIn(user, rail, 'From z', '15');
    await pickIn(user, rail, 'Grain', 'along y');
    await pickIn(user, rail, 'Wood', 'Beech');
    expect(build().free.parts[0]).toMatchObject({
      sizeMm: [420, 60, 20],
      atMm: [0, 0, 15],
      grain: 'y',
      species: 'beech',
    });
    expect(build().free.parts[1]).toEqual(apart[1]);
  });

  it('are added clear of the others, and taken out with their joints', async () => {
    const { user, build } = open({
      free: {
        parts: FREE.free?.parts ?? [],
        joints: [{ id: 'j', kind: 'butt', a: 'a', b: 'b' }],
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Add a part' }));
    expect(build().free.parts[2]).toMatchObject({ name: 'Part 3', species: 'cherry', atMm: [600, 0, 0] });
    const post = screen.getByRole('group', { name: 'Post' });
    await user.click(within(post).getByRole('button', { name: 'Take out' }));
    expect(build().free.parts.map(({ name }) => name)).toEqual(['Rail', 'Part 3']);
    expect(build().free.joints).toEqual([]);
  });

  it('are laid against each other, repeated and mirrored; what would be in one place is refused and not kept', async () => {
    const { user, build } = open();
    const rail = await screen.findByRole('group', { name: 'Rail' });
    await user.click(within(rail).getByText('Lay it against another, repeat or mirror it'));
    await pickIn(user, rail, 'Along x', 'left ends flush');
    await user.click(within(rail).getByRole('button', { name: 'Lay it there' }));
    expect(build().free.parts[0]?.atMm).toEqual([300, 0, 20]);
    await fillIn(user, rail, 'Each further by', '10');
    await user.click(within(rail).getByRole('button', { name: 'Repeat' }));
    expect(screen.getByRole('alert')).toHaveTextContent('in the same place');
    expect(build().free.parts).toHaveLength(2);
    await fillIn(user, rail, 'Each further by', '400');
    await user.click(within(rail).getByRole('button', { name: 'Repeat' }));
    await waitFor(() => {
      expect(build().free.parts.at(-1)).toMatchObject({ name: 'Rail 2', atMm: [700, 0, 20] });
    });
  });

  it('are joined where they touch, refused where they do not, and taken apart again', async () => {
    const { user, build } = open();
    const parts = await screen.findByRole('region', { name: 'Your parts' });
    await pickIn(user, parts, 'Joint', 'butt');
    await user.click(within(parts).getByRole('button', { name: 'Join them' }));
    expect(build().free.joints).toMatchObject([{ kind: 'butt', a: 'a', b: 'b' }]);
    await user.click(within(parts).getByRole('button', { name: 'Take apart' }));
    expect(build().free.joints).toEqual([]);
    await pickIn(user, parts, 'with', 'Rail');
    expect(within(parts).getByRole('button', { name: 'Join them' })).toBeDisabled();
  });

  it('are not joined across a gap', async () => {
    const { user } = open({ free: { parts: [part('a', 'Rail', 0), part('b', 'Post', 400)], joints: [] } });
    const parts = await screen.findByRole('region', { name: 'Your parts' });
    expect(within(parts).getByText(/are to be joined and do not touch/)).toBeInTheDocument();
    expect(within(parts).getByRole('button', { name: 'Join them' })).toBeDisabled();
    await fillIn(user, within(parts).getByRole('group', { name: 'Post' }), 'From x', '300');
    await waitFor(() => expect(within(parts).getByRole('button', { name: 'Join them' })).toBeEnabled());
    await pickIn(user, parts, 'with', 'Rail');
    expect(within(parts).getByRole('button', { name: 'Join them' })).toBeDisabled();
  });

  it('keep the last good state while two that are joined would come apart', async () => {
    const { user, build } = open({
      free: { parts: FREE.free?.parts ?? [], joints: [{ id: 'j', kind: 'butt', a: 'a', b: 'b' }] },
    });
    const post = await screen.findByRole('group', { name: 'Post' });
    await fillIn(user, post, 'From x', '500');
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toContain(
        '“Rail” and “Post” are to be joined and do not touch anywhere.',
      ),
    );
    expect(screen.getByRole('alert').textContent).toContain('last good state stands');
    expect(build().free.parts[1]?.atMm[0]).not.toBe(500);
    await fillIn(user, screen.getByRole('group', { name: 'Post' }), 'From x', '300');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('edits of parts and notes', () => {
  const build = { ...FREE, free: { parts: FREE.free?.parts ?? [], joints: [] } } as unknown as BuildDocument;

  it('leave everything else be', () => {
    const wider = changePart('a', { sizeMm: [300, 80, 20] })(build);
    expect(wider.free.parts[1]).toBe(build.free.parts[1]);
    expect(changePart('nobody', { name: 'x' })(build).free.parts).toEqual(build.free.parts);
    expect(removePart('a')(build).free.parts.map(({ id }) => id)).toEqual(['b']);
    const joined = addJoint({ kind: 'face', a: 'a', b: 'b' })(build);
    expect(removeJoint(joined.free.joints[0]?.id ?? '')(joined)).toEqual(build);
    expect(addPart({ ...build, free: { parts: [], joints: [] } }).free.parts[0]).toMatchObject({
      atMm: [0, 0, 0],
      species: 'white-ash',
    });
  });

  it('note once for each, change what was noted, and take back what is undefined', () => {
    const noted = noteParts(['a', 'b'], { mcPct: 9 })(build);
    expect(noted.partNotes).toHaveLength(2);
    const again = noteParts(['a'], { condition: 'older' })(noted);
    expect(again.partNotes).toEqual([
      { id: 'a', species: null, mcPct: 9, condition: 'older' },
      { id: 'b', species: null, mcPct: 9, condition: 'fresh' },
    ]);
    const dry = noteJoints(['j'], { glued: 'none' })(build);
    expect(dry.jointNotes[0]).toEqual({ id: 'j', gapMm: null, reinforcement: 'none', glued: 'none' });
    expect(noteJoints(['j'], { glued: undefined })(dry).jointNotes[0]).not.toHaveProperty('glued');
  });

  it('tick a preparation off once, and on again', () => {
    const done = prepare('closes-dry', true)(prepare('closes-dry', true)(build));
    expect(done.prepared).toEqual(['closes-dry']);
    expect(prepare('closes-dry', false)(done).prepared).toEqual([]);
  });
});

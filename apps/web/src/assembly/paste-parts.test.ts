import { planBuild } from '@lean-clasp/core/plan';
import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import { groupJoints, groupParts } from './groups';
import { pastedNotes } from './paste-parts';

const planOf = (id: string) => {
  const found = wagonBuilds().find((entry) => entry.id === id);
  if (found === undefined) throw new Error(id);
  return planBuild(found.build, DEMO_SHOP);
};
const { parts } = planOf('scenery-flats').facts;

describe('pastedNotes', () => {
  it('reads rows as a spreadsheet puts them on the clipboard', () => {
    const { notes, said } = pastedNotes('Stile 1\tCherry\t8,5 %\nrail\t9.2\n', parts);
    expect(notes).toEqual([
      { id: 'stile-1', change: { species: 'cherry', mcPct: 8.5 } },
      ...['rail-1', 'rail-2', 'rail-3'].map((id) => ({ id, change: { mcPct: 9.2 } })),
    ]);
    expect(said).toBe('4 parts taken from the pasted rows.');
  });

  it('says what it could not read and takes the rest', () => {
    const { notes, said } = pastedNotes(
      'part;wood\nstile 2,unobtainium\nrail 1,white-ash\nstile 1,85',
      parts,
    );
    expect(notes.map(({ id }) => id)).toEqual(['rail-1']);
    expect(said).toMatch(/^1 part taken.*3 rows name no part here/);
  });
});

describe('groups', () => {
  it('keep every part and joint exactly once', () => {
    const plan = planOf('balustrade');
    const roles = new Map(plan.facts.parts.map(({ part }) => [part.id, part.role]));
    const groups = groupParts(plan.facts.parts);
    expect(groups.flatMap((group) => group.parts)).toHaveLength(plan.facts.parts.length);
    expect(groups).toHaveLength(4);
    const joints = groupJoints(plan.joints, (id) => roles.get(id) ?? '');
    expect(joints.flatMap((group) => group.joints)).toHaveLength(plan.joints.length);
    expect(joints.length).toBeLessThan(10);
  });
});

import { stepsBefore } from '../choice';
import { DEMO_SHOP, wagonBuilds } from '../demo';
import { glueJobOf, ofSession, planBuild } from '.';

const found = wagonBuilds().find(({ id }) => id === 'boarding-platform')?.build;
if (found === undefined) throw new Error('no platform');
const plan = planBuild(found, DEMO_SHOP);

describe('a plan with the joints of one session alone', () => {
  it('has each joint in one session, and all where there is no such session', () => {
    const sessions = plan.order?.sessions ?? [];
    expect(sessions.length).toBeGreaterThan(1);
    const ids = sessions.flatMap((_, i) => ofSession(plan, i).joints.map(({ facts }) => facts.joint.id));
    expect([...ids].sort()).toEqual(plan.joints.map(({ facts }) => facts.joint.id).sort());
    expect(ofSession(plan, 99)).toBe(plan);
  });

  it('waits before its first bead for what its own joints want', () => {
    const ends = (of: typeof plan) =>
      stepsBefore(of.adhesive, glueJobOf(of, null)).some(({ kind }) => kind === 'size-end-grain');
    const drinks = (of: typeof plan) => glueJobOf(of, null).endGrainShare > 0;
    const bySession = (plan.order?.sessions ?? []).map((_, i) => ofSession(plan, i));
    for (const session of bySession) if (!drinks(session)) expect(ends(session)).toBe(false);
    expect(ends(plan)).toBe(bySession.some(ends));
  });
});

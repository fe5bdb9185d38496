import { DEMO_SHOP, wagonBuilds } from '../demo';
import type { BuildDocument } from '../formats';
import { likelihoodOf, planBuild } from '../plan';
import { likelyChanges } from './likelier';

// Each change is planned and simulated two thousand times.
jest.setTimeout(120_000);

function changesOf(build: BuildDocument) {
  return [...likelyChanges(planBuild(build, DEMO_SHOP), DEMO_SHOP)];
}

const posts = wagonBuilds().find(({ id }) => id === 'lamp-posts')?.build;
if (posts === undefined) throw new Error('no lamp posts in the demo');
const inOneGo: BuildDocument = { ...posts, crew: 1, preSet: false };
delete inOneGo.order;

describe('what would change the likelihood', () => {
  const changes = changesOf(inOneGo);
  const codes = changes.map(({ change }) => change.code);

  it('names hands, clamps laid out, other glues and other hours', () => {
    expect(codes).toEqual(
      expect.arrayContaining(['one-more-pair', 'preset-clamps', 'use-glue', 'other-hour']),
    );
  });

  it('states what really comes when the change is made', () => {
    for (const { build, likelihood } of changes) {
      expect(likelihoodOf(planBuild(build, DEMO_SHOP))).toEqual(likelihood);
    }
  });

  it('never loses by clamps laid out beforehand', () => {
    const before = likelihoodOf(planBuild(inOneGo, DEMO_SHOP));
    const preset = changes.find(({ change }) => change.code === 'preset-clamps');
    expect(preset?.likelihood.share).toBeGreaterThanOrEqual(before?.share ?? 1);
  });

  it('cuts the tightest session in two, every joint still glued once, and gains by it', () => {
    const ids = planBuild(inOneGo, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
    const slow: BuildDocument = { ...inOneGo, order: { sessions: [ids], pinned: [] } };
    const shop = { ...DEMO_SHOP, paceFactor: 2.5 };
    const plan = planBuild(slow, shop);
    const cut = [...likelyChanges(plan, shop)].find(({ change }) => change.code === 'one-more-session');
    expect(cut?.build.order?.sessions).toHaveLength(2);
    expect(cut?.build.order?.sessions.flat().sort()).toEqual([...ids].sort());
    expect(cut?.likelihood.share).toBeGreaterThanOrEqual(likelihoodOf(plan)?.share ?? 1);
  });
});

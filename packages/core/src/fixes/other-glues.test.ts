import { findAdhesive } from '../adhesives';
import { PLAIN_JOB } from '../choice';
import { planBuild } from '../plan';
import { newBuild } from '../templates';
import { maplePanel, TEST_SHOP } from '../test-support/builds';
import { findFixes } from '.';
import { otherGlues } from './other-glues';

const ids = (change: Partial<typeof PLAIN_JOB>, chosen = 'pva-interior') =>
  otherGlues({ ...PLAIN_JOB, ...change }, chosen, TEST_SHOP).map(({ id }) => id);

describe('otherGlues', () => {
  it('proposes a few that can do the job, the gentlest on the clamps among them, never the chosen one', () => {
    const proposed = ids({ service: 'exterior' });
    expect(proposed.length).toBeLessThanOrEqual(4);
    expect(proposed).toContain('pva-exterior');
    expect(proposed.some((id) => ['epoxy-slow', 'epoxy-filled'].includes(id))).toBe(true);
    expect(ids({ service: 'exterior' }, 'pva-exterior')).not.toContain('pva-exterior');
    for (const id of proposed) expect(['exterior', 'wet']).toContain(findAdhesive(id).service);
  });

  it('proposes what fails on time alone where nothing makes it, and nothing where nothing could', () => {
    expect(ids({ openNeedMin: 500 }).length).toBeGreaterThan(0);
    expect(ids({ tempC: -8 })).toEqual([]);
  });
});

describe('wood that was brought in cold', () => {
  const wishes = {
    finish: 'clear',
    repairable: false,
    lastingLoad: false,
    warmC: null,
    clampsOffWithinMin: null,
    noSensitisers: false,
    woodTempC: 3,
  } as const;

  it('refuses the glue of a panel and of an assembly, and letting it warm mends both', () => {
    const panel = planBuild({ ...maplePanel(), wishes }, TEST_SHOP);
    expect(panel.verdicts.inTime).toMatchObject({ state: 'fails', cause: { code: 'wood-too-cold' } });
    const mended = findFixes(panel, TEST_SHOP).inTime.find(({ change }) => change.code === 'warm-the-wood');
    expect(mended?.build.wishes?.woodTempC).toBeNull();
    expect(mended?.after.state).not.toBe('fails');

    const build = {
      ...newBuild(
        { template: 'tenon-frame', name: 'T', project: '', service: 'dry', answers: {} },
        TEST_SHOP,
        () => 'b',
      ),
      wishes,
    };
    const frame = planBuild(build, TEST_SHOP);
    expect(frame.verdicts.inTime.cause.code).toBe('wood-too-cold');
    expect(findFixes(frame, TEST_SHOP).inTime.map(({ change }) => change.code)).toContain('warm-the-wood');
  });
});

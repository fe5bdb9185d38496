import { adhesiveWindow, findAdhesive } from '../adhesives';
import { cleanUpOf, leadMin, stepsBefore } from './around';
import { type GlueJob, PLAIN_JOB } from './job';

const steps = (id: string, change: Partial<GlueJob> = {}) =>
  stepsBefore(findAdhesive(id), { ...PLAIN_JOB, ...change }).map(({ kind }) => kind);

describe('stepsBefore', () => {
  it('sizes end grain only where there is some', () => {
    expect(steps('pva-interior')).toEqual([]);
    expect(steps('pva-interior', { endGrainShare: 0.6 })).toEqual(['size-end-grain']);
    expect(steps('epoxy-slow', { endGrainShare: 0.6 })).toEqual(['prime-thin']);
  });

  it('dampens for a moisture-curing glue in dry air or dry wood', () => {
    expect(steps('polyurethane-foaming')).toEqual([]);
    expect(steps('polyurethane-foaming', { rhPct: 30 })).toEqual(['dampen-one-face']);
    expect(steps('polyurethane-foaming', { mcPct: 6 })).toEqual(['dampen-one-face']);
  });

  it('heats pots and nozzles always', () => {
    expect(steps('hide-hot')).toEqual(['heat-pot', 'warm-parts']);
    expect(steps('polyurethane-hot-melt')).toEqual(['heat-nozzle']);
  });
});

describe('cleanUpOf', () => {
  const how = (id: string, finish: GlueJob['finish'], access: Parameters<typeof cleanUpOf>[3] = 'open') => {
    const adhesive = findAdhesive(id);
    const window = adhesiveWindow(adhesive, {
      tempC: 20,
      rhPct: 50,
      faces: 1,
      traits: PLAIN_JOB.traits,
      mcPct: 9,
    });
    return cleanUpOf(adhesive, window, { finish }, access);
  };

  it('goes by what comes over the wood and by what is planed anyway', () => {
    expect(how('pva-interior', 'paint')?.method).toBe('damp-wipe');
    expect(how('pva-interior', 'stain')?.method).toBe('scrape-wet');
    expect(how('pva-interior', 'clear')?.method).toBe('skin-and-peel');
    expect(how('polyurethane-foaming', 'paint')?.method).toBe('skin-and-peel');
    expect(how('pva-interior', 'clear', 'planed')).toMatchObject({
      method: 'leave-and-plane',
      atMin: { likely: findAdhesive('pva-interior').machineMin },
    });
  });

  it('goes by room: inside corners are wiped for paint, and masked for anything else', () => {
    expect(how('pva-interior', 'paint', 'inside')?.method).toBe('damp-wipe');
    expect(how('pva-interior', 'stain', 'inside')?.method).toBe('peel-masking');
    expect(how('polyurethane-hot-melt', 'paint', 'inside')?.method).toBe('peel-masking');
    // The tape comes off while the glue is rubbery, as it would be peeled.
    expect(how('pva-interior', 'clear', 'inside')?.atMin).toEqual(how('pva-interior', 'clear')?.atMin);
  });

  it('peels while it is rubbery, before clamps come off, and never where it does not set', () => {
    const peel = how('pva-interior', 'clear');
    expect(peel?.atMin.low).toBeGreaterThan(10);
    expect(peel?.atMin.high).toBeLessThan(45);
    const cold = adhesiveWindow(findAdhesive('pva-interior'), {
      tempC: 3,
      rhPct: 50,
      faces: 1,
      traits: PLAIN_JOB.traits,
    });
    expect(cleanUpOf(findAdhesive('pva-interior'), cold, { finish: 'clear' }, 'open')).toBeNull();
  });
});

describe('leadMin', () => {
  const melt = findAdhesive('polyurethane-hot-melt');

  it('is the longest wait, since all of them go on side by side; none where there is nothing to do', () => {
    expect(leadMin([])).toBe(0);
    const steps = stepsBefore(melt, PLAIN_JOB);
    expect(leadMin(steps)).toBe(Math.max(...steps.map(({ waitMin }) => waitMin.likely)));
  });

  it('counts coats that dry before the iron, for any glue that is ironed on', () => {
    const pva = findAdhesive('pva-interior');
    const kinds = (veneer: 'none' | 'iron-on') =>
      stepsBefore(pva, { ...PLAIN_JOB, veneer }).map(({ kind }) => kind);
    expect(kinds('iron-on')).toContain('dry-coats');
    expect(kinds('none')).not.toContain('dry-coats');
  });
});

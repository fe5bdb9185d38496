import { type Adhesive, findAdhesive, listAdhesives, withLabel, BLANK_LABEL } from '../adhesives';
import { deepFreeze } from '../test-support/deep-freeze';
import { whatWouldChange } from './changers';
import { type GlueJob, PLAIN_JOB } from './job';
import { rankAdhesives } from './rank';

const job = (change: Partial<GlueJob>): GlueJob => deepFreeze({ ...PLAIN_JOB, ...change });
const WOODS = PLAIN_JOB.traits;

/** The first glue that can be used. */
function best(change: Partial<GlueJob>, families?: readonly Adhesive[]): string {
  const [first] = rankAdhesives(job(change), families).glues;
  return first === undefined || first.refusals.length > 0 ? 'none' : first.adhesive.id;
}
/** All codes that speak for or against, or refuse, a glue on a job. */
function codesOf(id: string, change: Partial<GlueJob>): string[] {
  const glue = rankAdhesives(job(change)).glues.find(({ adhesive }) => adhesive.id === id);
  return [...(glue?.refusals ?? []), ...(glue?.reasons ?? [])].map(({ code }) => code);
}

/**
 * Jobs as people describe them: what is chosen, the reason that must be among those given for it or against the
 * runner-up, and one change of one circumstance that must flip the choice.
 */
const JOBS: readonly (readonly [
  described: string,
  change: Partial<GlueJob>,
  chosen: string,
  because: readonly [glue: string, code: string],
  flip: Partial<GlueJob>,
  flipped: string,
])[] = [
  [
    'a shelf edge, indoors, nothing special',
    {},
    'pva-long-open',
    ['pva-long-open', 'time-to-spare'],
    { clampsOffWithinMin: 60 },
    'pva-exterior',
  ],
  [
    'a garden bench in a cold, damp shop',
    { service: 'exterior', tempC: 7, rhPct: 75, mcPct: 12 },
    'polyurethane-foaming',
    ['pva-exterior', 'too-cold'],
    { tempC: 18 },
    'pva-exterior',
  ],
  [
    'a bent lamination under lasting stress',
    { lastingLoad: true, openNeedMin: 12, closedNeedMin: 10 },
    'epoxy-slow',
    ['epoxy-slow', 'does-not-creep'],
    { openNeedMin: 5, closedNeedMin: 5, tempC: 12, lastingLoad: false },
    'pva-long-open',
  ],
  [
    'iron-on edging',
    { veneer: 'iron-on' },
    'pva-long-open',
    ['hide-liquid', 'no-iron-on'],
    { veneer: 'sheet' },
    'pva-veneer',
  ],
  [
    'sheet veneer on a panel',
    { veneer: 'sheet', openNeedMin: 5, closedNeedMin: 5 },
    'pva-veneer',
    ['pva-veneer', 'stays-hard-under-veneer'],
    { repairable: true },
    'hide-liquid',
  ],
  [
    'a hall table with one hour of daylight left',
    { clampsOffWithinMin: 60 },
    'pva-exterior',
    ['pva-long-open', 'clamps-on-too-long'],
    { clampsOffWithinMin: 180 },
    'pva-long-open',
  ],
  [
    'softwood trim in sets, clamps round and round',
    { clampsOffWithinMin: 2, openNeedMin: 0.3, closedNeedMin: 0.2 },
    'polyurethane-hot-melt',
    ['pva-interior', 'clamps-on-too-long'],
    { clampsOffWithinMin: 60 },
    'pva-interior',
  ],
  [
    'the same trim in resinous wood, with time to wait',
    {
      clampsOffWithinMin: 60,
      openNeedMin: 0.3,
      closedNeedMin: 0.2,
      traits: { ...WOODS, resinous: true },
    },
    'pva-interior',
    ['polyurethane-hot-melt', 'weaker-on-resin'],
    { clampsOffWithinMin: 2 },
    'polyurethane-hot-melt',
  ],
  [
    'teak decking rails',
    { service: 'exterior', traits: { ...WOODS, oily: true } },
    'polyurethane-foaming',
    ['polyurethane-foaming', 'oily-wood'],
    { traits: WOODS },
    'pva-exterior',
  ],
  [
    'loose joints with gaps of 0.6 mm',
    { gapMm: 0.6 },
    'epoxy-slow',
    ['pva-long-open', 'gap-too-wide'],
    { gapMm: 0.1 },
    'pva-long-open',
  ],
  [
    'a joint with gaps of 2 mm',
    { gapMm: 2 },
    'epoxy-filled',
    ['epoxy-slow', 'gap-too-wide'],
    { gapMm: 0.4 },
    'epoxy-slow',
  ],
  [
    'a chair that shall be repairable',
    { repairable: true },
    'hide-liquid',
    ['hide-liquid', 'comes-apart-again'],
    { repairable: false },
    'pva-long-open',
  ],
  [
    'an old chair, glued with hide before',
    { repairable: true, oldGlue: 'hide' },
    'hide-liquid',
    ['hide-liquid', 'holds-on-old-hide'],
    { service: 'exterior' },
    'pva-exterior',
  ],
  [
    'a big case, alone',
    { openNeedMin: 11, closedNeedMin: 8 },
    'epoxy-slow',
    ['pva-long-open', 'open-too-short'],
    { openNeedMin: 6.5, closedNeedMin: 5 },
    'pva-long-open',
  ],
  [
    'a boat’s hatch',
    { service: 'wet' },
    'epoxy-slow',
    ['pva-exterior', 'service-too-hard'],
    { service: 'exterior' },
    'pva-exterior',
  ],
  [
    'a boat’s hatch in a warm shop by someone allergic to epoxy',
    { service: 'wet', tempC: 23, avoid: ['skin-sensitiser'] },
    'resorcinol',
    ['epoxy-slow', 'to-be-avoided'],
    { tempC: 18 },
    'none',
  ],
  [
    'a shelf over a radiator',
    { warmC: 65 },
    'pva-exterior',
    ['pva-long-open', 'softens-there'],
    { warmC: null },
    'pva-long-open',
  ],
  [
    'damp wood for a gate',
    { service: 'exterior', mcPct: 18 },
    'polyurethane-foaming',
    ['pva-exterior', 'wood-too-wet'],
    { mcPct: 11 },
    'pva-exterior',
  ],
  [
    'a bottle past its time on the shelf',
    {
      shelf: [
        { adhesive: 'pva-long-open', remainingMl: 500, ageMonths: 40, pricePerLitre: null },
        { adhesive: 'hide-liquid', remainingMl: 400, ageMonths: 3, pricePerLitre: null },
      ],
    },
    'hide-liquid',
    ['pva-long-open', 'old-bottle'],
    {
      shelf: [{ adhesive: 'pva-long-open', remainingMl: 500, ageMonths: 4, pricePerLitre: null }],
    },
    'pva-long-open',
  ],
  [
    'wood brought in from a frosty yard',
    { service: 'exterior', tempC: 18, woodTempC: 6 },
    'polyurethane-foaming',
    ['pva-exterior', 'wood-too-cold'],
    { woodTempC: null },
    'pva-exterior',
  ],
  [
    'a kitchen worktop edge',
    { service: 'damp' },
    'pva-exterior',
    ['pva-interior', 'service-too-hard'],
    { gapMm: 0.5 },
    'epoxy-slow',
  ],
  [
    'a split that wants closing at once',
    { openNeedMin: 0.2, closedNeedMin: 0.1, clampsOffWithinMin: 5, avoid: ['isocyanate'] },
    'cyanoacrylate',
    ['cyanoacrylate', 'clamps-off-soon'],
    { clampsOffWithinMin: 60 },
    'pva-interior',
  ],
];

describe('rankAdhesives', () => {
  it.each(JOBS)('%s', (_, change, chosen, [glue, code], flip, flipped) => {
    expect(best(change)).toBe(chosen);
    expect(codesOf(glue, change)).toContain(code);
    expect(best({ ...change, ...flip })).toBe(flipped);
  });

  it('knows at least twenty jobs', () => expect(JOBS.length).toBeGreaterThanOrEqual(20));

  it('adds up what it shows, and puts whatever is refused last', () => {
    for (const [, change] of JOBS) {
      const { glues } = rankAdhesives(job(change));
      expect(glues).toHaveLength(listAdhesives().length);
      const refused = glues.map(({ refusals }) => refusals.length > 0);
      expect([...refused].sort()).toEqual(refused);
      for (const { reasons, sum } of glues) {
        expect(reasons.reduce((total, { weight }) => total + weight, 0)).toBeCloseTo(sum, 9);
      }
    }
  });

  it('names what decides: for the first, or against the second', () => {
    const { deciding, glues } = rankAdhesives(job({ repairable: true }));
    expect(deciding).toMatchObject({ of: 'first', reason: { code: 'comes-apart-again' } });
    const [first, second] = glues;
    expect((first?.sum ?? 0) > (second?.sum ?? 0)).toBe(true);
  });

  it('lets a label beat the catalogue', () => {
    const families = listAdhesives().map((family) =>
      family.id === 'pva-exterior' ? withLabel(family, { ...BLANK_LABEL, minTempC: 4 }) : family,
    );
    const cold = { service: 'exterior', tempC: 6, rhPct: 70, mcPct: 11 } as const;
    expect(best(cold)).toBe('polyurethane-foaming');
    expect(best(cold, families)).toBe('pva-exterior');
  });
});

describe('whatWouldChange', () => {
  it('names only changes that really put another glue first', () => {
    const changes = whatWouldChange(job({}));
    expect(changes.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['outdoors', 'to-come-apart', 'half-millimetre-gap']),
    );
    expect(changes.find(({ code }) => code === 'outdoors')?.adhesive.id).toBe(best({ service: 'exterior' }));
    expect(changes.every(({ adhesive }) => adhesive.id !== best({}))).toBe(true);
  });

  it('says nothing about what is already so', () => {
    expect(whatWouldChange(job({ repairable: true })).map(({ code }) => code)).not.toContain('to-come-apart');
  });
});

describe('withLabel', () => {
  it('replaces what the label says and keeps the rest, by name', () => {
    const own = withLabel(findAdhesive('epoxy-slow'), {
      ...BLANK_LABEL,
      openMin: { low: 30, high: 40 },
      gapMm: 0.6,
    });
    expect(own).toMatchObject({ openMin: { low: 30, likely: 35, high: 40 }, gapMm: 0.6 });
    expect(own.closedMin).toEqual(findAdhesive('epoxy-slow').closedMin);
    expect(own.totalMin).toEqual({ low: 60, likely: 75, high: 90 });
    expect(own.labelled).toEqual(['openMin', 'gapMm']);
    expect(own.clampMin).toEqual(findAdhesive('epoxy-slow').clampMin);
  });

  it('never leaves a total shorter than its open time', () => {
    const own = withLabel(findAdhesive('pva-interior'), { ...BLANK_LABEL, openMin: { low: 20, high: 25 } });
    expect(own.totalMin.low).toBeGreaterThanOrEqual(20);
    expect(own.totalMin.high).toBeGreaterThanOrEqual(25);
  });

  it('is the family itself where the label says nothing', () => {
    expect(withLabel(findAdhesive('hide-hot'), BLANK_LABEL)).toBe(findAdhesive('hide-hot'));
    expect(withLabel(findAdhesive('hide-hot'), null)).toBe(findAdhesive('hide-hot'));
  });
});

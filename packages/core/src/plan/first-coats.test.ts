import { findAdhesive } from '../adhesives';
import { gatherList } from '../bench';
import { DEMO_SHOP } from '../demo';
import { ofCode } from '../findings';
import type { BuildDocument } from '../formats';
import { buildOf } from '../test-support/builds';
import { endGrainOf } from './end-grain';
import { planBuild } from './plan-build';

const plan = (template: string, answers: object, change: Partial<BuildDocument> = {}) =>
  planBuild(
    {
      ...buildOf({
        template,
        name: 'T',
        project: '',
        service: 'dry',
        answers: answers as BuildDocument['answers'],
      }),
      ...change,
    },
    DEMO_SHOP,
  );
const WHITE = { glue: { adhesive: 'pva-interior', method: 'finger', faces: 2 as const } };
const FRAME = {
  sidesMm: [400, 300, 400, 300],
  anglesDeg: [90, 90, 90, 90],
  widthMm: 40,
  thicknessMm: 20,
  chain: 'closed',
};

describe('the first coat on end grain', () => {
  it('is 0.6 of a film on both faces of every mitre, by hand', () => {
    const { totals, adhesive } = plan('mitred-frame', FRAME, WHITE);
    const mitreMm2 = 40 * Math.SQRT2 * 20;
    const grams = ((4 * 2 * mitreMm2) / 1e6) * findAdhesive('pva-interior').spreadGPerM2 * 0.6;
    expect(totals.coatG).toBeCloseTo(grams, 6);
    expect(totals.massG).toBeGreaterThan(totals.coatG);
    expect(totals.volumeMl).toBeCloseTo(totals.massG / adhesive.densityGPerMl, 9);
  });

  it('is counted for every one of a set, and left out where a joint stays dry', () => {
    const one = plan('mitred-post', { staves: 4, posts: 1 }, WHITE);
    const three = plan('mitred-post', { staves: 4, posts: 3 }, WHITE);
    expect(three.totals.coatG).toBeCloseTo(3 * one.totals.coatG, 9);
    const dry = plan('mitred-frame', FRAME, {
      ...WHITE,
      jointNotes: [{ id: 'member-1_member-2', gapMm: null, glued: 'none', reinforcement: 'none' }],
    });
    expect(dry.totals.coatG).toBeCloseTo(0.75 * plan('mitred-frame', FRAME, WHITE).totals.coatG, 9);
  });

  it('primes both slopes of a scarf', () => {
    const { totals, joints, adhesive } = plan('scarf', { widthMm: 60, thicknessMm: 40, ratio: 8 });
    const [scarf] = joints;
    if (scarf === undefined) throw new Error('a scarf is a joint');
    // One face of the slope is 19,350 mm².
    expect(endGrainOf(scarf.facts)).toEqual({
      contactMm2: scarf.facts.contactMm2,
      drinksMm2: 2 * scarf.facts.contactMm2,
    });
    expect(totals.coatG).toBeCloseTo(((2 * 19_349.6) / 1e6) * adhesive.spreadGPerM2 * 0.6, 2);
  });

  it.each([
    ['tenons', 'tenon-frame', {}],
    ['housings', 'case', {}],
    ['lippings', 'edge-banding', { edges: 'long' }],
    ['plies', 'bent-lamination', {}],
    ['edges', 'edge-panel', {}],
    ['veneer', 'veneered-sheet', {}],
  ])('is none for %s, which long grain holds', (_, template, answers) => {
    const { totals } = plan(template, answers, WHITE);
    expect(totals.coatG).toBe(0);
  });

  it('is none where the glue asks for no coat', () => {
    expect(
      plan('mitred-frame', FRAME, { glue: { adhesive: 'cyanoacrylate', method: 'bead', faces: 1 } }).totals
        .coatG,
    ).toBe(0);
  });

  it('stands on the list of what to gather, by itself', () => {
    const build = plan('mitred-frame', FRAME, WHITE);
    expect(ofCode(gatherList(build), 'gather-first-coat')?.values.massG).toBe(build.totals.coatG);
    expect(ofCode(gatherList(build), 'gather-glue')?.values.massG).toBe(build.totals.massG);
    expect(ofCode(gatherList(plan('edge-panel', {})), 'gather-first-coat')).toBeUndefined();
  });
});

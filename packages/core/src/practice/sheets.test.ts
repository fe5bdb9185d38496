import { ofCode } from '../findings';
import type { BuildDocument } from '../formats';
import { glueJobOf, planBuild, type PlanInput, planQuestion } from '../plan';
import { astray, type Expected, PRACTICE_SHOP, practise } from '../test-support/practice';

/** The practice shop with a bag. */
const WITH_BAG = {
  ...PRACTICE_SHOP,
  rack: [
    ...PRACTICE_SHOP.rack,
    {
      id: 'bag',
      kind: 'vacuum',
      count: 1,
      maxOpeningMm: 1500,
      forceN: null,
      padWidthMm: 1000,
      padHeightMm: 1000,
    },
  ],
};
const RESIN = (method: string, faces: 1 | 2) => ({ adhesive: 'epoxy-slow', method, faces });

/** Laminations, bends, sheets, edges, scarfs and breadboards. */
const JOBS: readonly (readonly [name: string, input: PlanInput, expected: Expected])[] = [
  [
    'a pine leg of three layers by one person',
    {
      template: 'face-lamination',
      crew: 1,
      answers: {
        species: 'eastern-white-pine',
        layers: 3,
        layerMm: 28,
        widthMm: 80,
        lengthMm: 720,
        blanks: 1,
      },
    },
    {
      states: { inTime: ['holds', 'close'], tight: ['holds', 'close'] },
      handsOnMin: [4, 9],
      clamps: { 'c-clamp': [4, 6], 'f-heavy': [0, 8], 'parallel-jaw': [0, 4] },
    },
  ],
  [
    'four maple blanks of two layers by two people',
    {
      template: 'face-lamination',
      answers: { species: 'hard-maple', layers: 2, layerMm: 35, widthMm: 70, lengthMm: 500, blanks: 4 },
    },
    { states: { inTime: 'holds', tight: ['holds', 'close'] }, handsOnMin: [2.5, 7] },
  ],
  [
    'a wide oak lamination: the rack cannot give what its faces want',
    {
      template: 'face-lamination',
      answers: { species: 'white-oak', layers: 3, layerMm: 30, widthMm: 300, lengthMm: 1500, blanks: 1 },
    },
    { states: { tight: 'fails' }, causes: { tight: 'pull-short' } },
  ],
  [
    'a chair back of eight plies',
    {
      template: 'bent-lamination',
      answers: {
        species: 'white-ash',
        radiusMm: 600,
        arcDeg: 50,
        thicknessMm: 20,
        widthMm: 50,
        plyMm: 2.5,
        spare: 1,
      },
    },
    {
      states: { inTime: ['holds', 'close'] },
      causes: { flat: 'springback' },
      says: ['bend-plies'],
      handsOnMin: [4, 10],
    },
  ],
  [
    'a quarter round in slow epoxy: many clamps, each just snug',
    {
      template: 'bent-lamination',
      glue: RESIN('trowel', 1),
      answers: {
        species: 'white-ash',
        radiusMm: 400,
        arcDeg: 90,
        thicknessMm: 24,
        widthMm: 60,
        plyMm: 3,
        spare: 1,
      },
    },
    {
      states: { inTime: 'holds', tight: 'holds' },
      clamps: { 'c-clamp': [4, 6], 'f-heavy': [2, 8], 'parallel-jaw': [0, 4] },
      pullN: [100, 900],
    },
  ],
  [
    'both faces of a panel in a bag',
    {
      template: 'veneered-sheet',
      shop: WITH_BAG,
      answers: { lengthMm: 800, widthMm: 500, coreMm: 18, veneerMm: 0.6, overhangMm: 10, faces: 'both' },
    },
    { states: { inTime: ['holds', 'close'], tight: 'holds' }, handsOnMin: [3, 9], massG: [110, 220] },
  ],
  [
    'the same without a bag: borrowed, or pressed between platens',
    {
      template: 'veneered-sheet',
      answers: { lengthMm: 800, widthMm: 500, coreMm: 18, veneerMm: 0.6, overhangMm: 10, faces: 'both' },
    },
    {
      states: { tight: 'fails' },
      causes: { tight: 'no-bag' },
      firstFix: { tight: ['borrow-clamps', 'press-between-platens'] },
    },
  ],
  [
    'veneer on one face of a thin panel: a bow with its range, not a bare refusal',
    {
      template: 'veneered-sheet',
      shop: WITH_BAG,
      answers: { lengthMm: 900, widthMm: 600, coreMm: 12, veneerMm: 0.6, overhangMm: 10, faces: 'one' },
    },
    {
      states: { flat: 'fails' },
      causes: { flat: 'one-sided-bends' },
      firstFix: { flat: 'veneer-both' },
    },
  ],
  [
    'veneer on one face of a small thick block stays within what is wanted',
    {
      template: 'veneered-sheet',
      shop: WITH_BAG,
      answers: { lengthMm: 250, widthMm: 150, coreMm: 30, veneerMm: 0.6, overhangMm: 5, faces: 'one' },
    },
    { states: { flat: ['close', 'holds'] }, causes: { flat: 'one-sided-bends' } },
  ],
  [
    'a wardrobe side veneered in fast glue: too large to close wet',
    {
      template: 'veneered-sheet',
      shop: { ...WITH_BAG, rack: WITH_BAG.rack.map((lot) => ({ ...lot, maxOpeningMm: 2600 })) },
      answers: { lengthMm: 2400, widthMm: 1200, coreMm: 18, veneerMm: 0.6, overhangMm: 10, faces: 'both' },
    },
    { states: { inTime: 'fails' }, causes: { inTime: 'window-missed' } },
  ],
  [
    'a shelf lipped in front, held by tape',
    {
      template: 'edge-banding',
      crew: 1,
      answers: { lengthMm: 900, widthMm: 300, thicknessMm: 18, bandMm: 6, edges: 'front' },
    },
    {
      states: { inTime: 'holds', tight: 'holds' },
      clamps: { tape: [10, 50] },
      handsOnMin: [1.5, 4],
      massG: [1, 5],
    },
  ],
  [
    'all four edges lipped by two people',
    {
      template: 'edge-banding',
      answers: { lengthMm: 600, widthMm: 400, thicknessMm: 18, bandMm: 12, edges: 'all' },
    },
    { states: { inTime: 'holds', tight: 'holds' }, handsOnMin: [3, 8] },
  ],
  [
    'a plank scarfed at eight to one in slow epoxy: feather ends held, hardly any pull',
    {
      template: 'scarf',
      glue: RESIN('stiff-brush', 2),
      answers: { species: 'sitka-spruce', pieces: 2, lengthMm: 4000, widthMm: 60, thicknessMm: 40, ratio: 8 },
    },
    {
      states: { inTime: 'holds', tight: 'holds' },
      clamps: { 'c-clamp': [3, 6] },
      pullInAllN: [600, 1935],
      handsOnMin: [1.5, 5],
    },
  ],
  [
    'a spar of three lengths: mixed glue is at least one cup',
    {
      template: 'scarf',
      glue: RESIN('stiff-brush', 2),
      answers: {
        species: 'sitka-spruce',
        pieces: 3,
        lengthMm: 6000,
        widthMm: 40,
        thicknessMm: 20,
        ratio: 12,
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, massG: [11, 30] },
  ],
  [
    'six short table legs of two layers, three at once under the same clamps with film between',
    {
      template: 'face-lamination',
      glue: { adhesive: 'pva-long-open', method: 'roller', faces: 1 },
      answers: {
        species: 'yellow-poplar',
        layers: 2,
        layerMm: 25,
        widthMm: 55,
        lengthMm: 450,
        blanks: 6,
        ganged: 3,
      },
    },
    {
      states: { inTime: 'holds', tight: 'holds' },
      clamps: { 'f-heavy': [0, 8], 'parallel-jaw': [0, 8], 't-bar': [0, 4], trigger: [0, 6] },
      meanMPa: [0, 1.2],
      says: ['ganged-blanks'],
      massG: [20, 45],
    },
  ],
  [
    'a small table top with breadboard ends, clamps long enough',
    {
      template: 'breadboard',
      answers: {
        panelWidthMm: 600,
        panelLengthMm: 700,
        thicknessMm: 25,
        endWidthMm: 80,
        tongueMm: 30,
        pegs: 5,
        pegMm: 8,
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, clamps: { 't-bar': [0, 3], 'parallel-jaw': [0, 3] } },
  ],
  [
    'the same with glue all along the ends: the panel splits over the year, and less glue mends it',
    {
      template: 'breadboard',
      answers: { panelWidthMm: 600, panelLengthMm: 700, thicknessMm: 25, endWidthMm: 80, tongueMm: 30 },
      jointNotes: [1, 2].map((end) => ({
        id: `panel_breadboard-${end}`,
        gapMm: null,
        glued: 'full' as const,
        reinforcement: 'none' as const,
      })),
    },
    {
      states: { flat: 'fails' },
      causes: { flat: 'glued-across' },
      says: ['glued-across', 'glue-the-middle', 'drill-for-pegs'],
      firstFix: { flat: 'glue-less-across' },
    },
  ],
  [
    'a long table top: its pegs draw the ends home, no clamp over the length',
    {
      template: 'breadboard',
      answers: {
        species: 'white-oak',
        panelWidthMm: 900,
        panelLengthMm: 2200,
        thicknessMm: 30,
        endWidthMm: 100,
        tongueMm: 40,
        pegs: 5,
        pegMm: 10,
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, causes: { tight: 'pegs-draw' }, clamps: {} },
  ],
];

describe('sheets, bends and lengths', () => {
  it.each(JOBS)('%s', (_, input, expected) => {
    expect(astray(practise(input), expected)).toEqual([]);
  });

  it('finds 19,350 mm² in a scarf of 60 × 40 at eight to one', () => {
    const { answer } = practise({
      template: 'scarf',
      answers: { pieces: 2, lengthMm: 4000, widthMm: 60, thicknessMm: 40, ratio: 8 },
    });
    expect(answer.joints[0]?.areaMm2).toBeCloseTo(60 * 40 * Math.sqrt(65), 0);
    expect(Math.round((answer.joints[0]?.areaMm2 ?? 0) / 50) * 50).toBe(19350);
  });

  it('offsets the pegs of hard wood less than those of soft', () => {
    const offset = (species: string) => {
      const { answer } = practise({
        template: 'breadboard',
        answers: {
          species,
          panelWidthMm: 900,
          panelLengthMm: 2200,
          thicknessMm: 30,
          endWidthMm: 100,
          tongueMm: 40,
          pegs: 5,
          pegMm: 10,
        },
      });
      return ofCode([answer.verdicts.tight.cause], 'pegs-draw')?.values.offsetMm ?? NaN;
    };
    expect(offset('white-oak')).toBeLessThan(offset('eastern-white-pine'));
    for (const species of ['white-oak', 'cherry', 'eastern-white-pine']) {
      expect(offset(species)).toBeGreaterThanOrEqual(0.8);
      expect(offset(species)).toBeLessThanOrEqual(1.5);
    }
  });

  it('never takes a bead that nobody spreads for glue on a wide face', () => {
    const { answer, fixes } = practise({
      template: 'veneered-sheet',
      shop: WITH_BAG,
      glue: { adhesive: 'pva-interior', method: 'bead', faces: 1 },
      answers: { lengthMm: 600, widthMm: 400, coreMm: 18, veneerMm: 0.6, overhangMm: 10, faces: 'both' },
    });
    expect(answer.verdicts.tight).toMatchObject({ state: 'close', cause: { code: 'bead-on-wide-face' } });
    const proposed = Object.values(fixes).flat();
    expect(proposed.filter(({ change }) => change.code === 'spread-with')).not.toContainEqual(
      expect.objectContaining({ change: expect.objectContaining({ values: { method: 'bead' } }) as unknown }),
    );
  });

  it('sizes end grain where it holds by itself, not the shoulders of tenons or the ends of lippings', () => {
    const shareOf = (template: string) => {
      const { build, shop } = planQuestion({ template, shop: PRACTICE_SHOP, answers: {} });
      return glueJobOf(planBuild(build as BuildDocument, shop), null).endGrainShare;
    };
    expect(shareOf('mitred-frame')).toBeGreaterThan(0.1);
    expect(shareOf('scarf')).toBeGreaterThan(0.1);
    for (const held of ['tenon-frame', 'slatted-frame', 'edge-banding', 'bent-lamination']) {
      expect(shareOf(held)).toBeLessThan(0.1);
    }
  });
});

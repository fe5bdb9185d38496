import type { BuildDocument } from '../formats';
import { planBuild, type PlanInput, planQuestion } from '../plan';
import { ASPECTS, windowUses } from '../verdicts';
import { astray, type Expected, PRACTICE_SHOP, practise } from '../test-support/practice';

const OUTDOORS = { adhesive: 'pva-exterior', method: 'roller', faces: 1 as const };
const RESIN = { adhesive: 'epoxy-slow', method: 'roller', faces: 2 as const };
const alone = { crew: 1 };
const PIPES = {
  id: 'pipes',
  kind: 'pipe',
  count: 24,
  maxOpeningMm: 1200,
  forceN: null,
  padWidthMm: 45,
  padHeightMm: 50,
};

/** More work as it comes in at the door: other woods, sizes, glues and hands. */
const JOBS: readonly (readonly [name: string, input: PlanInput, expected: Expected])[] = [
  [
    'two boards for a small box lid, alone',
    {
      template: 'edge-panel',
      ...alone,
      answers: { species: 'cherry', boards: 2, widthMm: 180, lengthMm: 300, thicknessMm: 12 },
    },
    {
      states: { inTime: 'holds', tight: 'holds', square: 'holds' },
      handsOnMin: [1.5, 4],
      clamps: { 'f-heavy': [1, 4], 'parallel-jaw': [0, 3] },
      massG: [0.3, 2],
    },
  ],
  [
    'a teak table for the garden in exterior glue',
    {
      template: 'edge-panel',
      service: 'exterior',
      glue: OUTDOORS,
      answers: { species: 'teak', boards: 5, widthMm: 700, lengthMm: 800, thicknessMm: 28 },
    },
    { states: { inTime: ['holds', 'close'] }, handsOnMin: [4, 10], massG: [10, 30] },
  ],
  [
    'interior glue on the same table: whatever presses, it would not stand',
    {
      template: 'edge-panel',
      service: 'exterior',
      glue: { adhesive: 'pva-interior', method: 'roller', faces: 1 },
      answers: { species: 'teak', boards: 3, widthMm: 300, lengthMm: 800, thicknessMm: 28 },
    },
    { states: { tight: 'fails' }, causes: { tight: 'service-too-hard' }, firstFix: { tight: 'use-glue' } },
  ],
  [
    'a maple worktop in slow epoxy: hardly any pull, hours of time',
    {
      template: 'edge-panel',
      glue: RESIN,
      answers: { species: 'hard-maple', boards: 4, widthMm: 500, lengthMm: 900, thicknessMm: 30 },
    },
    { states: { inTime: 'holds', tight: 'holds' }, meanMPa: [0.03, 0.1], massG: [20, 80] },
  ],
  [
    'a cold workshop refuses the white glue',
    {
      template: 'edge-panel',
      climate: { tempC: 7, rhPct: 60 },
      answers: { species: 'cherry', boards: 3, widthMm: 240, lengthMm: 600, thicknessMm: 20 },
    },
    { states: { inTime: 'fails' }, causes: { inTime: 'too-cold' } },
  ],
  [
    'a hot dry afternoon takes the time away from one person',
    {
      template: 'edge-panel',
      ...alone,
      climate: { tempC: 33, rhPct: 20 },
      answers: { species: 'cherry', boards: 5, widthMm: 500, lengthMm: 800, thicknessMm: 20 },
    },
    { states: { inTime: 'fails' }, causes: { inTime: 'window-missed' } },
  ],
  [
    'a live-edge bench seat of two planks',
    {
      template: 'round-panel',
      answers: {
        outline: 'live-edge',
        species: 'red-alder',
        boards: 2,
        lengthMm: 1100,
        widthMm: 420,
        thicknessMm: 40,
        blockMm: 80,
      },
    },
    { states: { inTime: 'holds' }, says: ['scribed-blocks'], handsOnMin: [2, 7] },
  ],
  [
    'a slab of soft fir without cauls',
    {
      template: 'heavy-slab',
      answers: {
        species: 'douglas-fir',
        planks: 2,
        widthMm: 400,
        lengthMm: 900,
        thicknessMm: 45,
        caulPairs: 0,
      },
    },
    { states: { inTime: 'holds', tight: ['holds', 'close'] }, handsOnMin: [2, 6] },
  ],
  [
    'a single crack in a drawer front',
    {
      template: 'reglue',
      ...alone,
      answers: { species: 'southern-pine', pieces: 2, widthMm: 140, lengthMm: 500, thicknessMm: 16 },
    },
    { states: { inTime: 'holds', tight: 'holds' }, handsOnMin: [1.5, 5], massG: [0.5, 4] },
  ],
  [
    'a mallet head of two layers',
    {
      template: 'face-lamination',
      ...alone,
      answers: { species: 'beech', layers: 2, layerMm: 40, widthMm: 80, lengthMm: 140, blanks: 1 },
    },
    { states: { inTime: 'holds' }, handsOnMin: [1, 4], massG: [1, 6] },
  ],
  [
    'a leg of eight thin layers in long-open glue',
    {
      template: 'face-lamination',
      glue: { adhesive: 'pva-long-open', method: 'roller', faces: 1 },
      answers: { species: 'yellow-poplar', layers: 8, layerMm: 8, widthMm: 60, lengthMm: 700, blanks: 1 },
    },
    { states: { inTime: ['holds', 'close'] }, handsOnMin: [4, 12] },
  ],
  [
    'a three-sided vase',
    {
      template: 'mitred-post',
      ...alone,
      answers: { staves: 3, acrossFlatsMm: 90, thicknessMm: 10, lengthMm: 200, posts: 1 },
    },
    { states: { inTime: 'holds', tight: 'holds' }, handsOnMin: [1, 4] },
  ],
  [
    'twelve staves for a barrel stand',
    {
      template: 'mitred-post',
      glue: { adhesive: 'pva-long-open', method: 'bead', faces: 1 },
      answers: { staves: 12, acrossFlatsMm: 400, thicknessMm: 20, lengthMm: 500, posts: 1 },
    },
    { states: { inTime: 'holds', tight: 'holds' }, clamps: { band: [2, 2], 'elastic-wrap': [0, 8] } },
  ],
  [
    'a triangular pennant frame: its sharp corners want the saw past 45°',
    {
      template: 'mitred-frame',
      ...alone,
      answers: {
        sidesMm: [500, 500, 500],
        anglesDeg: [60, 60, 60],
        widthMm: 35,
        thicknessMm: 18,
        chain: 'closed',
      },
    },
    { states: { inTime: 'holds' }, says: ['saw-past-45'], causes: { square: 'last-mitre-opens' } },
  ],
  [
    'a large poster frame with wide members',
    {
      template: 'mitred-frame',
      answers: {
        sidesMm: [1000, 700, 1000, 700],
        anglesDeg: [90, 90, 90, 90],
        widthMm: 80,
        thicknessMm: 22,
        chain: 'closed',
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, causes: { square: 'diagonals-unread' } },
  ],
  [
    'a screen door with one middle rail, alone',
    {
      template: 'tenon-frame',
      ...alone,
      service: 'exterior',
      glue: { adhesive: 'pva-exterior', method: 'joint-brush', faces: 2 },
      answers: {
        widthMm: 800,
        heightMm: 1900,
        memberMm: 90,
        thicknessMm: 30,
        midRails: 1,
        tenonMm: 60,
        joinery: 'mortise-tenon',
      },
    },
    {
      states: { inTime: ['holds', 'close'], tight: 'holds' },
      clamps: { 'parallel-jaw': [0, 3], 't-bar': [0, 3] },
    },
  ],
  [
    'a tall slatted screen with three rails, slow glue',
    {
      template: 'slatted-frame',
      glue: { adhesive: 'pva-long-open', method: 'joint-brush', faces: 1 },
      answers: {
        rails: 3,
        slats: 8,
        betweenLegsMm: 700,
        heightMm: 1200,
        railMm: 40,
        slatWidthMm: 30,
        slatThicknessMm: 12,
      },
    },
    { states: { tight: 'holds' }, clamps: { 't-bar': [0, 3], 'parallel-jaw': [0, 3] }, says: ['stack-sum'] },
  ],
  [
    'a blanket chest in rebates',
    {
      template: 'case',
      answers: {
        widthMm: 800,
        heightMm: 450,
        depthMm: 400,
        thicknessMm: 20,
        shelves: 0,
        backStrips: 0,
        corners: 'rebate',
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, clamps: { 't-bar': [0, 4], 'parallel-jaw': [0, 4] } },
  ],
  [
    'a cutting board with breadboard ends, alone',
    {
      template: 'breadboard',
      ...alone,
      answers: {
        species: 'hard-maple',
        panelWidthMm: 300,
        panelLengthMm: 400,
        thicknessMm: 25,
        endWidthMm: 50,
        tongueMm: 20,
        pegs: 3,
        pegMm: 6,
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, says: ['peg-slot'] },
  ],
  [
    'a bench leg laminated under pipe clamps, the only ones there are: their handles want room, so it is a little lightly pressed',
    {
      template: 'face-lamination',
      shop: { ...PRACTICE_SHOP, rack: [PIPES] },
      answers: { layers: 3, layerMm: 28, widthMm: 85, lengthMm: 800 },
    },
    { states: { tight: ['holds', 'close'] }, clamps: { pipe: [6, 24] } },
  ],
  [
    'two rails at 120° over blocks under parallel jaws',
    {
      template: 'odd-angle',
      shop: { ...PRACTICE_SHOP, rack: [{ ...PIPES, id: 'jaws', kind: 'parallel-jaw', count: 4 }] },
      answers: { angleDeg: 120, firstMm: 400, secondMm: 400, widthMm: 60, thicknessMm: 25 },
    },
    { states: { inTime: 'holds', tight: 'holds' }, clamps: { 'parallel-jaw': [1, 2] }, pullN: [50, 2500] },
  ],
  [
    'a curved drawer front of thin plies over a form',
    {
      template: 'bent-lamination',
      answers: {
        species: 'cherry',
        radiusMm: 1200,
        arcDeg: 25,
        thicknessMm: 18,
        widthMm: 120,
        plyMm: 3,
        spare: 1,
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, pullN: [50, 2000], says: ['bend-plies'] },
  ],
  [
    'a thick lipping all round a worktop, tape alone',
    {
      template: 'edge-banding',
      answers: { lengthMm: 1500, widthMm: 600, thicknessMm: 25, bandMm: 20, edges: 'all' },
    },
    { states: { inTime: ['holds', 'close', 'fails'] }, clamps: { tape: [20, 400] } },
  ],
  [
    'an oar lengthened at twelve to one',
    {
      template: 'scarf',
      glue: { adhesive: 'epoxy-slow', method: 'stiff-brush', faces: 2 },
      answers: {
        species: 'sitka-spruce',
        pieces: 2,
        lengthMm: 2400,
        widthMm: 45,
        thicknessMm: 45,
        ratio: 12,
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, pullInAllN: [300, 2500] },
  ],
  [
    'a chair arm at 135°',
    {
      template: 'odd-angle',
      ...alone,
      answers: { angleDeg: 135, firstMm: 350, secondMm: 300, widthMm: 50, thicknessMm: 28 },
    },
    { states: { inTime: 'holds', tight: ['holds', 'close'] }, says: ['blocks-at'] },
  ],
  [
    'architraves for ten doors in hot melt',
    {
      template: 'trim-set',
      answers: { openingWidthMm: 800, openingHeightMm: 2000, widthMm: 60, thicknessMm: 18, sets: 10 },
    },
    { states: { tight: 'holds' }, clamps: { 'pointed-spring': [4, 8] } },
  ],
];

/** Share of the tightest window that is left over. */
function marginOf(input: PlanInput): number {
  const { build, shop } = planQuestion({ shop: PRACTICE_SHOP, ...input });
  return Math.min(1, ...windowUses(planBuild(build as BuildDocument, shop)).map(({ margin }) => margin));
}

describe('more work', () => {
  it.each(JOBS)('%s', (_, input, expected) => {
    expect(astray(practise(input), expected)).toEqual([]);
  });

  it.each(JOBS)('%s: no fix makes anything red, and each is what it says', (_, input) => {
    const { answer, fixes } = practise(input);
    for (const aspect of ASPECTS) {
      for (const fix of fixes[aspect]) {
        for (const other of ASPECTS) {
          if (answer.verdicts[other].state !== 'fails') expect(fix.states[other]).not.toBe('fails');
        }
        expect(fix.states[aspect]).toBe(fix.after.state);
      }
    }
  });

  it('keeps what a second person adds: never later than alone', () => {
    for (const [, input] of JOBS.slice(0, 12)) {
      const at = (crew: number) => marginOf({ ...input, crew });
      expect(at(2)).toBeGreaterThanOrEqual(at(1) - 1e-6);
    }
  });

  it('never proposes to borrow what the rack holds', () => {
    for (const [, input] of JOBS) {
      const { fixes } = practise(input);
      const borrowed = Object.values(fixes)
        .flat()
        .flatMap(({ change }) => (change.code === 'borrow-clamps' ? [change.values] : []));
      for (const { kind, count } of borrowed) {
        const have = PRACTICE_SHOP.rack
          .filter((lot) => lot.kind === kind)
          .reduce((sum, lot) => sum + lot.count, 0);
        expect(count).toBeGreaterThan(0);
        expect([kind, have < 40]).toEqual([kind, true]);
      }
    }
  });
});

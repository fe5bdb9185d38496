import { ofCode } from '../findings';
import { astray, type Expected, practise } from '../test-support/practice';
import type { PlanInput } from '../plan';

/** Jobs side by side: panels, round tops, slabs, reglues. */
const JOBS: readonly (readonly [name: string, input: PlanInput, expected: Expected])[] = [
  [
    'a walnut shelf of four boards, two people',
    {
      template: 'edge-panel',
      answers: { species: 'black-walnut', boards: 4, widthMm: 360, lengthMm: 700, thicknessMm: 18 },
    },
    {
      states: { inTime: 'holds', tight: 'holds', square: 'holds', flat: 'holds' },
      handsOnMin: [3, 6],
      clamps: { 'f-heavy': [4, 6] },
      pullN: [1500, 4000],
      meanMPa: [0.9, 1.2],
      massG: [5, 10],
    },
  ],
  [
    'three narrow boards of soft pine: blocks lie under the jaws from the start',
    {
      template: 'edge-panel',
      crew: 1,
      answers: { species: 'eastern-white-pine', boards: 3, widthMm: 250, lengthMm: 500, thicknessMm: 20 },
    },
    {
      states: { inTime: 'holds', tight: 'holds', square: 'holds', flat: 'holds' },
      handsOnMin: [3, 6],
      clamps: { 'f-heavy': [2, 4] },
      meanMPa: [0.7, 1],
    },
  ],
  [
    'the same pine with bare jaws: they bite, and blocks come first',
    {
      template: 'edge-panel',
      crew: 1,
      row: { edge: { kind: 'bare', thicknessMm: 20 } } as PlanInput['row'],
      answers: { species: 'eastern-white-pine', boards: 3, widthMm: 250, lengthMm: 500, thicknessMm: 20 },
    },
    { states: { tight: 'fails' }, causes: { tight: 'jaw-crushes' }, firstFix: { tight: 'use-blocks' } },
  ],
  [
    'a big oak top by one person in fast glue: too slow by far',
    {
      template: 'edge-panel',
      crew: 1,
      answers: { species: 'red-oak', boards: 6, widthMm: 900, lengthMm: 1400, thicknessMm: 26 },
    },
    { states: { inTime: 'fails' }, causes: { inTime: 'window-missed' }, handsOnMin: [9, 16] },
  ],
  [
    'the same with more hands and the slower exterior glue gets its time back',
    {
      template: 'edge-panel',
      crew: 2,
      service: 'exterior',
      glue: { adhesive: 'pva-exterior', method: 'roller', faces: 1 },
      answers: { species: 'red-oak', boards: 4, widthMm: 600, lengthMm: 800, thicknessMm: 22 },
    },
    { states: { inTime: 'holds' }, handsOnMin: [3, 9] },
  ],
  [
    'a cold damp evening: the boards have lain in the shop for weeks, and are as dry as ever',
    {
      template: 'edge-panel',
      answers: { species: 'hard-maple', boards: 3, widthMm: 240, lengthMm: 600, thicknessMm: 20 },
      climate: { tempC: 12, rhPct: 92 },
    },
    { states: { inTime: 'holds', tight: 'holds', square: 'holds', flat: 'holds' }, handsOnMin: [3, 6] },
  ],
  [
    'boards read wet: the glue refuses them, whatever presses',
    {
      template: 'edge-panel',
      answers: { species: 'hard-maple', boards: 3, widthMm: 240, lengthMm: 600, thicknessMm: 20 },
      partNotes: [{ id: 'board-2', species: null, mcPct: 19, condition: 'fresh' }],
    },
    { states: { tight: 'fails' }, causes: { tight: 'wood-too-wet' } },
  ],
  [
    'a round top: the pull comes down its middle, so that the ends of the longest lines starve',
    {
      template: 'round-panel',
      answers: {
        outline: 'oval',
        species: 'white-ash',
        boards: 6,
        widthMm: 900,
        lengthMm: 900,
        thicknessMm: 24,
        blockMm: 90,
      },
    },
    { states: { square: 'holds', tight: ['close', 'fails'] }, says: ['block-reach'] },
  ],
  [
    'the same top glued square and sawn round afterwards: no blocks, every line to its ends',
    {
      template: 'round-panel',
      answers: {
        outline: 'oval-after',
        species: 'white-ash',
        boards: 6,
        widthMm: 900,
        lengthMm: 900,
        thicknessMm: 24,
      },
    },
    { states: { square: 'holds', tight: ['holds', 'close'] }, says: ['sawn-after'] },
  ],
  [
    'an oval seat pressed between scribed blocks',
    {
      template: 'round-panel',
      answers: {
        outline: 'oval',
        species: 'red-alder',
        boards: 3,
        widthMm: 360,
        lengthMm: 420,
        thicknessMm: 22,
        blockMm: 80,
      },
    },
    { states: { inTime: 'holds', square: 'holds' }, handsOnMin: [2, 7] },
  ],
  [
    'an alder slab of three planks, cauls across',
    {
      template: 'heavy-slab',
      answers: {
        species: 'red-alder',
        planks: 3,
        widthMm: 500,
        lengthMm: 1200,
        thicknessMm: 40,
        caulPairs: 3,
      },
    },
    {
      states: { inTime: 'holds', tight: ['holds', 'close'], flat: ['holds', 'close'] },
      handsOnMin: [5, 10],
      massG: [20, 45],
    },
  ],
  [
    'two heavy planks of oak: more pull wanted than a small rack gives',
    {
      template: 'heavy-slab',
      answers: {
        species: 'white-oak',
        planks: 2,
        widthMm: 700,
        lengthMm: 2000,
        thicknessMm: 50,
        caulPairs: 4,
      },
    },
    { states: { inTime: 'holds', tight: 'fails' }, causes: { tight: 'line-under-pressed' } },
  ],
  [
    'a broken chair seat, scraped and glued again by one person',
    {
      template: 'reglue',
      crew: 1,
      answers: { species: 'beech', pieces: 2, widthMm: 300, lengthMm: 420, thicknessMm: 20 },
    },
    {
      states: { inTime: 'holds', tight: 'holds', square: 'holds' },
      handsOnMin: [2.5, 5],
      clamps: { 'f-heavy': [2, 4] },
      says: ['pull-lifts-middle'],
    },
  ],
  [
    'a table top in three pieces: pull short of what oak wants, said so',
    {
      template: 'reglue',
      answers: { species: 'white-oak', pieces: 3, widthMm: 800, lengthMm: 1400, thicknessMm: 25 },
    },
    { states: { inTime: ['holds', 'close'], tight: ['close', 'fails'] }, handsOnMin: [5, 10] },
  ],
];

describe('side by side', () => {
  it.each(JOBS)('%s', (_, input, expected) => {
    expect(astray(practise(input), expected)).toEqual([]);
  });

  it('presses a round top in proportion to one over its chords', () => {
    const { answer } = practise({
      template: 'round-panel',
      answers: {
        outline: 'oval',
        species: 'white-ash',
        boards: 6,
        widthMm: 900,
        lengthMm: 900,
        thicknessMm: 24,
        blockMm: 90,
      },
    });
    const chords = answer.joints.map(({ lengthMm }) => lengthMm);
    [670.8, 848.5, 900, 848.5, 670.8].forEach((chord, i) => expect(chords[i]).toBeCloseTo(chord, 1));
    const pullN = answer.clamps.reduce((sum, { plannedN }) => sum + plannedN, 0);
    for (const { pressure, lengthMm } of answer.joints) {
      const carriedN = (pressure?.meanMPa ?? 0) * lengthMm * 24;
      expect(Math.abs(carriedN / pullN - 1)).toBeLessThan(0.01);
    }
  });

  it('squeezes rough stock lightly only with a glue that fills, and names its second squeeze', () => {
    const rough = (adhesive: string) =>
      practise({
        template: 'edge-panel',
        service: 'exterior',
        glue: { adhesive, method: 'roller', faces: 2 },
        row: { school: 'light' } as PlanInput['row'],
        answers: { species: 'douglas-fir', boards: 2, widthMm: 300, lengthMm: 900, thicknessMm: 35 },
      }).answer;
    const foaming = rough('polyurethane-foaming');
    expect(['holds', 'close']).toContain(foaming.verdicts.tight.state);
    const again = foaming.sessions[0]?.operations.find(({ id }) => id === 'tighten:again');
    expect(again?.wait?.until).toBe('drags');
    const fuse = foaming.sessions[0]?.fuses[0];
    expect(again?.endMin).toBeLessThanOrEqual(0.8 * (fuse?.totalMin ?? 0) + 1e-9);
    expect(rough('pva-exterior').verdicts.tight.state).toBe('fails');
  });

  it('says which cup, and how far, a wide flat-sawn top moves through the year', () => {
    const { answer } = practise({
      template: 'reglue',
      answers: { species: 'white-oak', pieces: 3, widthMm: 800, lengthMm: 1400, thicknessMm: 25 },
    });
    expect(answer.verdicts.flat.cause.code).toBe('moisture-cup');
    expect(ofCode([answer.verdicts.flat.cause], 'moisture-cup')?.values.mm).toBeGreaterThan(0.2);
  });
});

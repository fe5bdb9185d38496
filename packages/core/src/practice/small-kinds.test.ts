import type { PlanInput } from '../plan';
import { astray, type Expected, practise } from '../test-support/practice';

/** Iron-on edges, seams, casings, planks, and what comes apart: small work, as it is done at the bench. */
const JOBS: readonly (readonly [name: string, input: PlanInput, expected: Expected])[] = [
  [
    'a curved plywood valance edged with ash, ironed on by one person',
    {
      template: 'dried-film',
      crew: 1,
      answers: { on: 'curved-edge', lengthMm: 900, radiusMm: 700, thicknessMm: 15, veneerMm: 0.7 },
    },
    {
      states: { inTime: 'holds', tight: 'holds' },
      causes: { tight: 'iron-presses' },
      clamps: {},
      handsOnMin: [4, 12],
      massG: [3, 14],
      says: ['iron-within'],
    },
  ],
  [
    'a drawer front of walnut veneer, too large to iron at once',
    {
      template: 'dried-film',
      crew: 1,
      answers: { on: 'face', veneerSpecies: 'black-walnut', lengthMm: 700, widthMm: 220, veneerMm: 0.6 },
    },
    { states: { tight: 'holds' }, clamps: {}, says: ['iron-in-fields'], handsOnMin: [8, 25] },
  ],
  [
    'a solid lipping of five millimetres is nothing for an iron',
    { template: 'dried-film', crew: 1, answers: { veneerMm: 5, lengthMm: 600 } },
    { states: { inTime: 'holds', tight: 'fails' }, causes: { tight: 'too-thick-to-iron' }, clamps: {} },
  ],
  [
    'two leaves of cherry for a table top',
    { template: 'veneer-seam', crew: 1, answers: { species: 'cherry', lengthMm: 1100, leafMm: 260 } },
    {
      states: { inTime: 'holds', tight: 'holds' },
      clamps: { tape: [16, 24] },
      handsOnMin: [0.8, 4],
      massG: [0.05, 1],
      says: ['seam-tape'],
    },
  ],
  [
    'a fan of six leaves, seam by seam',
    { template: 'veneer-seam', answers: { species: 'black-walnut', leaves: 6, leafMm: 110, lengthMm: 500 } },
    { states: { inTime: 'holds', tight: 'holds' }, clamps: { tape: [45, 60] }, handsOnMin: [2, 8] },
  ],
  [
    'twelve cedar planks of a small boat',
    { template: 'strip-planking', answers: { planks: 12, lengthMm: 4200, plankMm: 25, thicknessMm: 8 } },
    {
      states: { inTime: 'holds', tight: 'holds' },
      handsOnMin: [4, 14],
      massG: [60, 260],
      says: ['planks-held-every'],
    },
  ],
  [
    'thin narrow strips want holding closer',
    {
      template: 'strip-planking',
      answers: { planks: 4, lengthMm: 1200, plankMm: 8, thicknessMm: 4, ratio: 6 },
    },
    { states: { inTime: 'holds' }, handsOnMin: [2, 10] },
  ],
  [
    'a casing for a hatch, corner by corner with hot melt',
    {
      template: 'casing',
      crew: 1,
      answers: { openingWidthMm: 520, openingHeightMm: 290, widthMm: 60, thicknessMm: 18 },
    },
    {
      states: { inTime: ['holds', 'close'], tight: 'holds', square: 'holds' },
      causes: { square: 'free-end-splays' },
      clamps: { 'pointed-spring': [2, 2] },
      handsOnMin: [1, 3],
      says: ['feet-stay-apart'],
    },
  ],
  [
    'a door casing, whose legs are long enough to wander',
    {
      template: 'casing',
      answers: { openingWidthMm: 820, openingHeightMm: 2040, widthMm: 90, thicknessMm: 20, sets: 2 },
    },
    { states: { square: ['close', 'fails'] }, causes: { square: 'free-end-splays' } },
  ],
  [
    'a round stool seat that came apart',
    {
      template: 'reglue',
      crew: 1,
      answers: {
        shape: 'round-top',
        species: 'beech',
        pieces: 3,
        widthMm: 360,
        lengthMm: 360,
        thicknessMm: 26,
      },
    },
    { states: { inTime: 'holds' }, says: ['block-reach', 'pull-lifts-middle'], handsOnMin: [2, 8] },
  ],
  [
    'a crack in a chair seat',
    {
      template: 'reglue',
      crew: 1,
      answers: { shape: 'crack', species: 'beech', widthMm: 400, lengthMm: 380, thicknessMm: 30 },
    },
    {
      states: { inTime: 'holds', tight: ['holds', 'close'] },
      says: ['crack-to-its-end', 'pull-lifts-middle'],
      handsOnMin: [1.5, 6],
    },
  ],
  [
    'a tenon frame with one half-lapped middle rail',
    {
      template: 'tenon-frame',
      answers: {
        species: 'cherry',
        widthMm: 600,
        heightMm: 1000,
        memberMm: 60,
        tenonMm: 38,
        railJoinery: ['', 'half-lap'],
      },
    },
    { states: { inTime: 'holds', tight: 'holds' }, sessions: [1, 1] },
  ],
  [
    'a bridled mirror frame: two clamps along it, one through each corner',
    {
      template: 'tenon-frame',
      crew: 1,
      answers: {
        species: 'black-walnut',
        widthMm: 420,
        heightMm: 560,
        memberMm: 45,
        thicknessMm: 21,
        midRails: 0,
        joinery: 'bridle',
      },
    },
    {
      states: { inTime: 'holds', tight: 'holds' },
      clamps: { 'c-clamp': [4, 4], 'f-heavy': [0, 2], trigger: [0, 2], 'parallel-jaw': [0, 2] },
      handsOnMin: [3, 8],
    },
  ],
  [
    'a picture frame left open on one side, banded over a spacer',
    { template: 'mitred-frame', answers: { chain: 'open', pressed: 'band-with-spacer' } },
    { clamps: { band: [1, 2] }, says: ['band-wants-spacer'] },
  ],
];

describe('small work', () => {
  it.each(JOBS)('%s', (_, input, expected) => {
    expect(astray(practise(input), expected)).toEqual([]);
  });
});

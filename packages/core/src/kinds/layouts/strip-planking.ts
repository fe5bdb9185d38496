import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import { resolveSpecies } from '../../materials';
import { box, extruded, solidOf, type Vec2 } from '../../solids';
import type { LayOut } from '../kind';
import type { STRIP_PLANKING } from '../strip-planking';
import { BAR_CLAMPS, joint, PADS_MM, part, partId, X, Y, Z } from './pieces';

/** Thick glue fills so much between two places where a plank is held down [judgement], mm. */
const FILLED_MM = 0.5;
/** What a thick slow glue pushes back with while it is squeezed out, MPa: the least that such glues want. */
const PUSHES_BACK_MPA = 0.03;
/** Nothing is held further apart than this, whatever the sum says [judgement], mm. */
const NEVER_FURTHER_MM = 400;
/** A pad under the jaw of a clamp reaches along this much of a scarf [judgement], mm. */
const PAD_MM = 80;
/** Clamps for the feather ends of a scarf reach over its width. */
const SCARF_CLAMPS = ['c-clamp', 'f-light', 'f-heavy', 'trigger', 'hand-screw', 'spring', 'parallel-jaw'];
/** What keeps a plank down on the one below. */
const EDGE_CLAMPS = ['spring', 'trigger', 'f-light', 'c-clamp', 'tape', ...BAR_CLAMPS];

/**
 * How far apart a plank may be held down on its edge: a beam held at both ends of a span opens by q·s⁴/(384·E·I) in its middle
 * under what the glue pushes back with, and the glue fills that much; never past 400 mm. Source: beam theory.
 */
export function heldEveryMm(plankMm: number, thicknessMm: number, moeMPa: number): number {
  const inertia = (thicknessMm * plankMm ** 3) / 12;
  const q = PUSHES_BACK_MPA * thicknessMm;
  return Math.min(NEVER_FURTHER_MM, ((384 * moeMPa * inertia * FILLED_MM) / q) ** 0.25);
}

export const layStripPlanking: LayOut<typeof STRIP_PLANKING> = (
  { species, planks, lengthMm, plankMm: h, thicknessMm: t, ratio },
  { woods },
) => {
  const slope = ratio * t;
  if (slope > lengthMm / 3) {
    throw new InputError(
      'inconsistent',
      'answers.ratio',
      `A scarf of ${Math.round(slope)} mm is too long for planks of ${Math.round(lengthMm)} mm.`,
      `a slope of ${Math.floor(lengthMm / 3 / t)} : 1 or less, or planks from ${Math.ceil(3 * slope)} mm`,
    );
  }
  const middle = lengthMm / 2;
  const outlineOf = (n: 1 | 2): Vec2[] =>
    n === 1
      ? [
          [0, 0],
          [middle - slope / 2, 0],
          [middle + slope / 2, t],
          [0, t],
        ]
      : [
          [middle - slope / 2, 0],
          [lengthMm, 0],
          [lengthMm, t],
          [middle + slope / 2, t],
        ];
  const half = (n: 1 | 2) =>
    part('pole', n, species, solidOf(extruded('z', outlineOf(n), 0, h)), X, [middle + slope / 2, h, t]);
  const scarf = joint('scarf', partId('pole', 1), partId('pole', 2));
  const edges = [1, 2].map((n) => joint('edge', 'board', partId('pole', n)));
  const everyMm = heldEveryMm(h, t, resolveSpecies(species, 'answers.species', woods).properties.eLMPa);
  return {
    parts: [
      // The plank below, glued before.
      {
        ...part('board', 0, species, solidOf(box([0, 0, -h], [lengthMm, t, 0])), X, [lengthMm, h, t]),
        label: 'plank below',
      },
      half(1),
      half(2),
    ],
    joints: [scarf, ...edges],
    oneGo: true,
    inTurn: true,
    pulls: [
      {
        id: 'feather-ends',
        joints: [scarf.id],
        need: 'line',
        stacked: true,
        axis: Y,
        openingMm: t + PADS_MM,
        kinds: SCARF_CLAMPS,
        // A short scarf lies under one pad; else one for each feather end.
        everyMm: Math.max(PAD_MM, Math.hypot(slope, t) / 2),
      },
      {
        id: 'on-edge',
        joints: edges.map(({ id }) => id),
        need: 'line',
        stacked: false,
        axis: Z,
        openingMm: 2 * h + 20,
        kinds: EDGE_CLAMPS,
        everyMm,
      },
    ],
    flat: { kind: 'none' },
    sets: planks,
    findings: [finding('planks-held-every', 'informs', { everyMm, scarfMm: slope })],
  };
};

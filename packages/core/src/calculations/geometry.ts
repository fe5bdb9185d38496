import { Type } from '../basics/type';
import { bounded, oneOf, strictObject } from '../formats';
import {
  angledPull,
  band as computeBand,
  compoundMitre as computeCompound,
  degrees,
  edgeLine as computeEdgeLine,
  flatness as computeFlatness,
  mitrePolygon as computeMitre,
  quad as computeQuad,
  stave as computeStave,
} from '../geometry';
import { LIMITS } from '../basics/limits';
import { calculation } from './calculation';
import { FindingsSchema, NumberOrNull, optional, UsedSchema } from './shared-schemas';

const frameSide = bounded({ min: 5, max: 20000, unit: 'mm' });
const corner = bounded({ min: 5, max: 355, unit: '°' });
const place = bounded({ min: -20000, max: 20000, unit: 'mm' });
const angle = bounded({ min: -360, max: 360, unit: '°' });
const friction = bounded({ min: 0, max: 2, unit: '' });
const staves = Type.Integer({ minimum: 3, maximum: 60 });
const section = bounded({ min: 1, max: 2000, unit: 'mm' });

/** A four-sided frame from sides and diagonals. */
export const quad = calculation({
  name: 'quad',
  doc: 'Whether a four-sided frame is square, racked (clamps can correct it) or has a side of the wrong length (they cannot).',
  input: strictObject({
    ab: frameSide,
    bc: frameSide,
    cd: frameSide,
    da: frameSide,
    ac: frameSide,
    bd: frameSide,
  }),
  output: strictObject({
    anglesDeg: strictObject({ a: Type.Number(), b: Type.Number(), c: Type.Number(), d: Type.Number() }),
    rackMm: Type.Number(),
    lengthErrorMm: Type.Number(),
    longDiagonal: oneOf(['ac', 'bd', 'none']),
    pullMm: Type.Number(),
    verdict: oneOf(['square', 'racked', 'length-error', 'both']),
    residualMm: Type.Number(),
  }),
  example: { ab: 600, bc: 400, cd: 600, da: 400, ac: 722.6, bd: 719.6 },
  compute: computeQuad,
});

/** Cuts and closure of a mitred polygon. */
export const mitrePolygon = calculation({
  name: 'mitre-polygon',
  doc: 'Cut angles of any mitred polygon, whether its outline closes, and where an error of the cuts shows.',
  input: strictObject({
    sidesMm: Type.Array(frameSide, { minItems: 3, maxItems: 60 }),
    anglesDeg: Type.Array(corner, { minItems: 3, maxItems: 60 }),
    memberWidthMm: section,
    cutErrorDeg: optional(bounded({ min: -5, max: 5, unit: '°' })),
  }),
  output: strictObject({
    cutsDeg: Type.Array(Type.Number()),
    sawDeg: Type.Array(Type.Number()),
    closureMm: Type.Number(),
    gapMm: Type.Number(),
    findings: FindingsSchema,
  }),
  example: {
    sidesMm: [500, 300, 500, 300],
    anglesDeg: [90, 90, 90, 90],
    memberWidthMm: 50,
    cutErrorDeg: 0.1,
  },
  compute: (input) => {
    const { cutsDeg, sawDeg, findings, ...rest } = computeMitre(input);
    return { cutsDeg: [...cutsDeg], sawDeg: [...sawDeg], findings: [...findings], ...rest };
  },
});

/** Staves of a coopered post. */
export const stave = calculation({
  name: 'stave',
  doc: 'Width, bevel and bore of equal staves around a post.',
  input: strictObject({ sides: staves, outsideAcrossFlatsMm: section, thicknessMm: section }),
  output: strictObject({
    widthMm: Type.Number(),
    bevelDeg: Type.Number(),
    insideAcrossFlatsMm: Type.Number(),
  }),
  example: { sides: 5, outsideAcrossFlatsMm: 120, thicknessMm: 18 },
  compute: computeStave,
});

/** Saw settings for sides that lean. */
export const compoundMitre = calculation({
  name: 'compound-mitre',
  doc: 'Mitre and blade tilt for equal sides that lean: 0° an upright box, 90° a flat frame.',
  input: strictObject({ sides: staves, slopeDeg: bounded({ min: 0, max: 90, unit: '°' }) }),
  output: strictObject({ mitreDeg: Type.Number(), bladeTiltDeg: Type.Number() }),
  example: { sides: 4, slopeDeg: 15 },
  compute: computeCompound,
});

/** Wind, cup and bow from heights. */
export const flatness = calculation({
  name: 'flatness',
  doc: 'Wind, cup and bow of a surface from heights read at a few places; + when the middle is high.',
  input: strictObject({
    points: Type.Array(strictObject({ xMm: place, yMm: place, zMm: place }), { minItems: 1, maxItems: 400 }),
  }),
  output: strictObject({
    windMm: NumberOrNull,
    cupMm: NumberOrNull,
    bowMm: NumberOrNull,
    residualMm: Type.Number(),
  }),
  example: {
    points: [
      { xMm: 0, yMm: 0, zMm: 0 },
      { xMm: 500, yMm: 0, zMm: 0.4 },
      { xMm: 1000, yMm: 0, zMm: 0.3 },
      { xMm: 0, yMm: 300, zMm: 0.2 },
      { xMm: 500, yMm: 300, zMm: 0.7 },
      { xMm: 1000, yMm: 300, zMm: 0.2 },
      { xMm: 0, yMm: 600, zMm: 0.3 },
      { xMm: 500, yMm: 600, zMm: 0.4 },
      { xMm: 1000, yMm: 600, zMm: 0 },
    ],
  },
  compute: ({ points }) => ({ ...computeFlatness(points) }),
});

/** Shape of a joint's edge from feeler readings. */
export const edgeLine = calculation({
  name: 'edge-line',
  doc: 'Whether an edge is hollow, sprung, wedged or true, from openings at equal steps along it.',
  input: strictObject({ readingsMm: Type.Array(bounded(LIMITS.gapMm), { minItems: 1, maxItems: 200 }) }),
  output: strictObject({
    kind: oneOf(['true', 'hollow', 'sprung', 'wedge']),
    sagMm: Type.Number(),
    wedgeMm: Type.Number(),
  }),
  example: { readingsMm: [0, 0.2, 0.3, 0.2, 0] },
  compute: ({ readingsMm }) => ({ ...computeEdgeLine(readingsMm) }),
});

/** Angle from a gap under a try square. */
export const trySquare = calculation({
  name: 'try-square',
  doc: 'How far a corner is off, from the gap at the end of a square’s blade; + when it opens.',
  input: strictObject({ gapMm: bounded({ min: -50, max: 50, unit: 'mm' }), bladeMm: section }),
  output: strictObject({ errorDeg: Type.Number() }),
  example: { gapMm: 0.4, bladeMm: 150 },
  compute: ({ gapMm, bladeMm }) => ({ errorDeg: degrees(Math.atan2(gapMm, bladeMm)) }),
});

/** A clamp at an angle to its joint. */
export const angledClamp = calculation({
  name: 'angled-clamp',
  doc: 'How much of a pull presses an angled joint and how much slides it, and whether its edge opens.',
  input: strictObject({
    jointAngleDeg: angle,
    pullAngleDeg: angle,
    forceN: bounded(LIMITS.clampForceN),
    offsetMm: bounded({ min: -1000, max: 1000, unit: 'mm' }),
    faceMm: section,
    friction,
  }),
  output: strictObject({
    normalN: Type.Number(),
    slideN: Type.Number(),
    slides: Type.Boolean(),
    edgeRatio: Type.Number(),
  }),
  example: { jointAngleDeg: 30, pullAngleDeg: 110, forceN: 2000, offsetMm: 4, faceMm: 60, friction: 0.12 },
  compute: (input) => ({ ...angledPull(input) }),
});

/** A band around a polygon. */
export const band = calculation({
  name: 'band',
  doc: 'Pressure that a band gives the mitre at each corner; sharp corners get less, far ones less with friction.',
  input: strictObject({
    interiorAnglesDeg: Type.Array(bounded({ min: 5, max: 179, unit: '°' }), { minItems: 3, maxItems: 60 }),
    tensionN: bounded(LIMITS.clampForceN),
    faceAreaMm2: bounded({ min: 1, max: 1e6, unit: 'mm²' }),
    friction: optional(friction),
  }),
  output: strictObject({
    corners: Type.Array(
      strictObject({
        angleDeg: Type.Number(),
        tensionN: Type.Number(),
        normalN: Type.Number(),
        pressureMPa: Type.Number(),
      }),
    ),
    used: UsedSchema,
  }),
  example: { interiorAnglesDeg: [100, 45, 35], tensionN: 1200, faceAreaMm2: 900, friction: 0.25 },
  compute: (input) => ({
    corners: computeBand(input).map((each) => ({ ...each })),
    used: { friction: input.friction ?? 0, tensionN: input.tensionN },
  }),
});

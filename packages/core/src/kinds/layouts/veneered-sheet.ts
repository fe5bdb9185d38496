import { finding } from '../../findings';
import { vacuumBag } from '../../geometry';
import { resolveSpecies } from '../../materials';
import { box, solidOf } from '../../solids';
import type { LayOut } from '../kind';
import type { VENEERED_SHEET, EDGE_BANDING } from '../veneered-sheet';
import { downThrough, joint, part, partId, X, Z } from './pieces';

const bagFor = (lengthMm: number, widthMm: number, thicknessMm: number) => {
  const { insideLengthMm, insideWidthMm } = vacuumBag({ lengthMm, widthMm, thicknessMm });
  return { lengthMm: insideLengthMm, widthMm: insideWidthMm };
};

export const layVeneeredSheet: LayOut<typeof VENEERED_SHEET> = (
  { veneerSpecies, coreSpecies, lengthMm, widthMm, coreMm, veneerMm, overhangMm: o, faces, leafKind },
  { woods },
) => {
  const sheet = (number: number, z: number, label: string) => ({
    ...part(
      'veneer',
      number,
      veneerSpecies,
      solidOf(box([-o, -o, z], [lengthMm + o, widthMm + o, z + veneerMm])),
      X,
      [lengthMm + 2 * o, widthMm + 2 * o, veneerMm],
    ),
    label,
  });
  const veneers =
    faces === 'both'
      ? [sheet(1, -veneerMm, 'hidden veneer'), sheet(2, coreMm, 'show veneer')]
      : [sheet(1, coreMm, 'veneer')];
  const joints = veneers.map(({ id }) => joint('veneer', 'core', id));
  return {
    parts: [
      part(
        'core',
        0,
        coreSpecies,
        solidOf(box([0, 0, 0], [lengthMm, widthMm, coreMm])),
        X,
        [lengthMm, widthMm, coreMm],
        Z,
      ),
      ...veneers,
    ],
    joints,
    oneGo: true,
    inTurn: true,
    pulls: downThrough(joints, coreMm + 2 * veneerMm, { need: 'vacuum', kinds: ['vacuum'] }).map((pull) => ({
      ...pull,
      bag: bagFor(lengthMm + 2 * Math.max(0, o), widthMm + 2 * Math.max(0, o), coreMm + 2 * veneerMm),
    })),
    flat: {
      kind: 'balance',
      oneSided:
        faces === 'both'
          ? null
          : {
              lengthMm,
              widthMm,
              coreMm,
              veneerMm,
              veneer: resolveSpecies(veneerSpecies, 'answers.veneerSpecies', woods).properties,
            },
    },
    findings: [
      ...(leafKind === 'paper-backed' ? [finding('paper-backed', 'informs')] : []),
      ...(faces === 'one' ? [finding('one-sided', 'warns')] : []),
      ...(o < 0
        ? [
            finding('square-up-after', 'informs', {
              shortMm: -o,
              lengthMm: lengthMm + 2 * o,
              widthMm: widthMm + 2 * o,
            }),
          ]
        : []),
    ],
  };
};

/** Pins that hold a band while its glue sets stand so far apart [judgement], mm. */
const PIN_EVERY_MM = 100;
/** What presses a band over a caul. */
const BAND_CLAMPS = ['edge', 'f-light', 'trigger', 'f-heavy', 'parallel-jaw', 't-bar', 'pipe'];

export const layEdgeBanding: LayOut<typeof EDGE_BANDING> = ({
  coreSpecies,
  bandSpecies,
  lengthMm: l,
  widthMm: w,
  thicknessMm: t,
  bandMm: b,
  edges,
  proudMm: p,
  pressedBy,
}) => {
  const long = (number: number, y: number, label: string) => ({
    ...part('band', number, bandSpecies, solidOf(box([0, y, -p], [l, y + b, t + p])), X, [l, t + 2 * p, b]),
    label,
  });
  const short = (number: number, x: number, label: string) => ({
    ...part(
      'band',
      number,
      bandSpecies,
      solidOf(box([x, -b, -p], [x + b, w + b, t + p])),
      [0, 1, 0],
      [w + 2 * b, t + 2 * p, b],
    ),
    label,
  });
  const bands = [
    long(1, -b, 'front band'),
    ...(edges === 'front' ? [] : [long(2, w, 'back band')]),
    ...(edges === 'all' ? [short(3, -b, 'left band'), short(4, l, 'right band')] : []),
  ];
  const toCore = bands.map(({ id }) => joint('band', 'core', id));
  const corners =
    edges === 'all'
      ? [1, 2].flatMap((n) => [3, 4].map((m) => joint('butt', partId('band', n), partId('band', m))))
      : [];
  const ids = (side: readonly number[]) =>
    side.map((n) => `core_band-${n}`).filter((id) => toCore.some((own) => own.id === id));
  const barred = pressedBy === 'clamps';
  const pull = (
    id: string,
    joints: readonly string[],
    axis: readonly [number, number, number],
    openingMm: number,
  ) => ({
    id,
    joints,
    // Bars over cauls press both opposite bands with one force; tape holds each by itself.
    need: barred ? ('line' as const) : ('tape' as const),
    stacked: barred,
    axis,
    openingMm,
    kinds: barred ? BAND_CLAMPS : ['tape', 'edge', 'f-light', 'trigger'],
  });
  return {
    parts: [part('core', 0, coreSpecies, solidOf(box([0, 0, 0], [l, w, t])), X, [l, w, t], Z), ...bands],
    joints: [...toCore, ...corners],
    oneGo: true,
    inTurn: true,
    pulls: [
      pull('across', ids([1, 2]), [0, 1, 0], w + 2 * b + 40),
      ...(edges === 'all'
        ? [
            pull(
              'along',
              [...ids([3, 4]), ...(barred ? [] : corners.map(({ id }) => id))],
              [1, 0, 0],
              l + 2 * b + 40,
            ),
          ]
        : []),
    ],
    flat: { kind: 'none' },
    findings: [
      ...(p > 0 ? [finding('trim-flush', 'informs', { proudMm: p })] : []),
      ...(pressedBy === 'pins'
        ? [
            finding('pins-through-tape', 'informs', {
              pins: bands.reduce((sum, { blankMm }) => sum + Math.ceil(blankMm[0] / PIN_EVERY_MM), 0),
              everyMm: PIN_EVERY_MM,
            }),
          ]
        : []),
    ],
  };
};

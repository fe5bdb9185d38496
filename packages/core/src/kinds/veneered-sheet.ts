import { finding } from '../findings';
import { vacuumBag } from '../geometry';
import { resolveSpecies } from '../materials';
import { box, solidOf } from '../solids';
import { defineKind } from './kind';
import { downThrough, joint, part, partId, X, Z } from './pieces';
import { askChoice, askLength, askSpecies, later } from './question';

const bagFor = (lengthMm: number, widthMm: number, thicknessMm: number) => {
  const { insideLengthMm, insideWidthMm } = vacuumBag({ lengthMm, widthMm, thicknessMm });
  return { lengthMm: insideLengthMm, widthMm: insideWidthMm };
};

/** Veneer on a core, pressed in a bag; both faces in one cycle, or the sheet bends within minutes. */
export const VENEERED_SHEET = defineKind({
  id: 'veneered-sheet',
  questions: {
    veneerSpecies: askSpecies('cherry'),
    coreSpecies: askSpecies('mdf'),
    lengthMm: askLength(1200, 100, 3000),
    widthMm: askLength(700, 100, 1500),
    coreMm: askLength(12, 3, 40),
    veneerMm: askLength(0.7, 0.4, 3),
    /** Below 0 the veneer stops short of the core. */
    overhangMm: askLength(8, -30, 30),
    faces: askChoice(['both', 'one'], 'both'),
    leafKind: later(askChoice(['raw', 'paper-backed'], 'raw')),
  },
  preparation: ['fresh-faces', 'balance-faces', 'tape-edges', 'even-film', 'rehearse-two', 'release-film'],
  cautions: ['bags'],
  adhesive: null,
  faces: 1,
  method: 'roller',
  asksOfGlue: { veneer: 'sheet' },
  layOut: (
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
      pulls: downThrough(joints, coreMm + 2 * veneerMm, { need: 'vacuum', kinds: ['vacuum'] }).map(
        (pull) => ({
          ...pull,
          bag: bagFor(lengthMm + 2 * Math.max(0, o), widthMm + 2 * Math.max(0, o), coreMm + 2 * veneerMm),
        }),
      ),
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
  },
});

/** Pins that hold a band while its glue sets stand so far apart [judgement], mm. */
const PIN_EVERY_MM = 100;
/** What presses a band over a caul. */
const BAND_CLAMPS = ['edge', 'f-light', 'trigger', 'f-heavy', 'parallel-jaw', 't-bar', 'pipe'];

/** Strips of solid wood on the edges of a sheet, held by tape, by clamps through a caul, or by pins. */
export const EDGE_BANDING = defineKind({
  id: 'edge-banding',
  questions: {
    coreSpecies: askSpecies('birch-plywood'),
    bandSpecies: askSpecies('white-ash'),
    lengthMm: askLength(800, 60, 3000),
    widthMm: askLength(280, 40, 1500),
    thicknessMm: askLength(18, 6, 50),
    bandMm: askLength(6, 0.5, 30),
    edges: askChoice(['front', 'long', 'all'], 'all'),
    /** How far a band stands out past either face, to be trimmed flush. */
    proudMm: later(askLength(0.5, 0, 5)),
    pressedBy: later(askChoice(['tape', 'clamps', 'pins'], 'tape')),
  },
  preparation: ['fresh-faces', 'mask-faces', 'leave-long', 'mark-faces'],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'brush',
  layOut: ({
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
  },
});

import { InputError } from '../basics/checks';
import { box, type Prism } from '../solids';
import { BAR_CLAMPS, defineKind, joint, PADS_MM, part, partId, upTo, X, Z } from './kind';
import { askChoice, askCount, askLength, askSpecies } from './question';

/** Depth of a housing as a share of the side. */
const HOUSING_SHARE = 1 / 3;

/** A box of two sides, top, bottom and shelves, with strips across its back. */
export const CASE = defineKind({
  id: 'case',
  questions: {
    species: askSpecies('yellow-poplar'),
    widthMm: askLength(820, 150, 2500),
    heightMm: askLength(480, 150, 2500),
    depthMm: askLength(420, 80, 900),
    thicknessMm: askLength(19, 9, 50),
    shelves: askCount(2, 0, 10),
    backStrips: askCount(2, 0, 6),
    corners: askChoice(['housing', 'rebate'], 'housing'),
  },
  preparation: [
    'fresh-faces',
    'holes-before-closing',
    'mask-at-dry-fit',
    'mark-faces',
    'closes-dry',
    'rehearse-two',
  ],
  cautions: ['heavy'],
  adhesive: null,
  faces: 2,
  method: 'brush',
  squeezeOut: 'inside',
  layOut: ({ species, widthMm, heightMm, depthMm, thicknessMm: t, shelves, backStrips, corners }) => {
    const levels = shelves + 2;
    const clear = (heightMm - levels * t) / (levels - 1);
    if (clear < 20 || widthMm < 4 * t) {
      throw new InputError(
        'inconsistent',
        'answers.shelves',
        `${shelves} shelves of ${t} mm leave ${Math.max(0, clear).toFixed(0)} mm between them.`,
        `at most ${Math.max(0, Math.floor((heightMm - t) / (t + 20)) - 1)} shelves in this case`,
      );
    }
    const depthIn = t * HOUSING_SHARE;
    const rebate = corners === 'rebate';
    const z = (n: number) => (n - 1) * (clear + t);
    const cut = (x0: number, x1: number, n: number): Prism => box([x0, 0, z(n)], [x1, depthMm, z(n) + t]);
    const inner = widthMm - t;
    const side = (number: number, x: number, from: number, to: number) => ({
      ...part(
        'side',
        number,
        species,
        {
          blocks: [box([x, 0, 0], [x + t, depthMm, heightMm])],
          pockets: upTo(levels).map((n) => cut(from, to, n)),
        },
        Z,
        [heightMm, depthMm, t],
      ),
      label: number === 1 ? 'left side' : 'right side',
    });
    const levelId = (n: number) => (n === 1 ? 'bottom' : n === levels ? 'top' : partId('shelf', n - 1));
    const stripMm = Math.min(90, (heightMm - 10) / Math.max(1, backStrips) - 5);
    const stripZ = (n: number) =>
      backStrips === 1 ? heightMm - stripMm : ((heightMm - stripMm) * (n - 1)) / (backStrips - 1);
    const levelJoints = upTo(levels).flatMap((n) =>
      [1, 2].map((number) =>
        joint(rebate && (n === 1 || n === levels) ? 'rebate' : 'housing', partId('side', number), levelId(n)),
      ),
    );
    const stripJoints = upTo(backStrips).flatMap((n) =>
      [1, 2].map((number) => joint('butt', partId('side', number), partId('strip', n))),
    );
    return {
      parts: [
        side(1, 0, t - depthIn, t),
        side(2, inner, inner, inner + depthIn),
        ...upTo(levels).map((n) =>
          part(
            n === 1 ? 'bottom' : n === levels ? 'top' : 'shelf',
            n === 1 || n === levels ? 0 : n - 1,
            species,
            { blocks: [box([t - depthIn, 0, z(n)], [inner + depthIn, depthMm, z(n) + t])], pockets: [] },
            X,
            [inner - t + 2 * depthIn, depthMm, t],
          ),
        ),
        ...upTo(backStrips).map((n) =>
          part(
            'strip',
            n,
            species,
            {
              blocks: [box([0, depthMm, stripZ(n)], [widthMm, depthMm + t * 0.7, stripZ(n) + stripMm])],
              pockets: [],
            },
            X,
            [widthMm, stripMm, t * 0.7],
          ),
        ),
      ],
      joints: [...levelJoints, ...stripJoints],
      pulls: [
        {
          id: 'across',
          joints: levelJoints.map(({ id }) => id),
          need: 'seat',
          stacked: false,
          axis: X,
          openingMm: widthMm + PADS_MM,
          kinds: BAR_CLAMPS,
        },
        ...(backStrips > 0
          ? [
              {
                id: 'back',
                joints: stripJoints.map(({ id }) => id),
                need: 'seat' as const,
                stacked: false,
                axis: [0, 1, 0] as const,
                openingMm: depthMm + t + PADS_MM,
                kinds: BAR_CLAMPS,
              },
            ]
          : []),
      ],
      dryJig: true,
      square: { kind: 'diagonals', abMm: widthMm, bcMm: heightMm },
      flat: { kind: 'wind' },
    };
  },
});

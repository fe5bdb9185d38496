import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import type { Aid, JointKind } from '../../assembly';
import { box, type Prism } from '../../solids';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { CASE, Corner } from '../case';
import { layStrips, STRIP_CLAMPS, STRIP_END_MM } from './case-strips';
import { BAR_CLAMPS, joint, PADS_MM, part, partId, X, Y, Z } from './pieces';

/** Depth of a housing as a share of the side. */
const HOUSING_SHARE = 1 / 3;
/** Thickness of a through tenon as a share of its shelf. */
const TENON_SHARE = 0.6;
/** One through tenon for so much of a shelf's depth [judgement], mm. */
const TENON_EVERY_MM = 120;
/** A block with slots for the ends of tenons, so that it presses on the side around them [judgement]. */
const U_BLOCK = { thickMm: 25, beyondMm: 20, roomMm: 3 };

const JOINT_OF: Readonly<Record<Corner, JointKind>> = {
  housing: 'housing',
  rebate: 'rebate',
  'through-tenon': 'mortise-tenon',
};

/** From and to of each tenon over the depth of a case: as wide as the wood between them. */
function tenonsOver(depthMm: number): (readonly [number, number])[] {
  const count = Math.max(1, Math.round(depthMm / TENON_EVERY_MM));
  const wide = depthMm / (2 * count + 1);
  return upTo(count).map((n) => [(2 * n - 1) * wide, 2 * n * wide]);
}

export const layCase: LayOut<typeof CASE> = (answers) => {
  const { species, widthMm, heightMm, depthMm, thicknessMm: t, shelves, backStrips } = answers;
  const { corners, shelfJoint, proudMm, strip } = answers;
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
  const z = (n: number) => (n - 1) * (clear + t);
  const inner = widthMm - t;
  const joineryOf = (n: number): Corner => (n === 1 || n === levels ? corners : shelfJoint);
  const tenons = tenonsOver(depthMm);
  const middle = (n: number): readonly [number, number] => [
    z(n) + (t * (1 - TENON_SHARE)) / 2,
    z(n) + (t * (1 + TENON_SHARE)) / 2,
  ];
  const through = upTo(levels).filter((n) => joineryOf(n) === 'through-tenon');
  /** What of a level lies in a side between two places across the case. */
  const inSide = (n: number, x0: number, x1: number): Prism[] =>
    through.includes(n)
      ? tenons.map(([y0, y1]) => box([x0, y0, middle(n)[0]], [x1, y1, middle(n)[1]]))
      : [box([x0, 0, z(n)], [x1, depthMm, z(n) + t])];
  const strips = layStrips({
    widthMm,
    heightMm,
    depthMm,
    t,
    inner,
    depthIn,
    levels,
    z,
    backStrips,
    laid: strip,
  });
  const side = (number: 1 | 2) => {
    const x = number === 1 ? 0 : inner;
    const groove = number === 1 ? ([t - depthIn, t] as const) : ([inner, inner + depthIn] as const);
    return {
      ...part(
        'side',
        number,
        species,
        {
          blocks: [box([x, 0, 0], [x + t, depthMm, heightMm])],
          pockets: [
            ...upTo(levels).flatMap((n) =>
              inSide(n, ...(through.includes(n) ? ([x, x + t] as const) : groove)),
            ),
            ...strips.grooves(groove),
          ],
        },
        Z,
        [heightMm, depthMm, t],
      ),
      label: number === 1 ? 'left side' : 'right side',
    };
  };
  const levelId = (n: number) => (n === 1 ? 'bottom' : n === levels ? 'top' : partId('shelf', n - 1));
  const level = (n: number) => {
    const runs = through.includes(n);
    const inMm = runs ? 0 : depthIn;
    return part(
      n === 1 ? 'bottom' : n === levels ? 'top' : 'shelf',
      n === 1 || n === levels ? 0 : n - 1,
      species,
      {
        blocks: [
          box([t - inMm, 0, z(n)], [inner + inMm, depthMm, z(n) + t]),
          ...(runs ? [...inSide(n, -proudMm, t), ...inSide(n, inner, widthMm + proudMm)] : []),
        ],
        pockets: [],
      },
      X,
      [inner - t + 2 * (runs ? t + proudMm : depthIn), depthMm, t],
    );
  };
  const levelJoints = upTo(levels).flatMap((n) =>
    [1, 2].map((number) => joint(JOINT_OF[joineryOf(n)], partId('side', number), levelId(n))),
  );
  // In its grooves a strip's ends stay dry: the level that it is glued to holds it.
  const stripEnds = upTo(backStrips).flatMap((n) =>
    [1, 2].map((number) =>
      strips.grooved
        ? joint('housing', partId('side', number), partId('strip', n), { gluedShare: 0 })
        : joint('butt', partId('side', number), partId('strip', n)),
    ),
  );
  const stripEdges = strips.grooved
    ? upTo(backStrips).map((n) => joint('edge', levelId(levels - n + 1), partId('strip', n)))
    : [];
  /** How deep the slots are that tenon ends stand in. */
  const slotMm = Math.min(U_BLOCK.thickMm, proudMm + U_BLOCK.roomMm);
  const blocks = through.flatMap((n) =>
    ([-U_BLOCK.thickMm, widthMm] as const).map((x, k): Aid => ({
      id: `u-block-${n}-${k + 1}`,
      role: 'block',
      solid: {
        blocks: [
          box(
            [x, 0, Math.max(0, z(n) - U_BLOCK.beyondMm)],
            [x + U_BLOCK.thickMm, depthMm, Math.min(heightMm, z(n) + t + U_BLOCK.beyondMm)],
          ),
        ],
        pockets: tenons.map(([y0, y1]) => {
          const [z0, z1] = middle(n);
          const [x0, x1] = k === 0 ? [-slotMm, 0] : [widthMm, widthMm + slotMm];
          return box([x0, y0 - 1, z0 - 1], [x1, y1 + 1, z1 + 1]);
        }),
      },
    })),
  );
  const grooved = strips.grooved && backStrips > 0;
  return {
    parts: [side(1), side(2), ...upTo(levels).map(level), ...strips.parts(species)],
    joints: [...levelJoints, ...stripEnds, ...stripEdges],
    aids: blocks,
    pulls: [
      ...[
        { id: 'across', runs: false, packedMm: 0 },
        { id: 'across-tenons', runs: true, packedMm: 2 * U_BLOCK.thickMm },
      ]
        .map(({ id, runs, packedMm }) => ({
          id,
          joints: upTo(levels)
            .filter((n) => through.includes(n) === runs)
            .flatMap((n) => levelJoints.slice(2 * n - 2, 2 * n).map((each) => each.id)),
          need: 'seat' as const,
          stacked: false,
          axis: X,
          openingMm: widthMm + PADS_MM + packedMm,
          kinds: BAR_CLAMPS,
        }))
        .filter(({ joints }) => joints.length > 0),
      ...(grooved
        ? stripEdges.map(({ id }, k) => ({
            id: `${partId('strip', k + 1)}-up`,
            joints: [id],
            need: 'line' as const,
            stacked: false,
            axis: Z,
            openingMm: t + strips.highMm + PADS_MM,
            kinds: STRIP_CLAMPS,
          }))
        : []),
      ...(!grooved && backStrips > 0
        ? [
            {
              id: 'back',
              joints: stripEnds.map(({ id }) => id),
              need: 'seat' as const,
              stacked: false,
              axis: Y,
              openingMm: depthMm + t + PADS_MM,
              kinds: BAR_CLAMPS,
            },
          ]
        : []),
    ],
    findings: [
      ...(through.length > 0
        ? [
            finding('u-blocks', 'informs', {
              blocks: blocks.length,
              thickMm: U_BLOCK.thickMm,
              highMm: t + 2 * U_BLOCK.beyondMm,
              tenons: tenons.length,
              slotWideMm: (tenons[0] === undefined ? 0 : tenons[0][1] - tenons[0][0]) + 2,
              slotDeepMm: slotMm,
            }),
          ]
        : []),
      ...(grooved
        ? [finding('strips-in-dry-case', 'informs', { strips: backStrips, clearMm: STRIP_END_MM })]
        : []),
    ],
    dryJig: true,
    square: { kind: 'diagonals', abMm: widthMm, bcMm: heightMm },
    flat: { kind: 'wind' },
  };
};

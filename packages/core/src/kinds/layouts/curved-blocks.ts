import type { Aid, ClampsOnBlocks, JawPlace } from '../../assembly';
import { extruded, MAIN_AXES, scale, solidOf, type Vec2 } from '../../solids';
import type { BlockFixing } from '../block-fixing';
import { PADS_MM } from './pieces';

/** What keeps one block where it is: friction on the edge, and what else holds it along the edge, N. */
export interface BlockHold {
  readonly friction: number;
  readonly holdsN: number;
}

/** Where light clamps stand over each block that is clamped down, as shares of the way along its face, and what each gives, N [judgement]. */
const OVER_BLOCK = [0.25, 0.75] as const;
const LIGHTLY_N = 300;

/** Friction of a bare block on a dry edge [judgement]. */
const BARE_FRICTION = 0.35;
/** Abrasive faces grip; two screws in a face that will not show, two light clamps over the block, and a lip that only carries it [judgement]. */
const HOLDS: Readonly<Record<BlockFixing, BlockHold>> = {
  abrasive: { friction: 0.75, holdsN: 0 },
  'screwed-under': { friction: BARE_FRICTION, holdsN: 1000 },
  'scribed-clamped': { friction: BARE_FRICTION, holdsN: 400 },
  'hooked-over': { friction: BARE_FRICTION, holdsN: 0 },
};
/** A firm jaw, by which the reach of a block is laid out; the jaws of the plan are looked at one by one, N. */
const FIRM_JAW_N = 3000;
/** A block stops where the edge falls away at this share of what holds it. */
const SAFE_SHARE = 0.85;

export const holdOf = (fixing: BlockFixing): BlockHold => HOLDS[fixing];

/** The clamps over blocks that are held down; left out where something else holds them. */
export const clampsOver = (
  fixing: BlockFixing,
  blocks: readonly Aid[],
  thicknessMm: number,
): { readonly blockClamps?: ClampsOnBlocks } =>
  fixing === 'scribed-clamped'
    ? {
        blockClamps: {
          places: blocks.flatMap(({ seat }) =>
            seat === undefined ? [] : OVER_BLOCK.map((share) => overEdge(seat.face, share, thicknessMm)),
          ),
          openingMm: thicknessMm + PADS_MM,
          forceN: LIGHTLY_N,
          shareOfPull: 0,
          // They stand over the face of the block, the bars beside them.
          fromJawMm: null,
        },
      }
    : {};

/** Over the edge between a block and the work, its bar on the side of the block; the work's middle is at y = 0. */
function overEdge(face: readonly Vec2[], share: number, thicknessMm: number): JawPlace {
  const [x, y] = face[Math.round(share * (face.length - 1))] ?? [0, 0];
  return { from: [x, y, 0], to: [x, y, thicknessMm], off: scale(MAIN_AXES[1], y < 0 ? -1 : 1) };
}

/** How steeply the edge may fall away under the end of a block. */
export const reachSlope = ({ friction, holdsN }: BlockHold): number =>
  SAFE_SHARE * (friction + holdsN / FIRM_JAW_N);

/** A block between a stretch of the edge and the flat on which jaws stand. */
export const curvedBlock = (
  {
    face,
    flatAtMm,
    thicknessMm,
  }: { readonly face: readonly Vec2[]; readonly flatAtMm: number; readonly thicknessMm: number },
  hold: BlockHold,
  number: number,
): Aid => {
  const [from, to] = [face[0], face.at(-1)] as [Vec2, Vec2];
  return {
    id: `block-${number}`,
    role: 'block',
    solid: solidOf(extruded('z', [...face, [to[0], flatAtMm], [from[0], flatAtMm]], 0, thicknessMm)),
    seat: { ...hold, face },
  };
};

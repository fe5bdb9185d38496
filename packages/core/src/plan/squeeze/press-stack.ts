import { padWithinMm } from '../../clamps';
import type { AssemblyFacts, JointFacts, PartFacts, Pull } from '../../assembly';
import type { RackLot } from '../../formats';
import type { Press, PressedBoard, PressedLine } from '../../mechanics';
import type { WoodProperties } from '../../materials';
import { dot, reach, solidPoints, type Vec3 } from '../../solids';
import type { Packing } from '../pulls/packing';
import { twoRows } from '../pulls/pulls';
import { pullFrame } from './pull-frame';
import type { ClampInSpace } from './squeezed';
import { jointsOf } from '../pulls/lines-of-pull';

/** Pressure on the joints of one stack. */
export interface PressedStack {
  /** In the order in which the joints lie along the pull; the least is that at the edges of the work, the rest means over its width. */
  readonly joints: readonly ({ readonly joint: JointFacts } & PressedLine)[];
  readonly lengthMm: number;
  readonly clampsMm: readonly number[];
  /** Lowest over mean across the width under jaws narrower than the work; 1 where they reach over it. */
  readonly acrossShare: number;
  readonly unknowns: number;
}

/** Parts in a row along one pull, as the plane problem that presses them. */
export interface Stack {
  readonly boards: readonly PressedBoard[];
  readonly lengthMm: number;
  /** Cauls along both sides. */
  readonly batten: PressedBoard | undefined;
  /** The joint after each part but the last. */
  readonly joints: readonly JointFacts[];
  /** Layers face to face rather than boards edge to edge. */
  readonly layers: boolean;
  /** 2 where jaws find room from both sides of its width. */
  readonly rows: 1 | 2;
  /** Length of work that a jaw presses through its packing. */
  readonly padMmOf: (lot: RackLot) => number;
}

/**
 * Reads a stack off a pull: boards edge to edge, or layers face to face. Both are the same plane problem, length along the
 * grain by height along the pull; layers lie with their radial direction along it, boards with their tangential one (flat-sawn).
 * @returns null where the parts do not lie in a row, such as scarfs and bends.
 */
export function stackOf(pull: Pull, facts: AssemblyFacts, packing: Packing): Stack | null {
  const joints = jointsOf(pull, facts);
  const inRow =
    pull.stacked &&
    pull.need === 'line' &&
    joints.every(
      ({ joint, contacts }) =>
        ROW_KINDS.includes(joint.kind) &&
        contacts.every(({ normal }) => Math.abs(Math.abs(dot(normal, pull.axis)) - 1) < 1e-3),
    );
  if (!inRow || joints.length === 0) return null;
  const ids = new Set(joints.flatMap(({ joint }) => [joint.a, joint.b]));
  const parts = facts.parts.filter(({ part }) => ids.has(part.id));
  const rows = parts
    .map((own) => ({ own, span: spanOf(own, pull.axis) }))
    .sort((a, b) => a.span[0] - b.span[0]);
  const order = rows.slice(1).flatMap(({ own }, i) => {
    const before = rows[i]?.own.part.id;
    const between = joints.find(
      ({ joint }) =>
        (joint.a === before && joint.b === own.part.id) || (joint.b === before && joint.a === own.part.id),
    );
    return between === undefined ? [] : [between];
  });
  if (rows.length !== joints.length + 1 || order.length !== joints.length) return null;
  const { along, across, lengthMm } = pullFrame(pull, facts);
  // Rows are pressed along their grain only.
  if (!parts.every(({ part }) => Math.abs(dot(along, part.grain)) > 0.9)) return null;
  const layers = joints.every(({ joint }) => joint.kind === 'face');
  const boards = rows.map(({ own, span: [low, high] }): PressedBoard => {
    const [near, far] = spanOf(own, across);
    return {
      widthMm: high - low,
      thicknessMm: far - near,
      wood: own.wood,
      cut: layers ? 'quarter' : 'flat',
    };
  });
  const [first] = boards;
  return {
    boards,
    lengthMm,
    batten:
      packing.kind === 'cauls' && first !== undefined && packing.thicknessMm > 0
        ? { ...first, widthMm: packing.thicknessMm, cut: 'quarter' }
        : undefined,
    joints: order,
    layers,
    rows: twoRows(pull, joints, facts) ? 2 : 1,
    padMmOf: ({ padWidthMm }) =>
      Math.min(lengthMm, padWidthMm + (packing.kind === 'blocks' ? 2 * packing.thicknessMm : 0)),
  };
}

/**
 * Presses a stack by the same elements as a panel. Where jaws are narrower than a stack of layers is wide, the same is
 * done across the grain for the stretch that one clamp looks after, and its lowest over mean multiplied in [judgement:
 * both spread on their own].
 * @returns null where there is nothing to press, or contact found no rest.
 */
export function pressStack(
  stack: Stack,
  clamps: readonly ClampInSpace[],
  packing: Packing,
  press: Press,
): PressedStack | null {
  const { boards, lengthMm, batten, joints, layers } = stack;
  const pads = clamps.flatMap(({ shape, lot, forceN, place }) => {
    if (shape.kind !== 'jaws' || place === null) return [];
    const half = Math.min(lot.padWidthMm, lengthMm) / 2;
    const xMm = Math.min(lengthMm - half, Math.max(half, place.alongMm));
    return [{ xMm, forceN, padMm: padWithinMm(stack.padMmOf(lot), xMm, lengthMm) }];
  });
  if (pads.length === 0) return null;
  const pressed = press({ boards, lengthMm, clamps: pads, batten });
  if (pressed.status !== 'converged') return null;
  const thinnest = Math.min(...boards.map(({ thicknessMm }) => thicknessMm));
  const reached = clamps[0]?.lot.padHeightMm ?? 0;
  // Blocks and cauls are cut as wide as the work.
  const acrossShare =
    layers && packing.kind === 'bare' && reached < thinnest
      ? shareAcross(boards, thinnest, reached, lengthMm / clamps.length, press)
      : 1;
  return {
    joints: pressed.lines.flatMap((line, i) => {
      const joint = joints[i];
      return joint === undefined ? [] : [{ joint, ...line, minMPa: line.minMPa * acrossShare }];
    }),
    lengthMm,
    clampsMm: pads.map(({ xMm }) => xMm),
    acrossShare,
    unknowns: pressed.unknowns,
  };
}

const ROW_KINDS: readonly string[] = ['edge', 'face'];

const spanOf = ({ part }: PartFacts, direction: Vec3): readonly [number, number] =>
  reach(solidPoints(part.solid), direction);

/** Lowest over mean across a stack of layers, one pad in the middle of its width. */
function shareAcross(
  boards: readonly PressedBoard[],
  widthMm: number,
  padMm: number,
  stretchMm: number,
  press: Press,
): number {
  const { lines } = press({
    boards: boards.map((board) => ({ ...board, wood: acrossGrain(board.wood), thicknessMm: stretchMm })),
    lengthMm: widthMm,
    clamps: [{ xMm: widthMm / 2, forceN: 1000, padMm }],
  });
  return Math.max(0, Math.min(1, ...lines.map(({ minMPa, meanMPa }) => minMPa / meanMPa)));
}

/** The wood as it is across the grain: what was along is tangential. Shear across the grain about a tenth of that along it. */
function acrossGrain(wood: WoodProperties): WoodProperties {
  const rolling = wood.gLRMPa * ROLLING_SHEAR;
  return { ...wood, eLMPa: wood.eTMPa, gLRMPa: rolling, gLTMPa: rolling, nuLR: 0.3, nuLT: 0.3 };
}

/** Rolling shear over shear along the grain [judgement, orientation of the usual tables]. */
const ROLLING_SHEAR = 0.1;

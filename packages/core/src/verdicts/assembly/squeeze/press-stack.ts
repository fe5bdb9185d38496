import type { AssemblyFacts, PartFacts } from '../../../assembly';
import type { Press, PressedBoard } from '../../../mechanics';
import type { WoodProperties } from '../../../materials';
import { dot, MAIN_AXES, reach, solidPoints, type Vec3 } from '../../../solids';
import type { PlannedPull } from '../planned-pull';
import type { ClampInSpace } from './squeezed';

/** What lies under the jaws of an assembly. */
export interface Packing {
  readonly kind: 'bare' | 'blocks' | 'cauls';
  readonly thicknessMm: number;
}

/** Pressure on the joints of one stack, by the same elements as a panel. */
export interface PressedStack {
  /** In the order in which the joints lie along the pull. */
  readonly joints: readonly {
    readonly joint: string;
    readonly minMPa: number;
    readonly meanMPa: number;
    readonly maxMPa: number;
    readonly closed: boolean;
  }[];
  /** Lowest over mean across the width under jaws narrower than the work; 1 where they reach over it. */
  readonly acrossShare: number;
  readonly unknowns: number;
}

/**
 * Presses a stack of parts in a row along one pull: boards edge to edge, or layers face to face. Both are the same plane
 * problem, length along the grain by height along the pull; layers lie with their radial direction along it, boards with
 * their tangential one (flat-sawn). Where jaws are narrower than a stack of layers is wide, the same is done across the
 * grain for the stretch that one clamp looks after, and its lowest over mean multiplied in [judgement: both spread on
 * their own].
 * @returns null where the parts do not lie in a row, such as scarfs and bends.
 */
export function pressStack(
  { pull }: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
  packing: Packing,
  press: Press,
): PressedStack | null {
  const joints = facts.joints.filter(({ joint }) => pull.joints.includes(joint.id));
  const inRow =
    pull.stacked &&
    pull.need === 'line' &&
    joints.every(
      ({ joint, contacts }) =>
        ROW_KINDS.includes(joint.kind) &&
        contacts.every(({ normal }) => Math.abs(Math.abs(dot(normal, pull.axis)) - 1) < 1e-3),
    );
  if (!inRow || joints.length === 0 || clamps.length === 0) return null;
  const ids = new Set(joints.flatMap(({ joint }) => [joint.a, joint.b]));
  const parts = facts.parts.filter(({ part }) => ids.has(part.id));
  const rows = parts
    .map((own) => ({ own, span: spanOf(own, pull.axis) }))
    .sort((a, b) => a.span[0] - b.span[0]);
  if (rows.length !== joints.length + 1) return null;
  const along = MAIN_AXES.find((axis) => Math.abs(dot(axis, parts[0]?.part.grain ?? axis)) > 0.9);
  if (along === undefined || Math.abs(dot(along, pull.axis)) > 0.1) return null;
  const across = MAIN_AXES.find(
    (axis) => Math.abs(dot(axis, along)) < 0.1 && Math.abs(dot(axis, pull.axis)) < 0.1,
  );
  if (across === undefined) return null;
  const [start, end] = widest(rows.map(({ own }) => spanOf(own, along)));
  const lengthMm = end - start;
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
  const spread = packing.kind === 'bare' ? 0 : 2 * packing.thicknessMm;
  const pads = clamps.flatMap(({ shape, lot, forceN }) => {
    if (shape.kind !== 'jaws') return [];
    const padMm = Math.min(lengthMm, lot.padWidthMm + (packing.kind === 'blocks' ? spread : 0));
    const xMm = Math.min(lengthMm - padMm / 2, Math.max(padMm / 2, dot(shape.from, along) - start));
    return [{ xMm, forceN, padMm }];
  });
  const [first] = boards;
  const batten =
    packing.kind === 'cauls' && first !== undefined && packing.thicknessMm > 0
      ? { ...first, widthMm: packing.thicknessMm, cut: 'quarter' as const }
      : undefined;
  const pressed = press({ boards, lengthMm, clamps: pads, batten });
  if (pressed.status !== 'converged') return null;
  const lot = clamps[0]?.lot;
  const thinnest = Math.min(...boards.map(({ thicknessMm }) => thicknessMm));
  const reached = lot?.padHeightMm ?? 0;
  // Blocks and cauls are cut as wide as the work.
  const acrossShare =
    layers && packing.kind === 'bare' && reached < thinnest
      ? shareAcross(boards, thinnest, reached, lengthMm / clamps.length, press)
      : 1;
  const order = rows.slice(1).map(({ own }, i) => {
    const before = rows[i]?.own.part.id;
    return joints.find(
      ({ joint }) =>
        (joint.a === before && joint.b === own.part.id) || (joint.b === before && joint.a === own.part.id),
    );
  });
  return {
    joints: pressed.lines.flatMap(({ minMPa, meanMPa, maxMPa, closed }, i) => {
      const joint = order[i]?.joint.id;
      return joint === undefined ? [] : [{ joint, minMPa: minMPa * acrossShare, meanMPa, maxMPa, closed }];
    }),
    acrossShare,
    unknowns: pressed.unknowns,
  };
}

const ROW_KINDS: readonly string[] = ['edge', 'face'];

const spanOf = ({ part }: PartFacts, direction: Vec3): readonly [number, number] =>
  reach(solidPoints(part.solid), direction);

/** From the first start to the last end: short ends beside the longest part carry nothing. */
function widest(spans: readonly (readonly [number, number])[]): readonly [number, number] {
  return [Math.min(...spans.map(([low]) => low)), Math.max(...spans.map(([, high]) => high))];
}

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

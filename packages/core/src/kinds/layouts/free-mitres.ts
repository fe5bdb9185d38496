import { InputError } from '../../basics/checks';
import type { FreePart } from '../../formats';
import { extruded, type Prism, type Vec2 } from '../../solids';
import { AXIS_INDEXES, AXIS_NAMES, type AxisIndex, grainAxis, shared, span, TOUCH_MM } from './free-blocks';

/** One end of a part cut away along the diagonal of the corner that it shares with another. */
interface Cut {
  /** The direction square to the mitred corner. */
  readonly normal: AxisIndex;
  /** Whether the end at the high side is cut. */
  readonly high: boolean;
  /** Whether the part is whole on its high side across, so that the corner lies there. */
  readonly outerHigh: boolean;
}

/** How a mitre cuts both of its parts. */
export interface MitreCuts {
  readonly a: Cut;
  readonly b: Cut;
}

/**
 * The cuts of a mitre between two blocks laid over each other at their corner, as long as they are measured outside.
 * @throws InputError where they do not share a corner, as two members at right angles do.
 */
export function mitreCuts(a: FreePart, b: FreePart, index: number): MitreCuts {
  const [along, other] = [grainAxis(a), grainAxis(b)];
  const normal = AXIS_INDEXES.find((axis) => axis !== along && axis !== other);
  const alike =
    normal !== undefined &&
    along !== other &&
    Math.abs(shared(a, b, normal) - (a.sizeMm[normal] ?? 0)) < TOUCH_MM &&
    Math.abs(shared(a, b, normal) - (b.sizeMm[normal] ?? 0)) < TOUCH_MM;
  const corner = (part: FreePart, axis: AxisIndex, partner: FreePart): boolean | null => {
    const [own, its] = [span(part, axis), span(partner, axis)];
    if (Math.abs(own[1] - its[1]) < TOUCH_MM) return true;
    return Math.abs(own[0] - its[0]) < TOUCH_MM ? false : null;
  };
  const [highAlong, highOther] = [corner(a, along, b), corner(b, other, a)];
  if (!alike || highAlong === null || highOther === null || shared(a, b, along) <= TOUCH_MM) {
    throw new InputError(
      'inconsistent',
      `joints.${index}`,
      `“${a.name}” and “${b.name}” do not share a corner that could be mitred.`,
      'two parts at right angles, equally thick, both laid right into the corner as they are measured outside',
    );
  }
  return {
    a: { normal, high: highAlong, outerHigh: highOther },
    b: { normal, high: highOther, outerHigh: highAlong },
  };
}

/**
 * A part with its ends mitred: its outline in the plane of the corners, each cut end drawn in on the inner side by the partner's width.
 * @param cuts each with the width that the partner has at this corner, mm.
 */
export function mitredSolid(
  part: FreePart,
  cuts: readonly { readonly cut: Cut; readonly partnerMm: number }[],
): Prism {
  const [first] = cuts;
  if (first === undefined) throw new Error('unreachable: only parts with mitres are cut');
  const { normal, outerHigh } = first.cut;
  if (cuts.some(({ cut }) => cut.normal !== normal || cut.outerHigh !== outerHigh)) {
    throw new InputError(
      'inconsistent',
      'parts',
      `The mitres of “${part.name}” do not lie in one plane with their corners on one side.`,
      'mitres at both ends of a part to the same side',
    );
  }
  const along = grainAxis(part);
  const across = AXIS_INDEXES.find((axis) => axis !== along && axis !== normal) ?? 0;
  const [from, to] = span(part, along);
  const [low, high] = span(part, across);
  const drawnIn = (atHigh: boolean) => cuts.find(({ cut }) => cut.high === atHigh)?.partnerMm ?? 0;
  const [inner, outer] = outerHigh ? [low, high] : [high, low];
  const corners = [
    { along: from, across: outer },
    { along: to, across: outer },
    { along: to - drawnIn(true), across: inner },
    { along: from + drawnIn(false), across: inner },
  ];
  const [p, q] = OUTLINE_AXES[normal];
  const outline = corners.map((corner): Vec2 => {
    const at = (axis: AxisIndex) => (axis === along ? corner.along : corner.across);
    return [at(p), at(q)];
  });
  return extruded(AXIS_NAMES[normal], outline, ...span(part, normal));
}

/** Which directions an outline is given in, by the direction in which it is carried on. */
const OUTLINE_AXES: Readonly<Record<AxisIndex, readonly [AxisIndex, AxisIndex]>> = {
  0: [1, 2],
  1: [2, 0],
  2: [0, 1],
};

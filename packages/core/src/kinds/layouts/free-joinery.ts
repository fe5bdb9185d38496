import { InputError } from '../../basics/checks';
import type { FreeJoint, FreePart } from '../../formats';
import { box, type Prism, type Vec3 } from '../../solids';
import { BOTTOM_ROOM_MM, WALL_MM } from './pieces';
import { type AxisIndex, grainAxis, others, shared, span, TOUCH_MM, touchAxis } from './free-blocks';

/** What a joint adds to the part that enters, and takes out of the part that receives. */
export interface Joinery {
  readonly enters: string;
  readonly receives: string;
  readonly tongue: Prism;
  readonly pocket: Prism;
  /** How much longer the entering part's blank is for it, mm. */
  readonly longerMm: number;
}

/** Depth unless the person says otherwise, as a share of what receives it. */
const DEPTH_SHARE = { 'mortise-tenon': 2 / 3, housing: 1 / 3, bridle: 1 } as const;
type Entering = keyof typeof DEPTH_SHARE;
/** A tenon is as thick as this share of its part, and leaves this share of its width as a shoulder on either side. */
const THICK_SHARE = 1 / 3;
const SHOULDER_SHARE = 1 / 8;

const ENTERING: readonly string[] = Object.keys(DEPTH_SHARE);

/** Whether a joint lets one part into the other. */
export const letsIn = ({ kind }: FreeJoint): boolean => ENTERING.includes(kind);

/**
 * The solids of a tenon, a bridle or a housing between two blocks that touch: tongue on the part whose end meets the other, pocket
 * in that one. Source: usual proportions [judgement], depth as the person says.
 * @throws InputError where the parts do not touch, or where the depth would come out on the other side.
 */
export function joineryOf(joint: FreeJoint, a: FreePart, b: FreePart, index: number): Joinery {
  const kind = joint.kind as Entering;
  const axis = touchAxis(a, b);
  const gap = shared(a, b, axis);
  const field = `joints.${index}`;
  if (Math.abs(gap) > TOUCH_MM || others(axis).some((own) => shared(a, b, own) <= TOUCH_MM)) {
    throw new InputError(
      'inconsistent',
      field,
      `“${a.name}” and “${b.name}” do not touch, so that neither can be let into the other.`,
      'parts laid against each other face to face; place one on or beside the other',
    );
  }
  const [enters, receives] = entering(a, b, axis);
  const [from, to] = span(receives, axis);
  const sizeMm = to - from;
  const mostMm = kind === 'bridle' ? sizeMm : sizeMm - WALL_MM - (kind === 'housing' ? 0 : BOTTOM_ROOM_MM);
  const deepMm = kind === 'bridle' ? sizeMm : (joint.deepMm ?? Math.min(mostMm, DEPTH_SHARE[kind] * sizeMm));
  if (deepMm > mostMm + 1e-9 || mostMm <= 0) {
    throw new InputError(
      'inconsistent',
      `${field}.deepMm`,
      `${Math.round(deepMm)} mm deep, “${enters.name}” would come out of “${receives.name}”, which is ${Math.round(sizeMm)} mm there.`,
      mostMm > 0 ? `at most ${mostMm.toFixed(1)} mm` : 'a thicker part, or a butt joint',
    );
  }
  const above = span(enters, axis)[0] >= to - TOUCH_MM;
  const face = above ? to : from;
  const reach = (mm: number): readonly [number, number] => (above ? [face - mm, face] : [face, face + mm]);
  const section = sectionOf(kind, enters, axis);
  const block = (mm: number): Prism => {
    const [low, high]: [number[], number[]] = [[], []];
    const along = reach(mm);
    [low[axis], high[axis]] = along;
    for (const [own, [p, q]] of section) [low[own], high[own]] = [p, q];
    return box(low as unknown as Vec3, high as unknown as Vec3);
  };
  return {
    enters: enters.id,
    receives: receives.id,
    tongue: block(deepMm),
    pocket: block(kind === 'mortise-tenon' ? deepMm + BOTTOM_ROOM_MM : deepMm),
    longerMm: grainAxis(enters) === axis ? deepMm : 0,
  };
}

/** The part whose end grain meets the other enters; else the one whose section lies within the other's face. */
function entering(a: FreePart, b: FreePart, axis: AxisIndex): readonly [FreePart, FreePart] {
  const endOn = (part: FreePart) => grainAxis(part) === axis;
  if (endOn(a) !== endOn(b)) return endOn(b) ? [b, a] : [a, b];
  const area = (part: FreePart) =>
    others(axis).reduce<number>((product, own) => product * (span(part, own)[1] - span(part, own)[0]), 1);
  return area(b) <= area(a) ? [b, a] : [a, b];
}

/** How much of the entering part's section goes in, direction by direction. */
function sectionOf(
  kind: Entering,
  enters: FreePart,
  axis: AxisIndex,
): readonly (readonly [AxisIndex, readonly [number, number]])[] {
  const sizeOf = (own: AxisIndex) => span(enters, own)[1] - span(enters, own)[0];
  const [thin, wide] = [...others(axis)].sort((p, q) => sizeOf(p) - sizeOf(q)) as [AxisIndex, AxisIndex];
  const inner = (own: AxisIndex, share: number): readonly [number, number] => {
    const [low, high] = span(enters, own);
    const cut = ((1 - share) / 2) * (high - low);
    return [low + cut, high - cut];
  };
  if (kind === 'housing') return [thin, wide].map((own) => [own, span(enters, own)] as const);
  return [
    [thin, inner(thin, THICK_SHARE)],
    [wide, kind === 'bridle' ? span(enters, wide) : inner(wide, 1 - 2 * SHOULDER_SHARE)],
  ];
}

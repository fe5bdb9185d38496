import { InputError } from '../../basics/checks';
import { finding, type PlanFinding } from '../../findings';
import { glassAndBack, radians } from '../../geometry';
import type { Layout } from '../kind';

/** Widths that differ by no more than this are planed level afterwards rather than sawn to different angles [judgement], mm. */
const PLANED_OFF_MM = 2;

/** What is to be done at corners whose members differ in width. */
export function unequalFindings(
  { joints, parts }: Pick<Layout, 'joints' | 'parts'>,
  { widthsMm, sidesMm }: { readonly widthsMm: readonly number[]; readonly sidesMm: readonly number[] },
): PlanFinding[] {
  const nameOf = (id: string) => parts.find((each) => each.id === id)?.label ?? id;
  return joints.flatMap(({ a, b, angleDeg }, i): PlanFinding[] => {
    const [one = 0, other = 0] = [widthsMm[i], widthsMm[(i + 1) % sidesMm.length]];
    if (Math.abs(one - other) < 0.05) return [];
    const corner = `${nameOf(a)} – ${nameOf(b)}`;
    if (Math.abs(one - other) <= PLANED_OFF_MM) {
      return [finding('inside-first', 'informs', { corner, offMm: Math.abs(one - other) })];
    }
    const [wide, narrow] = [Math.max(one, other), Math.min(one, other)];
    const angle = radians(angleDeg ?? 90);
    // A member is sawn to the line from its outer corner to where both inner edges meet.
    const sawn = (own: number, its: number) =>
      90 - (Math.atan2(own, (its + own * Math.cos(angle)) / Math.sin(angle)) * 180) / Math.PI;
    return [
      finding('unequal-mitre', 'informs', {
        corner,
        wideMm: wide,
        narrowMm: narrow,
        sawWideDeg: sawn(wide, narrow),
        sawNarrowDeg: sawn(narrow, wide),
      }),
    ];
  });
}

/** Sizes of what lies in the rebate of a rectangular frame. */
export function glassFindings(
  {
    sidesMm,
    anglesDeg,
    widthsMm,
  }: {
    readonly sidesMm: readonly number[];
    readonly anglesDeg: readonly number[];
    readonly widthsMm: readonly number[];
  },
  rebateMm: number,
  clearanceMm: number,
): PlanFinding[] {
  if (sidesMm.length !== 4 || anglesDeg.some((angle) => Math.abs(angle - 90) > 1e-9)) return [];
  const narrowest = Math.min(...widthsMm);
  if (rebateMm > narrowest - 3) {
    throw new InputError(
      'inconsistent',
      'answers.rebateMm',
      `A rebate of ${rebateMm} mm leaves nothing of a member ${narrowest} mm wide.`,
      `at most ${Math.max(0, narrowest - 3)} mm`,
    );
  }
  const [bottom = 0, right = 0, top = 0, left = 0] = widthsMm;
  const openWideMm = (sidesMm[0] ?? 0) - left - right;
  const openHighMm = (sidesMm[1] ?? 0) - bottom - top;
  const glass = glassAndBack({ openWideMm, openHighMm, rebateMm, clearanceMm });
  return [
    finding('glass-and-back', 'informs', {
      openWideMm,
      openHighMm,
      glassWideMm: glass.wideMm,
      glassHighMm: glass.highMm,
      rebateMm,
      clearanceMm,
    }),
  ];
}

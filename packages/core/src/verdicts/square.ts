import { finding } from '../findings';
import { mitrePolygon, radians } from '../geometry';
import type { PlanParts } from '../plan/plan';
import { against, atRest, type Judged } from './judged';

/** How far a saw that was set up with care may be off at each mitre, degrees [judgement]. */
export const CAREFUL_SAW_DEG = 0.05;

/** Whether it comes out square: by its diagonals as read, or by what the last mitre has to take. */
export function square({ facts, build }: PlanParts): Judged {
  const check = facts.assembly.square;
  const limit = build.goals.squareMm;
  const { acMm, bdMm } = build.dryFit;
  if (check.kind === 'none') return atRest(limit, finding('nothing-to-square', 'informs'));
  if (check.kind === 'diagonals' && (acMm === null || bdMm === null)) {
    return {
      state: 'close',
      figure: null,
      against: limit,
      margin: 0,
      cause: finding('diagonals-unread', 'warns', sizesOf(check)),
      workings: [finding('how-diagonals', 'informs', sizesOf(check))],
    };
  }
  if (check.kind === 'diagonals') {
    const figure = Math.abs((acMm ?? 0) - (bdMm ?? 0)) / 2;
    return against(
      figure,
      limit,
      (over) => finding('diagonals-read', over ? 'refuses' : 'informs', { mm: figure, ...sizesOf(check) }),
      [finding('how-diagonals', 'informs', sizesOf(check))],
    );
  }
  const cutErrorDeg = build.squeeze?.cutErrorDeg ?? CAREFUL_SAW_DEG;
  if (check.kind === 'splay') {
    const mm = check.legMm * Math.tan(radians(2 * cutErrorDeg));
    const values = { mm, legMm: check.legMm, errorDeg: cutErrorDeg };
    return against(mm, limit, (over) => finding('free-end-splays', over ? 'warns' : 'informs', values), [
      finding('how-splay', 'informs', values),
    ]);
  }
  const { gapMm } = mitrePolygon({
    sidesMm: Array.from({ length: check.corners }, () => 100),
    anglesDeg: Array.from({ length: check.corners }, () => check.lastAngleDeg),
    memberWidthMm: check.faceMm,
    cutErrorDeg,
  });
  const values = { mm: gapMm, errorDeg: cutErrorDeg, corners: check.corners, faceMm: check.faceMm };
  return against(gapMm, limit, (over) => finding('last-mitre-opens', over ? 'warns' : 'informs', values), [
    finding('how-mitres', 'informs', values),
  ]);
}

const sizesOf = ({ abMm, bcMm }: { readonly abMm: number; readonly bcMm: number }) => ({
  abMm,
  bcMm,
  diagonalMm: Math.hypot(abMm, bcMm),
});

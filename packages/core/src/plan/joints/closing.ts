/** Share of the pull that closing a sprung line may eat before it is said, and before the stock goes back [judgement]. */
const CLOSING_SHARE = Object.freeze({ costs: 0.15, plane: 0.5 });

/** Whether clamps may be asked to close a gap: at ease, at a cost in pressure, or not at all. */
export type ClosingAdvice = 'none' | 'easy' | 'costly' | 'back-to-plane';

/** Weighs the pull that a gap takes against all the pull there is. */
export function closingAdvice(closingForceN: number, totalForceN: number): ClosingAdvice {
  if (closingForceN === 0) return 'none';
  if (closingForceN > CLOSING_SHARE.plane * totalForceN) return 'back-to-plane';
  return closingForceN > CLOSING_SHARE.costs * totalForceN ? 'costly' : 'easy';
}

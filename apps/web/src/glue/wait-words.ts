import { formatWait } from '@lean-clasp/core/units';

/** "10 min to 20 min", or one wait where both ends are the same. */
export function waitWords({ low, high }: { readonly low: number; readonly high: number }): string {
  return Math.round(low) === Math.round(high)
    ? formatWait(Math.max(1, high))
    : `${formatWait(Math.max(1, low))} to ${formatWait(high)}`;
}

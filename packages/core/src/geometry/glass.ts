/** What a rectangular frame holds: its sight size and rebate, mm. */
export interface Rebated {
  readonly openWideMm: number;
  readonly openHighMm: number;
  readonly rebateMm: number;
  /** Left free on every side, so that glass and back never bear on the wood. */
  readonly clearanceMm: number;
}

/** Glass, picture and back for a rebated frame: sight size and rebate on both sides, less the clearance. Source: arithmetic. */
export const glassAndBack = ({ openWideMm, openHighMm, rebateMm, clearanceMm }: Rebated) => ({
  wideMm: openWideMm + 2 * (rebateMm - clearanceMm),
  highMm: openHighMm + 2 * (rebateMm - clearanceMm),
});

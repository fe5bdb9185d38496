import { formatClock } from '@lean-clasp/core/units';
import { FIGURE_FACE } from '../app/theme';
import type { Tokens } from '../app/tokens';

/** Above a bar: room of what was planned. */
const PLANNED_PX = 5;

/**
 * A fuse that burns from first bead to full pressure, with a notch where faces close and its limit marked; above it in outline how it
 * was planned, where it is drawn as it burned.
 */
export function FuseBar({
  from,
  to,
  closed,
  limit,
  spareMin,
  late,
  planned,
  y,
  tokens,
}: {
  readonly from: number;
  readonly to: number;
  /** Where the faces come together. */
  readonly closed: number;
  readonly limit: number;
  readonly spareMin: number;
  readonly late: boolean;
  readonly planned?: { readonly from: number; readonly to: number };
  /** Top of the bar. */
  readonly y: number;
  readonly tokens: Tokens;
}) {
  return (
    <>
      {planned !== undefined && (
        <Planned {...planned} y={y - PLANNED_PX - 2} height={PLANNED_PX} tokens={tokens} />
      )}
      <rect x={from} y={y} width={Math.max(0, limit - from)} height={12} fill={tokens.barGround} />
      <rect
        x={from}
        y={y}
        width={Math.max(0, to - from)}
        height={12}
        fill={late ? tokens.fails : tokens.glue}
      />
      <line x1={closed} x2={closed} y1={y} y2={y + 12} stroke={tokens.sheet} strokeWidth={2} />
      <line x1={limit} x2={limit} y1={y - 4} y2={y + 16} stroke={tokens.ink} strokeWidth={2} />
      <text
        x={Math.max(limit, to) + 6}
        y={y + 11}
        fill={late ? tokens.fails : tokens.ink}
        fontFamily={FIGURE_FACE}
      >
        {formatClock(spareMin)}
      </text>
    </>
  );
}

/** What was planned, pale beside what was worked. */
export function Planned({
  from,
  to,
  y,
  height,
  tokens,
}: {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly height: number;
  readonly tokens: Tokens;
}) {
  return (
    <rect
      x={from}
      y={y}
      width={Math.max(1, to - from)}
      height={height}
      fill={tokens.barGround}
      stroke={tokens.soft}
      strokeWidth={0.75}
    />
  );
}

import { FIGURE_FACE } from '../app/theme';
import type { Tokens } from '../app/tokens';

/** Upright rules for whole minutes, numbered along the top. */
export function Minutes({
  spanMin,
  x,
  top,
  height,
  tokens,
}: {
  readonly spanMin: number;
  readonly x: (minutes: number) => number;
  readonly top: number;
  readonly height: number;
  readonly tokens: Tokens;
}) {
  const step = [1, 2, 5, 10, 20, 30, 60].find((minutes) => spanMin / minutes <= 6) ?? 120;
  return (
    <g fill={tokens.soft} fontFamily={FIGURE_FACE}>
      {Array.from({ length: Math.floor(spanMin / step) + 1 }, (_, i) => (
        <g key={i}>
          <line x1={x(i * step)} x2={x(i * step)} y1={top - 6} y2={height} stroke={tokens.rule} />
          <text x={x(i * step)} y={top - 10} textAnchor="middle">
            {i * step}
          </text>
        </g>
      ))}
    </g>
  );
}

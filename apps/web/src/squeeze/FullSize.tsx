import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { ReactNode } from 'react';

/** Length of the drawing on one sheet, and what neighbours repeat of each other, mm. */
const SHEET_MM = 240;
const OVERLAP_MM = 10;
const CHECK_MM = 100;

/**
 * A drawing in millimetres at full size, cut into sheets that are laid end to end on the marks they share. Each carries a
 * line of known length.
 */
export function FullSize({
  lengthMm,
  heightMm,
  label,
  children,
}: {
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly label: string;
  /** Drawn in millimetres, x along, from 0 to the length. */
  readonly children: ReactNode;
}) {
  const { tokens } = useTheme().palette;
  const step = SHEET_MM - OVERLAP_MM;
  const count = Math.max(1, Math.ceil((lengthMm - OVERLAP_MM) / step));
  const full = heightMm + 24;
  return (
    <>
      {Array.from({ length: count }, (_, i) => {
        const from = i * step;
        return (
          <Box
            key={i}
            sx={{ overflowX: 'auto', breakInside: 'avoid', mb: 3 }}
            tabIndex={0}
            role="group"
            aria-label={`${label}, sheet ${i + 1} of ${count}`}
          >
            <svg
              width={`${SHEET_MM}mm`}
              height={`${full}mm`}
              viewBox={`${from} 0 ${SHEET_MM} ${full}`}
              style={{ display: 'block', background: tokens.sheet }}
            >
              {children}
              <g stroke={tokens.ink} strokeWidth={0.25} fill={tokens.ink}>
                {[i > 0 ? from + OVERLAP_MM / 2 : null, i < count - 1 ? from + step + OVERLAP_MM / 2 : null]
                  .filter((x) => x !== null)
                  .map((x) => (
                    <line key={x} x1={x} x2={x} y1={0} y2={heightMm} strokeDasharray="2 1.5" />
                  ))}
                <line x1={from + 4} x2={from + 4 + CHECK_MM} y1={full - 8} y2={full - 8} />
                {[0, CHECK_MM].map((x) => (
                  <line key={x} x1={from + 4 + x} x2={from + 4 + x} y1={full - 11} y2={full - 5} />
                ))}
                <text x={from + 8 + CHECK_MM} y={full - 6.5} fontSize={4} stroke="none">
                  {CHECK_MM} mm exactly · sheet {i + 1} of {count}, laid dashed line on dashed line
                </text>
              </g>
            </svg>
          </Box>
        );
      })}
    </>
  );
}

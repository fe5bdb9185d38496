import type { PlacedMark } from '@lean-clasp/core';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';

/** More clamps than this show no numbers. */
const MOST_NUMBERS = 45;
const RADIUS = 11;

interface Placed {
  readonly marks: readonly PlacedMark[];
  /** From mm on the sheet to pixels. */
  readonly at: (point: readonly [number, number]) => [number, number];
}

/** Clamps of an assembly where they stand: bars with their jaws, bands and strips. */
export function PlacedBars({ marks, at }: Placed) {
  const { tokens } = useTheme().palette;
  const path = (points: readonly (readonly [number, number])[], closed: boolean) =>
    `M${points
      .map((point) =>
        at(point)
          .map((value) => value.toFixed(1))
          .join(' '),
      )
      .join('L')}${closed ? 'Z' : ''}`;
  return (
    <g aria-hidden pointerEvents="none">
      {marks.map(({ number, line, closed, jaws }) => (
        <g key={number} fill="none" stroke={tokens.action} strokeLinejoin="round">
          {line.length > 1 && (
            <>
              <path d={path(line, closed)} stroke={tokens.paper} strokeWidth={6} opacity={0.7} />
              <path d={path(line, closed)} strokeWidth={closed ? 2.5 : 3.5} />
            </>
          )}
          {jaws.map((jaw, i) => (
            <path key={i} d={path(jaw, false)} strokeWidth={7} />
          ))}
        </g>
      ))}
    </g>
  );
}

/** Whether clamps are numbered, or only dotted because there are so many. */
export const areNumbered = (marks: readonly PlacedMark[]): boolean => marks.length <= MOST_NUMBERS;

/** Their numbers, over everything else. */
export function PlacedNumbers({ marks, at }: Placed) {
  const { tokens } = useTheme().palette;
  const numbered = areNumbered(marks);
  return (
    <g aria-hidden pointerEvents="none">
      {marks.map(({ number, at: spot }) => {
        const [x, y] = at(spot);
        return numbered ? (
          <g key={number}>
            <circle cx={x} cy={y} r={RADIUS} fill={tokens.action} stroke={tokens.sheet} strokeWidth={1.5} />
            <text
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontSize={14}
              fontFamily={FIGURE_FACE}
              fill={tokens.sheet}
            >
              {number}
            </text>
          </g>
        ) : (
          <rect key={number} x={x - 3} y={y - 3} width={6} height={6} fill={tokens.action} />
        );
      })}
    </g>
  );
}

import type { PlacedMark } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { moveByArrows } from '../drawing/arrow-keys';
import { Pickable } from '../drawing/Pickable';
import { isSelected, useSelection } from '../drawing/selection';
import { type Point, svgPath } from '../drawing/svg-path';

/** More clamps than this show no numbers. */
const MOST_NUMBERS = 45;
const RADIUS = 11;

interface Placed {
  readonly marks: readonly PlacedMark[];
  /** From mm on the sheet to pixels. */
  readonly at: (point: Point) => [number, number];
}

/** Clamps of an assembly where they stand: bars with their jaws, bands and strips. */
export function PlacedBars({ marks, at }: Placed) {
  const { tokens } = useTheme().palette;
  const { selected } = useSelection();
  const isLit = (id: string | null) => id !== null && isSelected(selected, 'clamp', id);
  const path = (points: readonly Point[], closed: boolean) => svgPath(points, at, closed);
  return (
    <g aria-hidden pointerEvents="none">
      {marks.map(({ id, number, line, closed, jaws }) => (
        <g key={number} fill="none" stroke={isLit(id) ? tokens.ink : tokens.action} strokeLinejoin="round">
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

/** Their numbers, over everything else; those that were placed can be chosen. */
export function PlacedNumbers({ marks, at }: Placed) {
  const numbered = areNumbered(marks);
  const placed = marks.filter(({ id }) => id !== null);
  return (
    <>
      <g aria-hidden pointerEvents="none">
        {marks
          .filter(({ id }) => id === null)
          .map((mark) => (
            <Spot key={mark.number} mark={mark} at={at(mark.at)} numbered={numbered} />
          ))}
      </g>
      {placed.length > 0 && (
        <g role="group" aria-label="Clamps" onKeyDown={moveByArrows}>
          {placed.map((mark, i) => (
            <Pickable
              key={mark.id}
              what={{ kind: 'clamp', id: mark.id ?? '' }}
              label={`Clamp ${mark.number}`}
              tabStop={i === 0}
            >
              <Spot mark={mark} at={at(mark.at)} numbered={numbered} />
            </Pickable>
          ))}
        </g>
      )}
    </>
  );
}

function Spot({
  mark: { id, number },
  at: [x, y],
  numbered,
}: {
  readonly mark: PlacedMark;
  readonly at: readonly [number, number];
  readonly numbered: boolean;
}) {
  const { tokens } = useTheme().palette;
  const { selected } = useSelection();
  const lit = id !== null && isSelected(selected, 'clamp', id);
  if (!numbered) return <rect x={x - 3} y={y - 3} width={6} height={6} fill={tokens.action} />;
  return (
    <>
      <circle
        cx={x}
        cy={y}
        r={RADIUS}
        fill={lit ? tokens.ink : tokens.action}
        stroke={tokens.sheet}
        strokeWidth={1.5}
      />
      <text x={x} y={y + 5} textAnchor="middle" fontSize={14} fontFamily={FIGURE_FACE} fill={tokens.sheet}>
        {number}
      </text>
    </>
  );
}

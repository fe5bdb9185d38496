import type { PlacedMark } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { moveByArrows } from '../drawing/arrow-keys';
import { Pickable } from '../drawing/Pickable';
import { isSelected, useSelection } from '../drawing/selection';
import { type Point, svgPath } from '../drawing/svg-path';
import { useFormat } from '../quantities/use-format';
import type { Held, SlideHandlers } from './use-sliding';

/** More clamps than this show no numbers. */
const MOST_NUMBERS = 45;
const RADIUS = 11;
/** A finger takes hold within this, px. */
const GRIP = 22;

interface Placed {
  readonly marks: readonly PlacedMark[];
  /** From mm on the sheet to pixels. */
  readonly at: (point: Point) => [number, number];
  /** The one that is being slid. */
  readonly held: Held | null;
}

const movedBy = (held: Held | null, number: number): string | undefined =>
  held?.number === number ? `translate(${held.by[0]} ${held.by[1]})` : undefined;

/** Clamps of an assembly where they stand, in true size: bars with their jaws on blocks, bands, strips and springs. */
export function PlacedBars({ marks, at, held }: Placed) {
  const { tokens } = useTheme().palette;
  const { selected } = useSelection();
  const isLit = (id: string | null) => id !== null && isSelected(selected, 'clamp', id);
  const path = (points: readonly Point[]) => svgPath(points, at, true);
  return (
    <g aria-hidden pointerEvents="none" strokeLinejoin="round">
      {marks.map(({ id, number, band, bars, metal, wood, strip }, index) => {
        const ink = isLit(id) ? tokens.ink : tokens.action;
        return (
          <g key={index} transform={movedBy(held, number)}>
            {wood.map((block, i) => (
              <path
                key={i}
                d={path(block)}
                fill={tokens.barGround}
                stroke={tokens.woodInk}
                strokeWidth={0.8}
              />
            ))}
            {bars.map((piece, i) => (
              <path
                key={i}
                d={path(piece)}
                fill={tokens.actionTint}
                fillOpacity={0.85}
                stroke={ink}
                strokeWidth={1.2}
              />
            ))}
            {metal.map((piece, i) => (
              <path
                key={i}
                d={path(piece)}
                fill={strip ? tokens.actionTint : ink}
                stroke={strip ? ink : tokens.paper}
                strokeWidth={strip ? 1 : 0.6}
              />
            ))}
            {band.length > 0 && (
              <>
                <path d={path(band)} fill="none" stroke={tokens.paper} strokeWidth={6} opacity={0.7} />
                <path d={path(band)} fill="none" stroke={ink} strokeWidth={2.5} />
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Whether clamps are numbered, or only dotted because there are so many. */
export const areNumbered = (marks: readonly PlacedMark[]): boolean =>
  marks.filter(({ strip }) => !strip).length <= MOST_NUMBERS;

/** Their numbers, over everything else: clamps are slid by them, and those that were placed can be chosen. */
export function PlacedNumbers({
  marks,
  at,
  held,
  handlersOf,
}: Placed & { readonly handlersOf: (number: number) => SlideHandlers | undefined }) {
  const numbered = areNumbered(marks);
  const placed = marks.filter(({ id }) => id !== null);
  // Strips are told by how many there are.
  const workedOut = marks.filter(({ id, strip }) => id === null && !strip);
  return (
    <>
      <g aria-hidden>
        {workedOut.map((mark) => {
          const handlers = handlersOf(mark.number);
          return (
            <g
              key={mark.number}
              pointerEvents={handlers === undefined ? 'none' : undefined}
              cursor="grab"
              style={{ touchAction: 'none' }}
              data-clamp={mark.number}
              {...handlers}
            >
              <Spot mark={mark} at={at(mark.at)} numbered={numbered} held={held} />
            </g>
          );
        })}
      </g>
      {placed.length > 0 && (
        <g role="group" aria-label="Clamps" onKeyDown={moveByArrows}>
          {placed.map((mark, i) => (
            <Pickable
              key={mark.id}
              what={{ kind: 'clamp', id: mark.id ?? '' }}
              label={`Clamp ${mark.number}`}
              tabStop={i === 0}
              style={{ touchAction: 'none' }}
              data-clamp={mark.number}
              {...handlersOf(mark.number)}
            >
              <Spot mark={mark} at={at(mark.at)} numbered={numbered} held={held} />
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
  held,
}: {
  readonly mark: PlacedMark;
  readonly at: readonly [number, number];
  readonly numbered: boolean;
  readonly held: Held | null;
}) {
  const { tokens } = useTheme().palette;
  const { selected } = useSelection();
  const f = useFormat();
  const lit = id !== null && isSelected(selected, 'clamp', id);
  if (!numbered) return <rect x={x - 3} y={y - 3} width={6} height={6} fill={tokens.action} />;
  return (
    <g transform={movedBy(held, number)}>
      <circle cx={x} cy={y} r={GRIP} fill="transparent" />
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
      {held?.number === number && (
        <text
          x={x}
          y={y - GRIP}
          textAnchor="middle"
          fontSize={14}
          fill={tokens.ink}
          stroke={tokens.sheet}
          strokeWidth={5}
          paintOrder="stroke"
        >
          {f.length(held.place.alongMm)} along
        </text>
      )}
    </g>
  );
}

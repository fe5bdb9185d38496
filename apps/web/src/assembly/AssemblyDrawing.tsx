import type { AssemblyMarks, AssemblyPlan } from '@lean-clasp/core';
import { useTheme } from '@mui/material/styles';
import { memo, useId } from 'react';
import { Pickable } from '../drawing/Pickable';
import { isSelected, useSelection } from '../drawing/selection';
import type { Size } from '../drawing/use-size';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';

/** Room for dimensions around the drawing, px. */
const MARGIN = { left: 64, right: 24, top: 24, bottom: 44 };
/** More parts than this get a dot in place of a name. */
const MOST_NAMES = 14;

/** One view of an assembly to scale; every part can be reached, read out and chosen. */
export const AssemblyDrawing = memo(function AssemblyDrawing({
  marks,
  facts,
  title,
  size,
  dimensioned,
}: {
  readonly marks: AssemblyMarks;
  readonly facts: AssemblyPlan['facts'];
  readonly title: string;
  readonly size: Size;
  readonly dimensioned: boolean;
}) {
  const { tokens } = useTheme().palette;
  const { selected, select } = useSelection();
  const hatch = useId();
  const scale = Math.min(
    (size.width - MARGIN.left - MARGIN.right) / Math.max(1, marks.size[0]),
    (size.height - MARGIN.top - MARGIN.bottom) / Math.max(1, marks.size[1]),
  );
  // In the middle of whatever room is left over.
  const left = MARGIN.left + (size.width - MARGIN.left - MARGIN.right - marks.size[0] * scale) / 2;
  const top = MARGIN.top + (size.height - MARGIN.top - MARGIN.bottom - marks.size[1] * scale) / 2;
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    left + (x - marks.from[0]) * scale,
    top + (y - marks.from[1]) * scale,
  ];
  const path = (loops: AssemblyMarks['sides'][number]['loops']) =>
    loops
      .map(
        (loop) =>
          `M${loop
            .map((point) =>
              at(point)
                .map((value) => value.toFixed(1))
                .join(' '),
            )
            .join('L')}Z`,
      )
      .join('');
  const joined = facts.joints.find(({ joint }) => isSelected(selected, 'joint', joint.id))?.joint;
  const lit = (id: string | null) =>
    id !== null && (isSelected(selected, 'part', id) || joined?.a === id || joined?.b === id);
  return (
    <svg
      width={size.width}
      height={size.height}
      role="group"
      aria-label={`${title}: ${facts.parts.length} parts, ${facts.joints.length} joints`}
    >
      <defs>
        <pattern id={hatch} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} x2={0} y1={0} y2={5} stroke={tokens.woodInk} strokeWidth={0.7} opacity={0.55} />
        </pattern>
      </defs>
      <g aria-hidden>
        {marks.sides.map(({ part, loops, endGrain, light }, i) => {
          const d = path(loops);
          const fill = part === null ? tokens.barGround : lit(part) ? tokens.glue : tokens.wood;
          return (
            <g key={i} onClick={() => part !== null && select({ kind: 'part', id: part })} cursor="pointer">
              <path
                d={d}
                fill={fill}
                fillRule="evenodd"
                stroke={tokens.woodInk}
                strokeWidth={0.8}
                strokeLinejoin="round"
              />
              <path d={d} fill={tokens.woodInk} fillRule="evenodd" opacity={0.26 * (1 - light)} />
              {endGrain && <path d={d} fill={`url(#${hatch})`} fillRule="evenodd" />}
            </g>
          );
        })}
      </g>
      {marks.parts.map(({ id, label, at: spot }) => {
        const [x, y] = at(spot);
        const named = marks.parts.length <= MOST_NAMES || isSelected(selected, 'part', id);
        const width = label.length * 7.2 + 12;
        return (
          <Pickable key={id} what={{ kind: 'part', id }} label={label}>
            {named ? (
              <>
                <rect
                  x={x - width / 2}
                  y={y - 11}
                  width={width}
                  height={22}
                  rx={3}
                  fill={tokens.sheet}
                  stroke={tokens.ink}
                  strokeWidth={0.8}
                  opacity={0.92}
                />
                <text x={x} y={y + 5} textAnchor="middle" fontSize={14} fill={tokens.ink}>
                  {label}
                </text>
              </>
            ) : (
              <circle cx={x} cy={y} r={3} fill={tokens.ink} opacity={0.7} />
            )}
          </Pickable>
        );
      })}
      {dimensioned && <Overall marks={marks} at={at} />}
    </svg>
  );
});

/** Overall size along the bottom and up the left side. */
function Overall({
  marks,
  at,
}: {
  readonly marks: AssemblyMarks;
  readonly at: (point: readonly [number, number]) => [number, number];
}) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const own = marks.parts.length > 0 ? marks : null;
  if (own === null) return null;
  const [x0, y0] = at(marks.from);
  const [x1, y1] = at([marks.from[0] + marks.size[0], marks.from[1] + marks.size[1]]);
  const text = { fontSize: 14, fill: tokens.ink, textAnchor: 'middle' as const, fontFamily: FIGURE_FACE };
  return (
    <g stroke={tokens.ink} strokeWidth={1}>
      <path
        d={`M${x0} ${y1 + 10}V${y1 + 22}M${x1} ${y1 + 10}V${y1 + 22}M${x0} ${y1 + 16}H${x1}`}
        fill="none"
      />
      <path
        d={`M${x0 - 10} ${y0}H${x0 - 22}M${x0 - 10} ${y1}H${x0 - 22}M${x0 - 16} ${y0}V${y1}`}
        fill="none"
      />
      <text x={(x0 + x1) / 2} y={y1 + 37} stroke="none" {...text}>
        {f.length(marks.size[0])}
      </text>
      <text transform={`translate(${x0 - 26} ${(y0 + y1) / 2}) rotate(-90)`} stroke="none" {...text}>
        {f.length(marks.size[1])}
      </text>
    </g>
  );
}

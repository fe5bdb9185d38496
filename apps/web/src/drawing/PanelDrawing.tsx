import type { PanelMarks } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';
import { BoardShapes } from './BoardShapes';
import { ClampShapes } from './ClampShapes';
import type { DrawingExtras } from './extras';
import { LineShapes } from './LineShapes';
import { rulerTicks, type Sheet, sheetFor } from './sheet';
import type { Size } from './use-size';

/** Plan view of an edge-glued panel, to scale. */
export function PanelDrawing({
  marks,
  title,
  size,
  extras,
}: {
  readonly marks: PanelMarks;
  readonly title: string;
  readonly size: Size;
  readonly extras: DrawingExtras;
}) {
  const sheet = sheetFor(marks, size, extras.lineNotes);
  const showClamps =
    extras.focus === undefined
      ? extras.dressing === 'pressure' || extras.dressing === 'order'
      : extras.focus.clamp !== null;
  return (
    <svg
      width={size.width}
      height={sheet.height}
      viewBox={`0 0 ${size.width} ${sheet.height}`}
      role="group"
      aria-label={`${title}, drawn to scale`}
      style={{ display: 'block', touchAction: 'manipulation' }}
    >
      <Ruler marks={marks} sheet={sheet} />
      <Edges marks={marks} sheet={sheet} />
      <BoardShapes marks={marks} sheet={sheet} focus={extras.focus} />
      <LineShapes marks={marks} sheet={sheet} extras={extras} />
      <TrimLines marks={marks} sheet={sheet} />
      {showClamps && <Cauls marks={marks} sheet={sheet} />}
      {showClamps && <Corners marks={marks} sheet={sheet} />}
      {showClamps && <ClampShapes marks={marks} sheet={sheet} extras={extras} />}
    </svg>
  );
}

interface Part {
  readonly marks: PanelMarks;
  readonly sheet: Sheet;
}

function Ruler({ marks, sheet }: Part) {
  const { tokens } = useTheme().palette;
  const { system } = useFormat();
  const y = 26;
  return (
    <g stroke={tokens.soft} fill={tokens.soft} fontSize={14} fontFamily={FIGURE_FACE} aria-hidden>
      <line x1={sheet.x(0)} x2={sheet.x(marks.lengthMm)} y1={y} y2={y} />
      {rulerTicks(marks.lengthMm, sheet.scale, system).map(({ mm, label }) => (
        <g key={mm} transform={`translate(${sheet.x(mm)} ${y})`}>
          <line y2={label === null ? 5 : 9} />
          {label !== null && (
            <text y={-6} textAnchor="middle" stroke="none">
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function Edges({ marks, sheet }: Part) {
  const { tokens } = useTheme().palette;
  if (marks.edgeMm === 0) return null;
  const height = marks.edgeMm * sheet.scale;
  const along =
    marks.edgeKind === 'battens'
      ? [{ x: 0, width: marks.lengthMm }]
      : marks.clamps.map(({ xMm, padWidthMm }) => ({ x: xMm - padWidthMm / 2, width: padWidthMm }));
  return (
    <g fill={tokens.actionTint} stroke={tokens.action} aria-hidden>
      {along.flatMap(({ x, width }) =>
        [-marks.edgeMm, marks.widthMm].map((y) => (
          <rect key={`${x} ${y}`} x={sheet.x(x)} y={sheet.y(y)} width={width * sheet.scale} height={height} />
        )),
      )}
    </g>
  );
}

/** Width at which cauls are drawn. */
const CAUL_MM = 40;

function Cauls({ marks, sheet }: Part) {
  const { tokens } = useTheme().palette;
  return (
    <g fill="none" stroke={tokens.woodInk} strokeDasharray="2 3" aria-hidden>
      {marks.caulsAtMm.map((x) => (
        <rect
          key={x}
          x={sheet.x(x - CAUL_MM / 2)}
          y={sheet.y(0) - 4}
          width={CAUL_MM * sheet.scale}
          height={marks.widthMm * sheet.scale + 8}
        />
      ))}
    </g>
  );
}

/** Pads of the clamps that hold the corners down, seen from above. */
function Corners({ marks, sheet }: Part) {
  const { tokens } = useTheme().palette;
  return (
    <g fill={tokens.actionTint} stroke={tokens.action} strokeWidth={1.2} aria-hidden>
      {marks.corners?.map(({ xMm, yMm, padMm }) => (
        <g key={`${xMm} ${yMm}`}>
          <circle cx={sheet.x(xMm)} cy={sheet.y(yMm)} r={Math.max(6, (padMm / 2) * sheet.scale)} />
          <circle cx={sheet.x(xMm)} cy={sheet.y(yMm)} r={2.5} fill={tokens.action} />
        </g>
      ))}
    </g>
  );
}

function TrimLines({ marks, sheet }: Part) {
  const { tokens } = useTheme().palette;
  if (marks.trimMm === 0) return null;
  return (
    <g stroke={tokens.hatch} strokeDasharray="6 4" aria-hidden>
      {[marks.trimMm, marks.lengthMm - marks.trimMm].map((x) => (
        <line key={x} x1={sheet.x(x)} x2={sheet.x(x)} y1={sheet.y(0)} y2={sheet.y(marks.widthMm)} />
      ))}
    </g>
  );
}

import type { LineMark, PanelMarks, PressureBand } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';
import type { DrawingExtras, MarkedStretch } from './extras';
import { Pickable } from './Pickable';
import { isSelected, useSelection } from './selection';
import type { Sheet } from './sheet';

/** Height of a line's band on screen. */
const BAND_PX = 14;

/** Glue lines dressed for the step: gaps, glue, order, or pressure bands with low stretches hatched. */
export function LineShapes({
  marks,
  sheet,
  extras,
}: {
  readonly marks: PanelMarks;
  readonly sheet: Sheet;
  readonly extras: DrawingExtras;
}) {
  const { tokens } = useTheme().palette;
  return (
    <>
      <defs>
        <pattern
          id="under-target"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="7" stroke={tokens.hatch} strokeWidth="2.4" />
        </pattern>
      </defs>
      {marks.lines.map((line) => (
        <LineShape
          key={line.index}
          line={line}
          sheet={sheet}
          extras={extras}
          note={extras.lineNotes?.[line.index] ?? null}
        />
      ))}
    </>
  );
}

function LineShape({
  line,
  sheet,
  extras: { dressing, focus, marked = [] },
  note,
}: {
  readonly line: LineMark;
  readonly sheet: Sheet;
  readonly extras: DrawingExtras;
  readonly note: string | null;
}) {
  const { tokens } = useTheme().palette;
  const { pressure } = useFormat();
  const { selected } = useSelection();
  const chosen = isSelected(selected, 'joint', line.id);
  const y = sheet.y(line.yMm);
  const x0 = sheet.x(line.xMm);
  const x1 = sheet.x(line.xMm + line.lengthMm);
  const lit = focus === undefined || focus.lines.includes(line.index);
  const glued = dressing === 'glue' || (focus !== undefined && lit);
  return (
    <Pickable
      what={{ kind: 'joint', id: line.id }}
      label={`Line ${line.label}${dressing === 'pressure' ? `, lowest ${pressure(line.minMPa)}` : ''}${note === null ? '' : `, ${note}`}`}
      opacity={lit ? 1 : 0.35}
    >
      <rect x={x0} y={y - BAND_PX} width={x1 - x0} height={2 * BAND_PX} fill="transparent" />
      {dressing === 'pressure' && <Bands bands={line.bands} y={y} sheet={sheet} />}
      {glued && <rect x={x0} y={y - 4} width={x1 - x0} height={8} fill={tokens.glue} />}
      <line x1={x0} x2={x1} y1={y} y2={y} stroke={tokens.woodInk} strokeWidth={chosen ? 4.5 : 1.2} />
      {marked
        .filter((each) => each.line === line.id)
        .map(({ where }) => (
          <Marked key={where} where={where} from={x0} to={x1} y={y} />
        ))}
      {dressing === 'pressure' && line.weakest && (
        <circle
          cx={sheet.x(line.minAtMm)}
          cy={y}
          r={9}
          fill="none"
          stroke={line.bands.some((band) => band.underTarget) ? tokens.hatch : tokens.woodInk}
          strokeWidth={2.4}
        />
      )}
      {note !== null && (
        <text x={x1 + 10} y={y + 5} fontSize={14} fontFamily={FIGURE_FACE} fill={tokens.ink}>
          {note}
        </text>
      )}
    </Pickable>
  );
}

/** Where in thirds of a line a mark begins and ends. */
const THIRDS: Readonly<Record<MarkedStretch['where'], readonly [number, number]>> = {
  all: [0, 1],
  start: [0, 1 / 3],
  middle: [1 / 3, 2 / 3],
  end: [2 / 3, 1],
};

/** A stretch that was seen not to be right: thick and dashed, over its third. */
function Marked({
  where,
  from,
  to,
  y,
}: {
  readonly where: MarkedStretch['where'];
  readonly from: number;
  readonly to: number;
  readonly y: number;
}) {
  const { tokens } = useTheme().palette;
  const [a, b] = THIRDS[where].map((share) => from + share * (to - from));
  return (
    <line
      x1={a}
      x2={b}
      y1={y}
      y2={y}
      stroke={tokens.fails}
      strokeWidth={7}
      strokeDasharray="12 5"
      data-testid="marked"
    />
  );
}

function Bands({
  bands,
  y,
  sheet,
}: {
  readonly bands: readonly PressureBand[];
  readonly y: number;
  readonly sheet: Sheet;
}) {
  const { tokens } = useTheme().palette;
  return (
    <g>
      {bands.map((band) => {
        const box = {
          x: sheet.x(band.fromMm),
          y: y - BAND_PX / 2,
          width: (band.toMm - band.fromMm) * sheet.scale,
          height: BAND_PX,
        };
        return (
          <g key={band.fromMm}>
            <rect {...box} fill={tokens.ramp[band.step]} />
            {band.underTarget && <rect {...box} fill="url(#under-target)" />}
          </g>
        );
      })}
      <rect
        x={sheet.x(bands[0]?.fromMm ?? 0)}
        y={y - BAND_PX / 2}
        width={((bands.at(-1)?.toMm ?? 0) - (bands[0]?.fromMm ?? 0)) * sheet.scale}
        height={BAND_PX}
        fill="none"
        stroke={tokens.woodInk}
        strokeWidth={0.6}
      />
    </g>
  );
}

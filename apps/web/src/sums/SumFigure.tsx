import { type Figure, type FigureInk, figureOf } from '@lean-clasp/core/drawing';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import type { Tokens } from '../app/tokens';
import { useSize } from '../drawing/use-size';
import { type Format, useFormat } from '../quantities/use-format';
import { valueWords } from './answer-words';

/** At most so large; where the column is narrower the drawing shrinks, its text does not. */
const SIZE = { width: 600, height: 310 };
/** Room for labels around the drawing. */
const ROOM = { x: 130, y: 34 };

interface Stroke {
  readonly stroke: string;
  readonly width: number;
  readonly fill?: string;
  readonly dash?: string;
}

const strokes = (tokens: Tokens): Readonly<Record<FigureInk, Stroke>> => ({
  wood: { stroke: tokens.woodInk, width: 1.2, fill: tokens.wood },
  edge: { stroke: tokens.ink, width: 2 },
  thin: { stroke: tokens.soft, width: 1 },
  ghost: { stroke: tokens.soft, width: 1.2, dash: '5 4' },
  glue: { stroke: tokens.glue, width: 3, fill: tokens.glue },
  force: { stroke: tokens.fails, width: 2.2 },
  mark: { stroke: tokens.action, width: 2.2 },
});

/** A sum drawn from what was put in and what came out. Its numbers are all in the answer, too. */
export function SumFigure({
  name,
  given,
  answer,
}: {
  readonly name: string;
  readonly given: unknown;
  readonly answer: unknown;
}) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const figure = figureOf(name, given, answer);
  const [ref, room] = useSize(SIZE);
  const width = Math.min(SIZE.width, room.width);
  const sheet = figure === null ? null : fit(figure, width);
  if (figure === null || sheet === null) return null;
  const { at } = sheet;
  const inks = strokes(tokens);
  return (
    <Box component="figure" ref={ref} sx={{ m: 0, mb: 2 }}>
      <svg width={width} height={sheet.height} aria-hidden data-testid="sum-figure">
        {figure.paths.map(({ points, closed, ink, arrow }, i) => {
          const { stroke, width, fill, dash } = inks[ink];
          const drawn = points.map(at);
          return (
            <g key={i}>
              <path
                d={`M${drawn.map((point) => point.map((value) => value.toFixed(1)).join(' ')).join('L')}${closed ? 'Z' : ''}`}
                fill={closed ? (fill ?? 'none') : 'none'}
                stroke={stroke}
                strokeWidth={width}
                strokeDasharray={dash}
                strokeLinejoin="round"
              />
              {arrow && <ArrowHead points={drawn} colour={stroke} />}
            </g>
          );
        })}
        {figure.labels.map((label, i) => (
          <FigureText key={i} at={at(label.at)} side={label.side}>
            {labelWords(label, f)}
          </FigureText>
        ))}
      </svg>
      {figure.enlarged > 1 && (
        <Typography component="figcaption" variant="body2" color="text.secondary">
          Deviations drawn {figure.enlarged} times as large.
        </Typography>
      )}
    </Box>
  );
}

function labelWords({ field, value, text }: Figure['labels'][number], f: Format): string {
  if (field === null || value === null) return text;
  const number = valueWords(field, value, f);
  return text === '' ? number : `${text} ${number}`;
}

interface Sheet {
  readonly height: number;
  readonly at: (point: readonly [number, number]) => [number, number];
}

/** Places a figure's points on a sheet so wide and as high as it needs, to scale; null for one without size. */
function fit({ paths }: Figure, width: number): Sheet | null {
  const points = paths.flatMap((path) => path.points);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (width - 2 * ROOM.x) / Math.max(right - left, 1e-9),
    (SIZE.height - 2 * ROOM.y) / Math.max(high - low, 1e-9),
  );
  if (!Number.isFinite(scale) || points.length === 0) return null;
  return {
    height: (high - low) * scale + 2 * ROOM.y,
    at: ([x, y]) => [width / 2 + (x - (left + right) / 2) * scale, ROOM.y + (high - y) * scale],
  };
}

function ArrowHead({
  points,
  colour,
}: {
  readonly points: readonly (readonly [number, number])[];
  readonly colour: string;
}) {
  const [from, to] = [points.at(-2), points.at(-1)];
  if (from === undefined || to === undefined) return null;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length < 2) return null;
  const turn = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const size = Math.min(9, length);
  return (
    <path
      d={`M0 0L${-size} ${-size / 2.2}L${-size} ${size / 2.2}Z`}
      fill={colour}
      transform={`translate(${to[0].toFixed(1)} ${to[1].toFixed(1)}) rotate(${turn.toFixed(1)})`}
    />
  );
}

const ANCHORS = {
  above: { anchor: 'middle', dx: 0, dy: -8 },
  below: { anchor: 'middle', dx: 0, dy: 19 },
  left: { anchor: 'end', dx: -8, dy: 5 },
  right: { anchor: 'start', dx: 8, dy: 5 },
} as const;

function FigureText({
  at: [x, y],
  side,
  children,
}: {
  readonly at: readonly [number, number];
  readonly side: keyof typeof ANCHORS;
  readonly children: string;
}) {
  const { tokens } = useTheme().palette;
  const { anchor, dx, dy } = ANCHORS[side];
  return (
    <text
      x={x + dx}
      y={y + dy}
      textAnchor={anchor}
      fontSize={14}
      fontFamily={FIGURE_FACE}
      fill={tokens.ink}
      stroke={tokens.paper}
      strokeWidth={4}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

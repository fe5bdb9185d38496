import {
  type Figure,
  type FigureInk,
  type PlacedLabel,
  placeLabels,
  type WantedLabel,
} from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import type { Tokens } from '../app/tokens';
import { type Point, svgPath } from './svg-path';
import type { Size } from './use-size';

interface Stroke {
  readonly stroke: string;
  readonly width: number;
  readonly fill?: string;
  readonly dash?: string;
}

const strokes = (tokens: Tokens): Readonly<Record<FigureInk, Stroke>> => ({
  wood: { stroke: tokens.woodInk, width: 1.2, fill: tokens.wood },
  lit: { stroke: tokens.ink, width: 1.6, fill: tokens.glue },
  edge: { stroke: tokens.ink, width: 2 },
  thin: { stroke: tokens.soft, width: 1, fill: tokens.barGround },
  ghost: { stroke: tokens.soft, width: 1.2, dash: '5 4' },
  glue: { stroke: tokens.glue, width: 3, fill: tokens.glue },
  force: { stroke: tokens.fails, width: 2.2 },
  mark: { stroke: tokens.action, width: 2.2 },
});

/** Any figure of the core to scale, within a size and with room for its labels; as high as it needs. */
export function FigureView({
  figure,
  size,
  room,
  words = ({ text }) => text,
  fontSize = 14,
  weight = 1,
  frame = [],
  testId,
}: {
  readonly figure: Figure;
  readonly size: Size;
  /** Room for labels on either side, px. */
  readonly room: { readonly x: number; readonly y: number };
  readonly words?: (label: Figure['labels'][number]) => string;
  readonly fontSize?: number;
  /** How many times as thick marks and forces are drawn, to be seen from further off. */
  readonly weight?: number;
  /** Points that keep their place on the sheet whatever else is drawn. */
  readonly frame?: readonly Point[];
  readonly testId?: string;
}) {
  const { tokens } = useTheme().palette;
  const sheet = fit(figure, size, room, frame);
  if (sheet === null) return null;
  const { at } = sheet;
  const inks = strokes(tokens);
  const texts = figure.labels.map(words);
  const placed = placeLabels(
    figure.labels.map((label, i) => boxOf(label, at(label.at), texts[i] ?? '', fontSize)),
    { width: size.width, height: sheet.height },
  );
  return (
    <svg width={size.width} height={sheet.height} aria-hidden data-testid={testId}>
      {figure.paths.map(({ points, closed, ink, arrow, holes = [], shade = 0 }, i) => {
        const { stroke, width, fill, dash } = inks[ink];
        const d = [points, ...holes].map((loop) => svgPath(loop, at, closed)).join('');
        return (
          <g key={i} fillRule="evenodd">
            <path
              d={d}
              fill={closed ? (fill ?? 'none') : 'none'}
              stroke={stroke}
              strokeWidth={ink === 'mark' || ink === 'force' ? weight * width : width}
              strokeDasharray={dash}
              strokeLinejoin="round"
            />
            {shade > 0 && <path d={d} fill={tokens.woodInk} opacity={0.26 * shade} />}
            {arrow && <ArrowHead points={points.map(at)} colour={stroke} />}
          </g>
        );
      })}
      {figure.labels.map((label, i) => (
        <FigureText key={i} spot={at(label.at)} placed={placed[i]} fontSize={fontSize}>
          {texts[i] ?? ''}
        </FigureText>
      ))}
    </svg>
  );
}

interface Sheet {
  readonly height: number;
  readonly at: (point: Point) => [number, number];
}

/** Places a figure's points on a sheet so wide and as high as it needs, to scale; null for one without size. */
function fit(
  { paths }: Figure,
  size: Size,
  room: { readonly x: number; readonly y: number },
  frame: readonly Point[],
): Sheet | null {
  const points = [...frame, ...paths.flatMap((path) => path.points)];
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (size.width - 2 * room.x) / Math.max(right - left, 1e-9),
    (size.height - 2 * room.y) / Math.max(high - low, 1e-9),
  );
  if (!Number.isFinite(scale) || scale <= 0 || points.length === 0) return null;
  return {
    height: (high - low) * scale + 2 * room.y,
    at: ([x, y]) => [size.width / 2 + (x - (left + right) / 2) * scale, room.y + (high - y) * scale],
  };
}

function ArrowHead({ points, colour }: { readonly points: readonly Point[]; readonly colour: string }) {
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

/** Which way from its spot a label goes, in its own widths and heights, and how far off it stays, px. */
const SIDES = {
  above: { dx: 0, dy: -1, off: 3 },
  below: { dx: 0, dy: 1, off: 4 },
  left: { dx: -1, dy: 0, off: 8 },
  right: { dx: 1, dy: 0, off: 8 },
} as const;
/** A letter of the figures' face is so wide, its line so high, and its middle so far above the foot, as shares of its size. */
const LETTER = { wide: 0.6, high: 1.2, middle: 0.35 };

function boxOf(
  { side }: Figure['labels'][number],
  [x, y]: Point,
  text: string,
  fontSize: number,
): WantedLabel {
  const [width, height] = [text.length * LETTER.wide * fontSize, LETTER.high * fontSize];
  const { dx, dy, off } = SIDES[side];
  return { x: x + dx * (width / 2 + off), y: y + dy * (height / 2 + off), width, height };
}

/** A name beside its spot, or as near as it may come without lying upon another; then a line leads back. */
function FigureText({
  spot: [x, y],
  placed,
  fontSize,
  children,
}: {
  readonly spot: Point;
  readonly placed: PlacedLabel | undefined;
  readonly fontSize: number;
  readonly children: string;
}) {
  const { tokens } = useTheme().palette;
  if (placed === undefined) return null;
  return (
    <>
      {placed.away && <line x1={x} y1={y} x2={placed.x} y2={placed.y} stroke={tokens.soft} />}
      <text
        x={placed.x}
        y={placed.y + LETTER.middle * fontSize}
        textAnchor="middle"
        fontSize={fontSize}
        fontFamily={FIGURE_FACE}
        fill={tokens.ink}
        stroke={tokens.paper}
        strokeWidth={4}
        paintOrder="stroke"
      >
        {children}
      </text>
    </>
  );
}

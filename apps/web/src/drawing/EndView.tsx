import type { BoardMark, PanelMarks } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';

const ROOM_PX = 48;
/** Room for the figure of the bow at the right. */
const RIGHT_PX = 116;
const RINGS = 4;

/** The panel seen on its end grain: rings with the heart up or down, bars above and below. */
export function EndView({
  marks,
  width,
  showBars,
}: {
  readonly marks: PanelMarks;
  readonly width: number;
  readonly showBars: boolean;
}) {
  const { tokens } = useTheme().palette;
  const scale = Math.max(0.05, (width - ROOM_PX - RIGHT_PX) / marks.widthMm);
  const thickness = Math.max(...marks.boards.map((board) => board.thicknessMm)) * scale;
  const top = 14;
  const height = top + Math.max(12, thickness) + 16;
  const sides = new Set(showBars ? marks.clamps.map(({ side }) => side) : []);
  return (
    <svg width={width} height={height} role="img" aria-label={`End view: ${heartWords(marks.boards)}`}>
      <text
        x={ROOM_PX - 10}
        y={height / 2 + 5}
        textAnchor="end"
        fontSize={14}
        fontFamily={FIGURE_FACE}
        fill={tokens.soft}
      >
        end
      </text>
      {sides.has('above') && <Bar y={top - 7} width={marks.widthMm * scale} dashed={false} />}
      {marks.boards.map((board, index) => (
        <EndGrain
          key={board.id}
          board={board}
          x={ROOM_PX + board.yMm * scale}
          y={top}
          scale={scale}
          fill={index % 2 === 0 ? tokens.wood : tokens.woodAlternate}
        />
      ))}
      {showBars && marks.bowMm !== 0 && <Bow marks={marks} y={top + thickness / 2} scale={scale} />}
      {sides.has('below') && <Bar y={top + thickness + 7} width={marks.widthMm * scale} dashed />}
    </svg>
  );
}

/** A bow of any size is drawn so high, px, and told in figures. */
const BOW_PX = 12;

/** The panel's middle line as it bows, enlarged, with its figure. */
function Bow({
  marks,
  y,
  scale,
}: {
  readonly marks: PanelMarks;
  readonly y: number;
  readonly scale: number;
}) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const end = ROOM_PX + marks.widthMm * scale;
  const pops = marks.bowMm === null;
  return (
    <g>
      <path
        d={`M${ROOM_PX} ${y}Q${(ROOM_PX + end) / 2} ${y - 2 * BOW_PX} ${end} ${y}`}
        fill="none"
        stroke={pops ? tokens.fails : tokens.glueText}
        strokeWidth={2}
        strokeDasharray="3 3"
      />
      <text x={end + 8} y={y + 5} fontSize={14} fontFamily={FIGURE_FACE} fill={tokens.ink}>
        {pops ? 'pops' : `bow ${f.fine(marks.bowMm ?? 0)}`}
      </text>
    </g>
  );
}

function heartWords(boards: readonly BoardMark[]): string {
  return boards.map((board) => `${board.label} heart ${board.heart}`).join(', ');
}

function Bar({ y, width, dashed }: { readonly y: number; readonly width: number; readonly dashed: boolean }) {
  const { tokens } = useTheme().palette;
  return (
    <line
      x1={ROOM_PX}
      x2={ROOM_PX + width}
      y1={y}
      y2={y}
      stroke={tokens.action}
      strokeWidth={5}
      strokeDasharray={dashed ? '9 7' : undefined}
      opacity={dashed ? 0.75 : 1}
    />
  );
}

function EndGrain({
  board,
  x,
  y,
  scale,
  fill,
}: {
  readonly board: BoardMark;
  readonly x: number;
  readonly y: number;
  readonly scale: number;
  readonly fill: string;
}) {
  const { tokens } = useTheme().palette;
  const width = board.widthMm * scale;
  const height = board.thicknessMm * scale;
  const clip = `end-${board.id}`;
  const heartDown = board.heart === 'down';
  return (
    <g>
      <clipPath id={clip}>
        <rect x={x} y={y} width={width} height={height} />
      </clipPath>
      <rect x={x} y={y} width={width} height={height} fill={fill} stroke={tokens.ink} />
      <g clipPath={`url(#${clip})`} fill="none" stroke={tokens.woodInk} strokeWidth={0.8}>
        {Array.from({ length: RINGS * 2 }, (_, i) => {
          if (board.cut !== 'flat') {
            const lean = board.cut === 'rift' ? height : 0;
            const at = x + ((i + 0.5) * width) / (RINGS * 2);
            return <line key={i} x1={at - lean / 2} x2={at + lean / 2} y1={y + height} y2={y} />;
          }
          const radius = Math.max(4, board.ringRadiusMm * scale + (i - RINGS) * (height / RINGS));
          const centre = heartDown
            ? y + height / 2 + board.ringRadiusMm * scale
            : y + height / 2 - board.ringRadiusMm * scale;
          return <circle key={i} cx={x + width / 2} cy={centre} r={radius} />;
        })}
      </g>
    </g>
  );
}

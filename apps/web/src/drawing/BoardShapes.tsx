import type { BoardMark, PanelMarks } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';
import type { DrawingExtras } from './extras';
import { Pickable } from './Pickable';
import { isSelected, useSelection } from './selection';
import type { Sheet } from './sheet';

/** Boards with their grain, lettered at the left. */
export function BoardShapes({
  marks,
  sheet,
  focus,
}: {
  readonly marks: PanelMarks;
  readonly sheet: Sheet;
  readonly focus: DrawingExtras['focus'];
}) {
  return (
    <>
      {marks.boards.map((board, index) => (
        <BoardShape
          key={board.id}
          board={board}
          sheet={sheet}
          alternate={index % 2 === 1}
          dim={focus !== undefined && focus.lines.length < marks.lines.length && !touches(focus.lines, index)}
        />
      ))}
    </>
  );
}

const touches = (lines: readonly number[], board: number) =>
  lines.some((line) => line === board || line === board - 1);

function BoardShape({
  board,
  sheet,
  alternate,
  dim,
}: {
  readonly board: BoardMark;
  readonly sheet: Sheet;
  readonly alternate: boolean;
  readonly dim: boolean;
}) {
  const { tokens } = useTheme().palette;
  const { length } = useFormat();
  const { selected } = useSelection();
  const chosen = isSelected(selected, 'board', board.id);
  const x = sheet.x(board.xMm);
  const y = sheet.y(board.yMm);
  const width = board.lengthMm * sheet.scale;
  const height = board.widthMm * sheet.scale;
  return (
    <Pickable
      what={{ kind: 'board', id: board.id }}
      label={`Board ${board.label}, ${length(board.widthMm)} wide, ${length(board.lengthMm)} long, heart ${board.heart}`}
      opacity={dim ? 0.32 : 1}
    >
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill={alternate ? tokens.woodAlternate : tokens.wood}
        stroke={chosen ? tokens.glue : tokens.woodInk}
        strokeWidth={chosen ? 4 : 1}
      />
      <Grain x={x} y={y} width={width} height={height} cut={board.cut} colour={tokens.grain} />
      <text
        x={x - 10}
        y={y + height / 2 + 5}
        textAnchor="end"
        fontSize={14}
        fontFamily={FIGURE_FACE}
        fontWeight={chosen ? 700 : 400}
        fill={tokens.ink}
      >
        {height >= 13 ? `${board.label} ${length(board.widthMm)}` : ''}
      </text>
    </Pickable>
  );
}

/** Grain lines: straight and close for quarter-sawn, wavy for flat-sawn. */
function Grain({
  x,
  y,
  width,
  height,
  cut,
  colour,
}: {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly cut: BoardMark['cut'];
  readonly colour: string;
}) {
  const gap = { flat: 14, rift: 9, quarter: 6 }[cut];
  const wave = { flat: 3, rift: 1, quarter: 0 }[cut];
  const count = Math.max(0, Math.floor(height / gap) - 1);
  return (
    <g fill="none" stroke={colour} strokeWidth={1}>
      {Array.from({ length: count }, (_, i) => {
        const at = y + ((i + 1) * height) / (count + 1);
        const bend = wave * (i % 2 === 0 ? 1 : -1);
        return (
          <path key={i} d={`M${x + 6} ${at}q${width / 4} ${bend} ${width / 2 - 6} 0t${width / 2 - 6} 0`} />
        );
      })}
    </g>
  );
}

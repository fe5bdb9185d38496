import { useTheme } from '@mui/material/styles';

const BOARDS = [26, 20, 30, 24, 25];

/** An edge-glued panel that stands for its kind. */
export function PanelPicture() {
  const { tokens } = useTheme().palette;
  const tops = BOARDS.map((_, i) => 12 + BOARDS.slice(0, i).reduce((sum, width) => sum + width, 0));
  return (
    <svg viewBox="0 0 270 150" width="100%" aria-hidden>
      {BOARDS.map((width, i) => (
        <rect
          key={i}
          x={30}
          y={tops[i]}
          width={210}
          height={width}
          fill={i % 2 === 0 ? tokens.wood : tokens.woodAlternate}
          stroke={tokens.woodInk}
        />
      ))}
    </svg>
  );
}

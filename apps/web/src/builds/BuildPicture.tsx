import { type BuildDocument, isPanel, type PanelBuild } from '@lean-clasp/core';
import { useTheme } from '@mui/material/styles';
import { AssemblyPicture } from './AssemblyPicture';

const BOX = { width: 270, height: 150 };

/** A build, small. */
export function BuildPicture({ build }: { readonly build: BuildDocument }) {
  return isPanel(build) ? <PanelToScale build={build} /> : <AssemblyPicture build={build} />;
}

function PanelToScale({ build }: { readonly build: PanelBuild }) {
  const { tokens } = useTheme().palette;
  const widthMm = build.boards.reduce((sum, board) => sum + board.widthMm, 0);
  const lengthMm = Math.max(...build.boards.map((board) => board.lengthMm));
  const scale = Math.min((BOX.width - 20) / lengthMm, (BOX.height - 20) / widthMm);
  const left = (BOX.width - lengthMm * scale) / 2;
  const top = (BOX.height - widthMm * scale) / 2;
  const offsets = build.boards.map((_, i) =>
    build.boards.slice(0, i).reduce((sum, board) => sum + board.widthMm, 0),
  );
  return (
    <svg viewBox={`0 0 ${BOX.width} ${BOX.height}`} width="100%" aria-hidden>
      {build.boards.map((board, i) => (
        <rect
          key={board.id}
          x={left}
          y={top + (offsets[i] ?? 0) * scale}
          width={board.lengthMm * scale}
          height={board.widthMm * scale}
          fill={i % 2 === 0 ? tokens.wood : tokens.woodAlternate}
          stroke={tokens.ink}
        />
      ))}
      {build.clamps.map((clamp) => (
        <line
          key={clamp.id}
          x1={left + clamp.xMm * scale}
          x2={left + clamp.xMm * scale}
          y1={top - 5}
          y2={top + widthMm * scale + 5}
          stroke={tokens.action}
          strokeWidth={3}
          strokeDasharray={clamp.side === 'above' ? undefined : '5 4'}
        />
      ))}
    </svg>
  );
}

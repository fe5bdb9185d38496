import { deriveAssembly } from '@lean-clasp/core/assembly';
import { assemblyMarks } from '@lean-clasp/core/drawing';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { layAssembly } from '@lean-clasp/core/kinds';
import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';

const BOX = { width: 270, height: 150 };
const ROOM = 8;

/** A build on the slant, small; nothing where its answers cannot be made. */
export function BuildPicture({ build }: { readonly build: BuildDocument }) {
  const { tokens } = useTheme().palette;
  const marks = useMemo(() => {
    const { lowPct, highPct } = build.mcInUse;
    return assemblyMarks(deriveAssembly(layAssembly(build, (lowPct + highPct) / 2)), 'slant', {
      aids: false,
    });
  }, [build]);
  const scale = Math.min((BOX.width - 2 * ROOM) / marks.size[0], (BOX.height - 2 * ROOM) / marks.size[1]);
  const left = (BOX.width - marks.size[0] * scale) / 2;
  const top = (BOX.height - marks.size[1] * scale) / 2;
  return (
    <svg viewBox={`0 0 ${BOX.width} ${BOX.height}`} width="100%" aria-hidden>
      {marks.sides.map(({ loops, light }, i) => {
        const d = loops
          .map(
            (loop) =>
              `M${loop.map(([x, y]) => `${(left + (x - marks.from[0]) * scale).toFixed(1)} ${(top + (y - marks.from[1]) * scale).toFixed(1)}`).join('L')}Z`,
          )
          .join('');
        return (
          <g key={i}>
            <path d={d} fill={tokens.wood} fillRule="evenodd" stroke={tokens.woodInk} strokeWidth={0.6} />
            <path d={d} fill={tokens.woodInk} fillRule="evenodd" opacity={0.26 * (1 - light)} />
          </g>
        );
      })}
    </svg>
  );
}

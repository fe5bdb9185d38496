import { useTheme } from '@mui/material/styles';
import type { Piece } from './pictures';

/** A small drawing of a thing in the shop, in the colours of the theme; only to look at. */
export function Picture({ pieces }: { readonly pieces: readonly Piece[] }) {
  const { tokens } = useTheme().palette;
  const fill = { steel: tokens.barGround, wood: tokens.wood, glue: tokens.glue, line: 'none' };
  return (
    <svg viewBox="0 0 120 64" width="120" height="64" aria-hidden>
      {pieces.map(([made, path]) => (
        <path
          key={path}
          d={path}
          fill={fill[made]}
          stroke={tokens.ink}
          strokeWidth={made === 'line' ? 3 : 1.4}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
}

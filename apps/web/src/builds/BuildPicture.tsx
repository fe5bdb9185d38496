import { deriveAssembly } from '@lean-clasp/core/assembly';
import { assemblyFigure, assemblyMarks } from '@lean-clasp/core/drawing';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { layAssembly } from '@lean-clasp/core/kinds';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { FigureView } from '../drawing/FigureView';

const SIZE = { width: 270, height: 150 };
const ROOM = { x: 8, y: 8 };

/** A build on the slant, small; nothing where its answers cannot be made. */
export function BuildPicture({ build }: { readonly build: BuildDocument }) {
  const figure = useMemo(() => {
    const { lowPct, highPct } = build.mcInUse;
    const facts = deriveAssembly(layAssembly(build, (lowPct + highPct) / 2));
    return { ...assemblyFigure(assemblyMarks(facts, 'slant', { aids: false })), labels: [] };
  }, [build]);
  return (
    <Box sx={{ height: SIZE.height, display: 'grid', placeItems: 'center', '& svg': { maxWidth: '100%' } }}>
      <FigureView figure={figure} size={SIZE} room={ROOM} />
    </Box>
  );
}

import { InputError } from '@lean-clasp/core/basics';
import { assemblyFigure, assemblyMarks } from '@lean-clasp/core/drawing';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { measureBuild } from '@lean-clasp/core/kinds';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { FigureView } from '../drawing/FigureView';
import { useOwnWoods } from '../shop/own';

const SIZE = { width: 270, height: 150 };
const ROOM = { x: 8, y: 8 };

/** Room for a picture that is not there yet. */
export const NoPicture = () => <Box sx={{ height: SIZE.height }} />;

/** A build on the slant, small; nothing where its answers cannot be made. */
export function BuildPicture({
  build,
  size = SIZE,
}: {
  readonly build: BuildDocument;
  readonly size?: { readonly width: number; readonly height: number };
}) {
  const woods = useOwnWoods();
  const figure = useMemo(() => {
    const { lowPct, highPct } = build.mcInUse;
    try {
      const facts = measureBuild(build, (lowPct + highPct) / 2, woods);
      return { ...assemblyFigure(assemblyMarks(facts, 'slant', { aids: false })), labels: [] };
    } catch (error) {
      if (error instanceof InputError) return null;
      throw error;
    }
  }, [build, woods]);
  return (
    <Box sx={{ height: size.height, display: 'grid', placeItems: 'center', '& svg': { maxWidth: '100%' } }}>
      {figure !== null && <FigureView figure={figure} size={size} room={ROOM} />}
    </Box>
  );
}

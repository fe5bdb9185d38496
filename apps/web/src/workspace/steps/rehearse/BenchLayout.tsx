import { benchLayout } from '@lean-clasp/core/drawing';
import { type Plan, whichBench } from '@lean-clasp/core/plan';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { FigureView } from '../../../drawing/FigureView';
import { useSize } from '../../../drawing/use-size';
import { useFormat } from '../../../quantities/use-format';

/** Where everything stands, from above and to scale. */
export function BenchLayout({ plan, session }: { readonly plan: Plan; readonly session: number }) {
  const [ref, size] = useSize({ width: 520, height: 280 });
  const f = useFormat();
  const which = whichBench(plan);
  const figure = useMemo(() => benchLayout(plan, session), [plan, session]);
  return (
    <>
      <Box ref={ref} sx={{ height: 280, maxWidth: 760, overflow: 'hidden' }}>
        <FigureView figure={figure} size={size} room={{ x: 70, y: 28 }} testId="bench-layout" />
      </Box>
      <Typography variant="body2" color="text.secondary">
        {which !== null &&
          `On ${which.bench.name}, ${f.about(which.top[0])} × ${f.about(which.top[1])}${which.holds ? '' : ', which is too small for the work'}. `}
        With the glue the spreader and a spare, with the water the rag, with the mallet a block, square and
        tape. Clamps stand open in the order in which they go on, the first by the right hand. The dashed arcs
        are what one reaches without a step, 750 mm [judgement]: what lies beyond is carried before the first
        bead.
      </Typography>
    </>
  );
}

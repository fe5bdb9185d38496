import { assemblyFigure } from '@lean-clasp/core/drawing';
import Box from '@mui/material/Box';
import { type BenchKit, linesOf } from '../../bench/bench-kit';
import type { MarkedStretch } from '../../drawing/extras';
import { FigureView } from '../../drawing/FigureView';
import { PanelDrawing } from '../../drawing/PanelDrawing';
import { useSize } from '../../drawing/use-size';

/** What was glued, with the stretches that were not right; lines of a row can be picked. */
export function RecordDrawing({
  kit: { title, marks, drawn, ...kit },
  marked,
}: {
  readonly kit: BenchKit;
  readonly marked: readonly MarkedStretch[];
}) {
  const [ref, size] = useSize({ width: 700, height: 280 });
  const joints = linesOf({ title, marks, ...kit }, [...new Set(marked.map(({ line }) => line))]);
  return (
    <Box ref={ref} sx={{ height: 280, maxWidth: 860, overflow: 'hidden', mb: 1 }}>
      {marks !== null && (
        <PanelDrawing marks={marks} title={title} size={size} extras={{ dressing: 'plain', marked }} />
      )}
      {drawn && (
        <FigureView
          figure={assemblyFigure(drawn.marks, [], {
            joints,
            parts: joints.flatMap((i) => drawn.joins[i] ?? []),
            clamp: null,
          })}
          size={size}
          room={{ x: 16, y: 16 }}
        />
      )}
    </Box>
  );
}

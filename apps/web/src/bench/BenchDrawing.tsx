import type { BenchStep } from '@lean-clasp/core/bench';
import type { PanelMarks } from '@lean-clasp/core/drawing';
import Box from '@mui/material/Box';
import { PanelDrawing } from '../drawing/PanelDrawing';
import { useSize } from '../drawing/use-size';
import type { BenchKit } from './bench-kit';

/** A row of boards with only what is touched now fully inked. */
export function BenchDrawing({ kit, step }: { readonly kit: BenchKit; readonly step: BenchStep }) {
  return kit.marks === null ? null : <RowDrawing kit={kit} marks={kit.marks} step={step} />;
}

function RowDrawing({
  kit,
  marks,
  step,
}: {
  readonly kit: BenchKit;
  readonly marks: PanelMarks;
  readonly step: BenchStep;
}) {
  const [ref, size] = useSize({ width: 700, height: 300 });
  return (
    <Box ref={ref} sx={{ flex: 1, minHeight: 160, overflow: 'hidden' }} aria-hidden>
      <Box sx={{ pointerEvents: 'none' }} inert>
        <PanelDrawing
          marks={marks}
          title={kit.title}
          size={size}
          extras={{ dressing: 'plain', focus: { lines: step.lines, clamp: step.clamp } }}
        />
      </Box>
    </Box>
  );
}

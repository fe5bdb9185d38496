import type { BenchStep } from '@lean-clasp/core/bench';
import { assemblyFigure, type PanelMarks } from '@lean-clasp/core/drawing';
import Box from '@mui/material/Box';
import { FigureView } from '../drawing/FigureView';
import { PanelDrawing } from '../drawing/PanelDrawing';
import { type Size, useSize } from '../drawing/use-size';
import type { BenchAssembly, BenchKit } from './bench-kit';

/** What is glued, with only what is touched now standing out. */
export function BenchDrawing({ kit, step }: { readonly kit: BenchKit; readonly step: BenchStep }) {
  const [ref, size] = useSize({ width: 700, height: 300 });
  return (
    <Box ref={ref} sx={{ flex: 1, minHeight: 160, overflow: 'hidden' }} aria-hidden>
      <Box sx={{ pointerEvents: 'none' }} inert>
        {kit.marks !== null && <RowDrawing title={kit.title} marks={kit.marks} step={step} size={size} />}
        {kit.drawn && <AssemblyNow assembly={kit.drawn} step={step} size={size} />}
      </Box>
    </Box>
  );
}

function RowDrawing({
  title,
  marks,
  step,
  size,
}: {
  readonly title: string;
  readonly marks: PanelMarks;
  readonly step: BenchStep;
  readonly size: Size;
}) {
  return (
    <PanelDrawing
      marks={marks}
      title={title}
      size={size}
      extras={{ dressing: 'plain', focus: { lines: step.lines, clamp: step.clamp } }}
    />
  );
}

function AssemblyNow({
  assembly: { marks, joins, clamps },
  step: { lines, clamp },
  size,
}: {
  readonly assembly: BenchAssembly;
  readonly step: BenchStep;
  readonly size: Size;
}) {
  // A clamp in hand stands for itself; its pass concerns joints all over.
  const joints = clamp === null ? lines : [];
  const parts = joints.flatMap((i) => joins[i] ?? []);
  return (
    <FigureView
      figure={assemblyFigure(marks, clamps, { joints, parts, clamp })}
      size={size}
      room={{ x: 16, y: 24 }}
      fontSize={24}
      weight={2}
      testId="bench-assembly"
    />
  );
}

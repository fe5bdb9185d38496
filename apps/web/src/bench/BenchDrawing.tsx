import type { ScriptOperation } from '@lean-clasp/core/bench';
import { assemblyFigure, type PanelMarks, type SheetClosing } from '@lean-clasp/core/drawing';
import Box from '@mui/material/Box';
import { FigureView } from '../drawing/FigureView';
import { PanelDrawing } from '../drawing/PanelDrawing';
import { type Size, useSize } from '../drawing/use-size';
import { useFlyIn } from './use-fly-in';
import { type BenchAssembly, type BenchKit, linesOf } from './bench-kit';

/** What is touched now: joints by their place in the drawing, and the clamp in hand. */
interface Touched {
  readonly lines: readonly number[];
  readonly clamp: number | null;
}

/** Rows have a left and a right in their drawing. */
export const isRow = ({ marks }: BenchKit): boolean => marks !== null;

/** What is glued, with only what is touched now standing out. */
export function BenchDrawing({ kit, now }: { readonly kit: BenchKit; readonly now: ScriptOperation }) {
  const [ref, size] = useSize({ width: 700, height: 300 });
  const touched: Touched = {
    lines: linesOf(kit, now.joints),
    clamp: now.kind === 'caul' ? null : (now.clamps[0] ?? null),
  };
  return (
    <Box
      ref={ref}
      sx={{
        flex: { xs: 'none', sm: 1 },
        height: { xs: 190, sm: 'auto' },
        minHeight: 160,
        overflow: 'hidden',
      }}
      aria-hidden
    >
      <Box sx={{ pointerEvents: 'none' }} inert>
        {kit.marks !== null && (
          <RowDrawing title={kit.title} marks={kit.marks} touched={touched} size={size} />
        )}
        {kit.drawn && (
          <AssemblyNow
            key={now.id}
            assembly={kit.drawn}
            touched={touched}
            size={size}
            closes={now.kind === 'close' ? now.joints : []}
          />
        )}
      </Box>
    </Box>
  );
}

function RowDrawing({
  title,
  marks,
  touched,
  size,
}: {
  readonly title: string;
  readonly marks: PanelMarks;
  readonly touched: Touched;
  readonly size: Size;
}) {
  return (
    <PanelDrawing marks={marks} title={title} size={size} extras={{ dressing: 'plain', focus: touched }} />
  );
}

function AssemblyNow({
  assembly: { marks, joins, clamps, closings = [] },
  touched: { lines, clamp },
  size,
  closes,
}: {
  readonly assembly: BenchAssembly;
  readonly touched: Touched;
  readonly size: Size;
  /** Joints that are closed now: what closes them comes along its way. */
  readonly closes: readonly string[];
}) {
  const comes = closings.find(({ joints }) => joints.some((joint) => closes.includes(joint)));
  const left = useFlyIn(comes !== undefined);
  // A clamp in hand stands for itself; its pass concerns joints all over.
  const joints = clamp === null ? lines : [];
  const parts = joints.flatMap((i) => joins[i] ?? []);
  return (
    <FigureView
      figure={assemblyFigure(
        marks,
        clamps,
        { joints, parts, clamp },
        comes === undefined || left === 0
          ? null
          : { parts: comes.comes, by: [left * comes.from[0], left * comes.from[1]] },
      )}
      frame={comes === undefined ? [] : frameOf(marks, comes)}
      size={size}
      room={{ x: 16, y: 24 }}
      fontSize={24}
      weight={2}
      testId="bench-assembly"
    />
  );
}

/** Corners of the drawing with what comes still apart, y up as figures have it: nothing jumps while it moves. */
function frameOf({ from, size }: BenchAssembly['marks'], { from: apart }: SheetClosing): [number, number][] {
  const beside = [0, 1].map((share) => [share * apart[0], share * apart[1]] as const);
  return beside.flatMap(([x, y]): [number, number][] => [
    [from[0] + x, -(from[1] + y)],
    [from[0] + size[0] + x, -(from[1] + size[1] + y)],
  ]);
}

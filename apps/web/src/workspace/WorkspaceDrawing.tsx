import { type PanelMarks, panelMarks } from '@lean-clasp/core/drawing';
import type { Fix } from '@lean-clasp/core/fixes';
import { cornersOf, type Plan, rowOf, type RowPlan } from '@lean-clasp/core/plan';
import Box from '@mui/material/Box';
import { Suspense, useEffect, useMemo } from 'react';
import { DrawingSheet } from '../drawing/DrawingSheet';
import type { Dressing, DrawingExtras } from '../drawing/extras';
import { PressureLegend } from '../drawing/PressureLegend';
import { useSelection } from '../drawing/selection';
import { Loading } from '../frame/Loading';
import { readIn } from '../parts/read-in';
import { useGlance, usePlan } from '../planner/plan-context';
import { type Format, useFormat } from '../quantities/use-format';
import { moveClamp, removeClamps } from './edits';
import { useOpenBuild } from './open-build';
import { PrintNotes } from './PrintNotes';
import type { StepId } from './steps-list';

const DRESSINGS: Readonly<Record<StepId, Dressing>> = {
  fit: 'gaps',
  glue: 'glue',
  order: 'order',
  squeeze: 'pressure',
  rehearse: 'order',
  'glue-up': 'order',
  record: 'plain',
};

const SolidArea = readIn(() => import('../assembly/AssemblyArea').then((m) => m.AssemblyArea));

/** The work to scale, dressed for the step: a row of straight boards from above, everything else as a solid. */
export function WorkspaceDrawing({ step }: { readonly step: StepId }) {
  const { build } = useOpenBuild();
  const { plan } = usePlan();
  const isSolid = build.row === undefined;
  useEffect(() => {
    // While it is planned.
    if (isSolid) void SolidArea.ahead();
  }, [isSolid]);
  if (plan === null) return <Loading what="Drawing" />;
  return plan.row !== null && !plan.row.panel.outlined ? (
    <RowDrawing step={step} plan={plan} row={plan.row} />
  ) : (
    <Suspense fallback={<Loading what="Drawing" />}>
      <SolidArea step={step} />
    </Suspense>
  );
}

function RowDrawing({
  step,
  plan,
  row,
}: {
  readonly step: StepId;
  readonly plan: Plan;
  readonly row: RowPlan;
}) {
  const { build, edit } = useOpenBuild();
  const { ghost } = useSelection();
  const f = useFormat();
  const dressing = DRESSINGS[step];
  const movable = step === 'squeeze';
  const { glance, look } = useGlance();
  const planned = useMemo(() => panelMarks(row, cornersOf(plan)), [row, plan]);
  const marks = glance?.marks ?? planned;
  const extras = useMemo(
    (): DrawingExtras => ({
      dressing,
      lineNotes: notesFor(dressing, plan, row, marks, f),
      ghosts: ghostsOf(row, ghost),
      onMoveClamp: movable ? (id, xMm) => edit('Clamp position', moveClamp(row, id, xMm)) : undefined,
      onDragClamp: movable
        ? (id, xMm) => look(xMm === null ? null : moveClamp(row, id, xMm)(build))
        : undefined,
      onRemoveClamp: movable ? (id) => edit('Clamp off', removeClamps(row, [id])) : undefined,
    }),
    [dressing, plan, row, marks, f, ghost, movable, edit, look, build],
  );
  const legend = useMemo(() => {
    const target = row.lines[0]?.target;
    return dressing !== 'pressure' || target === undefined ? undefined : (
      <PressureLegend lowMPa={target.lowMPa} highMPa={target.highMPa} />
    );
  }, [dressing, row]);
  return (
    <Box sx={{ minWidth: 0, minHeight: 0, overflow: 'hidden' }}>
      <DrawingSheet marks={marks} title={build.name} extras={extras} legend={legend} />
      <PrintNotes name={build.name} row={row} />
    </Box>
  );
}

/** A few characters at the right end of each line. */
function notesFor(
  dressing: Dressing,
  plan: Plan,
  row: RowPlan,
  marks: PanelMarks,
  f: Format,
): (string | null)[] {
  const turns = new Map(
    (plan.order?.sessions ?? [])
      .flatMap(({ closings }) => closings)
      .flatMap(({ joints }) => joints)
      .map((id, i) => [id, i + 1]),
  );
  return row.lines.map(({ line, gapMm, spread }, i) => {
    switch (dressing) {
      case 'gaps':
        return gapMm === null || gapMm === 0
          ? null
          : `${gapMm > 0 ? 'hollow' : 'proud'} ${f.fine(Math.abs(gapMm))}`;
      case 'glue':
        return f.mass(spread.massG);
      case 'order':
        return `${turns.get(line.id) ?? line.index + 1}.`;
      case 'pressure':
        return f.pressureNumber(marks.lines[i]?.minMPa ?? 0);
      case 'plain':
        return null;
    }
  });
}

/** Clamps of a proposed fix that are not there yet, or not at that place. */
function ghostsOf({ job }: RowPlan, fix: Fix | null) {
  const here = new Set(job.clamps.map(({ xMm }) => xMm));
  return fix === null ? [] : rowOf(fix.build).clamps.filter(({ xMm }) => !here.has(xMm));
}

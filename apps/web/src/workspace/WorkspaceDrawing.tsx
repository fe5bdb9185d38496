import { type BuildDocument, type Fix, isPanel, type Plan, panelMarks } from '@lean-clasp/core';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { DrawingSheet } from '../drawing/DrawingSheet';
import type { Dressing, DrawingExtras } from '../drawing/extras';
import { PressureLegend } from '../drawing/PressureLegend';
import { useSelection } from '../drawing/selection';
import { Loading } from '../frame/Loading';
import { usePlan } from '../planner/plan-context';
import { type Format, useFormat } from '../quantities/use-format';
import { moveClamp, removeClamp } from './edits';
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

/** The panel as the step on show wants to see it. */
export function WorkspaceDrawing({ step }: { readonly step: StepId }) {
  const { build, edit } = useOpenBuild();
  const { plan } = usePlan();
  const { ghost } = useSelection();
  const f = useFormat();
  const dressing = DRESSINGS[step];
  const movable = step === 'squeeze';
  const marks = useMemo(() => (plan === null ? null : panelMarks(plan)), [plan]);
  const extras = useMemo(
    (): DrawingExtras => ({
      dressing,
      lineNotes: plan === null ? [] : notesFor(dressing, plan, f),
      ghosts: plan === null ? [] : ghostsOf(plan, ghost),
      onMoveClamp: movable ? (id, xMm) => edit('Clamp position', moveClamp(id, xMm)) : undefined,
      onRemoveClamp: movable ? (id) => edit('Clamp off', removeClamp(id)) : undefined,
    }),
    [dressing, plan, f, ghost, movable, edit],
  );
  const legend = useMemo(() => {
    const target = plan?.lines[0]?.target;
    return dressing !== 'pressure' || target === undefined ? undefined : (
      <PressureLegend lowMPa={target.lowMPa} highMPa={target.highMPa} />
    );
  }, [dressing, plan]);
  if (marks === null) return <Loading what="Drawing" />;
  return (
    <Box sx={{ minWidth: 0, minHeight: 0, overflow: 'hidden' }}>
      <DrawingSheet marks={marks} title={build.name} extras={extras} legend={legend} />
      {plan !== null && <PrintNotes plan={plan} />}
    </Box>
  );
}

/** A few characters at the right end of each line. */
function notesFor(dressing: Dressing, plan: Plan, f: Format): (string | null)[] {
  return plan.lines.map(({ line, gapMm, spread, pressure }) => {
    switch (dressing) {
      case 'gaps':
        return gapMm === null || gapMm === 0
          ? null
          : `${gapMm > 0 ? 'hollow' : 'proud'} ${f.fine(Math.abs(gapMm))}`;
      case 'glue':
        return f.mass(spread.massG);
      case 'order':
        return `${line.index + 1}.`;
      case 'pressure':
        return f.pressureNumber(pressure.minMPa);
      case 'plain':
        return null;
    }
  });
}

/** Clamps of a proposed fix that are not there yet, or not at that place. */
function ghostsOf(plan: Plan, fix: Fix<BuildDocument> | null) {
  const here = new Set(plan.build.clamps.map(({ xMm }) => xMm));
  return fix === null || !isPanel(fix.build) ? [] : fix.build.clamps.filter(({ xMm }) => !here.has(xMm));
}

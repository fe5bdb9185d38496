import { batchOf } from '@lean-clasp/core/calendar';
import { type Plan, batchJobOf } from '@lean-clasp/core/plan';
import { formatClock, formatWait } from '@lean-clasp/core/units';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Section } from '../frame/Page';

/** Equal pieces one after the other: how they flow through the clamps there are. */
export function BatchSection({ plan }: { readonly plan: Plan }) {
  const batch = useMemo(() => {
    if (plan.facts.assembly.sets < 2 || plan.order?.impossible) return null;
    if (plan.joints.some(({ window }) => window.clampMin === null)) return null;
    const ids = plan.joints.map(({ facts }) => facts.joint.id);
    const job = batchJobOf(plan, ids, plan.handsOnMin);
    return { job, ...batchOf(job) };
  }, [plan]);
  if (batch === null) return null;
  const { job, heldUpBy, clampSetsToFlow, perHour, firstFreeMin, doneMin } = batch;
  const rate = perHour >= 10 ? perHour.toFixed(0) : perHour.toFixed(1);
  return (
    <Section title={`Batch of ${job.pieces}`}>
      <Typography>
        <strong>{rate} an hour</strong> once it flows, {formatWait(doneMin)} until the last clamp is off. The
        first clamps may come off after {formatClock(firstFreeMin)}.
      </Typography>
      <Typography variant="body2" sx={{ mt: 1 }}>
        {heldUpBy === 'hands'
          ? `The rack holds ${job.clampSets} at once; hands never wait for clamps.`
          : `The rack holds ${job.clampSets} at once, so hands wait for clamps; with ${clampSetsToFlow} they would not.`}{' '}
        Each takes {formatClock(job.handsOnMin)} and {formatWait(job.clampMin)} in clamps, the long end of the
        label.
      </Typography>
    </Section>
  );
}

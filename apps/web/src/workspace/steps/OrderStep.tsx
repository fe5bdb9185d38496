import { formatClock, formatWait, jobOfPanel, stepsBefore } from '@lean-clasp/core';
import Typography from '@mui/material/Typography';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { Dates } from '../../order/Dates';
import { BeforeFirstBead } from '../../order/BeforeFirstBead';
import { useFixes, usePlan } from '../../planner/plan-context';
import { TimelineChart } from '../../timeline/TimelineChart';
import { FixList } from '../../verdicts/FixList';
import { useOpenBuild } from '../open-build';
import { Tick } from '../../parts/Tick';

/** Order: the one session of a panel on a clock, lane by lane, with a fuse for each line. */
export function OrderStep() {
  const { plan } = usePlan();
  const { fixes } = useFixes();
  const { build, edit } = useOpenBuild();
  if (plan === null) return <Loading />;
  const window = plan.lines[0]?.window;
  return (
    <>
      <Section title="One session">
        <Typography sx={{ mb: 1 }}>
          {formatClock(plan.timeline.handsOnMin)} hands-on
          {window?.clampMin == null ? '' : `, then ${formatWait(window.clampMin.high)} in clamps`}
          {window?.machineMin == null ? '' : `, ${formatWait(window.machineMin)} before it meets a plane`}.
        </Typography>
        <BeforeFirstBead steps={stepsBefore(plan.adhesive, jobOfPanel(plan, null))} />
        <TimelineChart plan={plan} />
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          A fuse burns from a line’s first bead to full pressure, with a notch where its faces close. The mark
          is the short end of what the glue gives today, counted from the bead or from closing, whichever ends
          first. Lines close in turn from A, cauls are snugged, clamps go on from the centre outward, then all
          come to full pull.
        </Typography>
        <Tick
          label="Clamps opened to size and laid out beforehand"
          checked={build.holding.preSet}
          onChange={(preSet) =>
            edit('Clamps laid out', (before) => ({ ...before, holding: { ...before.holding, preSet } }))
          }
        />
      </Section>
      <Dates plan={plan} />
      {(fixes?.inTime.length ?? 0) > 0 && (
        <Section title="What would help">
          <FixList fixes={fixes?.inTime ?? []} />
        </Section>
      )}
    </>
  );
}

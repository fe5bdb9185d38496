import {
  type Arranged,
  type AssemblyPlan,
  formatClock,
  formatWait,
  jobOfAssembly,
  stepsBefore,
} from '@lean-clasp/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { Loading } from '../frame/Loading';
import { Section } from '../frame/Page';
import { Tick } from '../parts/Tick';
import { useAssemblyPlan, useFixes } from '../planner/plan-context';
import { FixList } from '../verdicts/FixList';
import { obstacleWords, statusWords } from '../words/order';
import { useOpenAssembly } from '../workspace/open-build';
import { Dates } from './Dates';
import { BatchSection } from './BatchSection';
import { BeforeFirstBead } from './BeforeFirstBead';
import { arrangeAs, glueInDryJig, inOneGo, preSetClamps } from './edits';
import { LikelihoodLine } from './LikelihoodLine';
import { Sessions } from './Sessions';
import { type Arranging, useArranging } from './use-arranging';

/** Order of an assembly: how far to go at once, and what is closed when. */
export function AssemblyOrder() {
  const { build, shop, edit } = useOpenAssembly();
  const { plan } = useAssemblyPlan();
  const { fixes } = useFixes();
  const take = useCallback(
    (best: Arranged) => {
      if (best.sessions.length > 0) edit('Sessions worked out', arrangeAs(best));
    },
    [edit],
  );
  const arranging = useArranging(build, shop, take);
  if (plan === null) return <Loading />;
  if (plan.joints.length === 0) {
    return <Typography>No joint yet: join parts at Fit, then their order can be worked out.</Typography>;
  }
  const waits = plan.joints[0]?.window;
  const wait = (
    <>
      {waits?.clampMin == null ? '' : `, then ${formatWait(waits.clampMin.high)} in clamps`}
      {waits?.machineMin == null ? '' : `, ${formatWait(waits.machineMin)} before it meets a plane`}
    </>
  );
  const inTime = fixes?.inTime ?? [];
  return (
    <>
      <BeforeFirstBead steps={stepsBefore(plan.adhesive, jobOfAssembly(plan, null))} />
      {plan.order === null ? (
        <Section title="In one go">
          <Typography sx={{ mb: 1 }}>
            All {plan.joints.length} joints spread, closed and clamped one after the other take{' '}
            {formatClock(plan.handsOnMin)}
            {wait}. An order that closes each joint soon after it is spread gains room, and so do sessions.
          </Typography>
          <LikelihoodLine build={build} shop={shop} />
          <Ways plan={plan} />
          <ArrangeButton arranging={arranging} label="Work out sessions and order" />
        </Section>
      ) : (
        <>
          <Box sx={{ mb: 3 }}>
            <Typography sx={{ mb: 1 }}>
              {formatClock(plan.handsOnMin)} hands-on in all
              {wait}.
            </Typography>
            <LikelihoodLine build={build} shop={shop} />
            <Ways plan={plan} />
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
              <ArrangeButton arranging={arranging} label="Work out anew around the pins" />
              <Button variant="outlined" onClick={() => edit('In one go', inOneGo)}>
                Back to one go
              </Button>
            </Box>
          </Box>
          <Sessions plan={plan} />
        </>
      )}
      <Outcome arranging={arranging} kindOf={(lot) => shop.rack.find(({ id }) => id === lot)?.kind ?? lot} />
      {inTime.length > 0 && (
        <Section title="What would help">
          <FixList fixes={inTime} />
        </Section>
      )}
      <BatchSection plan={plan} />
      <Dates plan={plan} />
    </>
  );
}

/** How the work is gone about, where that changes its minutes. */
function Ways({ plan: { build, facts, order } }: { readonly plan: AssemblyPlan }) {
  const { edit } = useOpenAssembly();
  const several = (order?.sessions.length ?? 0) > 1;
  return (
    <Box sx={{ mb: 1 }}>
      <Tick
        label="Clamps opened to size and laid out beforehand"
        checked={build.preSet ?? true}
        onChange={(preSet) => edit('Clamps laid out', preSetClamps(preSet))}
      />
      {facts.assembly.dryJig && several && (
        <Tick
          label="Earlier sessions are glued inside the rest, put together dry"
          checked={build.order?.dryJig ?? false}
          onChange={(dryJig) => edit('Dry case as jig', glueInDryJig(dryJig))}
        />
      )}
    </Box>
  );
}

function ArrangeButton({ arranging, label }: { readonly arranging: Arranging; readonly label: string }) {
  const { working, best } = arranging;
  if (!working) {
    return (
      <Button variant="contained" onClick={arranging.start}>
        {label}
      </Button>
    );
  }
  const share = best === null ? null : best.done / best.of;
  return (
    <Box role="status" sx={{ flex: '1 1 100%', display: 'grid', gap: 1 }}>
      <Typography>
        {best === null
          ? 'Working it out …'
          : `Best so far: ${best.sessions.length === 1 ? 'one session' : `${best.sessions.length} sessions`}; attempt ${best.done} of ${best.of}.`}
      </Typography>
      <LinearProgress
        aria-label="How far the work is"
        {...(share === null ? {} : { variant: 'determinate' as const, value: 100 * share })}
      />
      <Button variant="outlined" onClick={arranging.enough} sx={{ justifySelf: 'start' }}>
        {best === null ? 'Stop' : 'That is enough'}
      </Button>
    </Box>
  );
}

/** What the last arrangement is worth, or why there is none. */
function Outcome({
  arranging: { best, working, failure },
  kindOf,
}: {
  readonly arranging: Arranging;
  readonly kindOf: (lot: string) => string;
}) {
  if (failure !== null) return <Alert severity="error">{failure}</Alert>;
  if (working || best === null) return null;
  const obstacles = obstacleWords(best);
  return obstacles.length > 0 ? (
    <Alert severity="warning" variant="outlined" sx={{ mb: 3 }}>
      {obstacles.slice(0, 3).join(' ')}
    </Alert>
  ) : (
    <Alert severity="info" variant="outlined" icon={false} sx={{ mb: 3 }}>
      {statusWords(best, kindOf)}
      {best.askedMargin > 0 &&
        ` ${Math.round(100 * best.askedMargin)} % of every window or more is left for a fumble.`}
      {best.askedMargin === 0 && ' No arrangement leaves room for a fumble: keep the limits in view.'}
    </Alert>
  );
}

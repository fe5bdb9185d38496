import { stepsBefore } from '@lean-clasp/core/choice';
import { type Arranged, type Plan, glueJobOf } from '@lean-clasp/core/plan';
import { formatClock, formatWait } from '@lean-clasp/core/units';
import { obstacleWords, statusWords } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { Loading } from '../frame/Loading';
import { Section } from '../frame/Page';
import { Tick } from '../parts/Tick';
import { usePlan, useFixes } from '../planner/plan-context';
import { FixList } from '../verdicts/FixList';
import { useOpenBuild } from '../workspace/open-build';
import { Dates } from './Dates';
import { BatchSection } from './BatchSection';
import { BeforeFirstBead } from './BeforeFirstBead';
import { arrangeAs, asWorkedOut, glueInDryJig, halvesOf, inStages, preSetClamps } from './edits';
import { LikelihoodLine } from './LikelihoodLine';
import { Sessions } from './Sessions';
import { type Arranging, useArranging } from './use-arranging';

/** Order: sessions on a clock, lane by lane, with a fuse for each joint; how likely they are made, and their dates. */
export function OrderStep() {
  const { build, shop, edit } = useOpenBuild();
  const { plan } = usePlan();
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
  const inTime = fixes?.inTime ?? [];
  const own = build.order !== undefined;
  return (
    <>
      <BeforeFirstBead steps={stepsBefore(plan.adhesive, glueJobOf(plan, null))} />
      <Box sx={{ mb: 3 }}>
        <Typography sx={{ mb: 1 }}>
          {formatClock(plan.handsOnMin)} hands-on
          {(plan.order?.sessions.length ?? 0) > 1 ? ' in all' : ''}
          {waitWords(plan)}.{!own && plan.facts.assembly.oneGo && ' In one go, as its kind is usually glued.'}
        </Typography>
        <LikelihoodLine build={build} shop={shop} />
        <Ways plan={plan} />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
          <ArrangeButton
            arranging={arranging}
            label={own ? 'Work out anew around the pins' : 'Work out sessions and order'}
          />
          {own && (
            <Button variant="outlined" onClick={() => edit('As worked out', asWorkedOut)}>
              {plan.facts.assembly.oneGo ? 'Back to one go' : 'Back to the usual order'}
            </Button>
          )}
          {plan.row !== null && <StagedButtons lines={plan.row.lines.map(({ line }) => line.id)} />}
        </Box>
      </Box>
      <Sessions plan={plan} />
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

/** How long the clamps stay on and until a plane may meet it: what the slowest joint takes. */
function waitWords({ joints, facts: { assembly } }: Plan): string {
  const windows = joints.filter(({ facts }) => facts.gluedMm2 > 0).map(({ window }) => window);
  const clampMin = windows.flatMap((window) => window.clampMin?.high ?? []);
  const machineMin = windows.flatMap((window) => window.machineMin ?? []);
  return [
    clampMin.length === 0
      ? ''
      : `, then ${formatWait(Math.max(...clampMin))} ${assembly.pressedBy === 'iron' ? 'until it is cold' : 'in clamps'}`,
    machineMin.length === 0 ? '' : `, ${formatWait(Math.max(...machineMin))} before it meets a plane`,
  ].join('');
}

/** Ways of gluing a row in stages, so that no session holds more lines than hands can watch. */
function StagedButtons({ lines }: { readonly lines: readonly string[] }) {
  const { edit } = useOpenBuild();
  if (lines.length < 2) return null;
  return (
    <>
      {lines.length > 2 && (
        <Button variant="outlined" onClick={() => edit('Two halves first', inStages(halvesOf(lines)))}>
          Two halves, then one line
        </Button>
      )}
      <Button
        variant="outlined"
        onClick={() => edit('Board by board', inStages(lines.map((line) => [line])))}
      >
        Board by board
      </Button>
    </>
  );
}

/** How the work is gone about, where that changes its minutes. */
function Ways({ plan: { build, facts, order } }: { readonly plan: Plan }) {
  const { edit } = useOpenBuild();
  const several = (order?.sessions.length ?? 0) > 1;
  return (
    <Box sx={{ mb: 1 }}>
      {facts.assembly.pressedBy === 'clamps' && (
        <Tick
          label="Clamps opened to size and laid out beforehand"
          checked={build.preSet ?? true}
          onChange={(preSet) => edit('Clamps laid out', preSetClamps(preSet))}
        />
      )}
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

import type { GlueStep } from '@lean-clasp/core/adhesives';
import { stepsBefore } from '@lean-clasp/core/choice';
import { glueJobOf, ofSession, type Plan } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { STEP_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useWaitCue } from '../../../bench/use-cues';
import { Section } from '../../../frame/Page';
import { waitWords } from '../../../glue/wait-words';
import { useNow } from '../../../parts/use-now';
import { useWaits } from './use-waits';

const MINUTE_MS = 60_000;
/** Shorter waits are over before anybody has looked up. */
const WORTH_COUNTING_MIN = 1;

/** Steps that wait before the first bead of a session, for its own joints; coats that dry before the iron are counted down in the session itself. */
const leadSteps = (plan: Plan, session: number): GlueStep[] =>
  stepsBefore(plan.adhesive, glueJobOf(ofSession(plan, session), null))
    .filter(({ kind, waitMin }) => kind !== 'dry-coats' && waitMin.likely >= WORTH_COUNTING_MIN)
    .sort((a, b) => b.waitMin.likely - a.waitMin.likely);

/** What waits before the clock starts: size until tacky, pot and gun until hot; longest first, each counted down once it is begun. */
export function LeadSteps({
  buildId,
  plan,
  session,
}: {
  readonly buildId: string;
  readonly plan: Plan;
  readonly session: number;
}) {
  const steps = leadSteps(plan, session);
  const { begun, begin, forget } = useWaits(`${buildId}.${session}`);
  if (steps.length === 0) return null;
  return (
    <Section title="Before the first bead">
      {steps.map((step) => (
        <LeadStep
          key={step.kind}
          step={step}
          begunAtMs={begun[step.kind] ?? null}
          onBegin={() => begin(step.kind)}
          onForget={() => forget(step.kind)}
        />
      ))}
    </Section>
  );
}

function LeadStep({
  step: { kind, waitMin },
  begunAtMs,
  onBegin,
  onForget,
}: {
  readonly step: GlueStep;
  readonly begunAtMs: number | null;
  readonly onBegin: () => void;
  readonly onForget: () => void;
}) {
  const now = useNow(begunAtMs !== null);
  const pastMin = begunAtMs === null ? 0 : Math.max(0, now - begunAtMs) / MINUTE_MS;
  const waiting = begunAtMs !== null && pastMin < waitMin.likely;
  useWaitCue(waiting);
  return (
    <Box
      sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1, borderBottom: 1, borderColor: 'divider' }}
    >
      <Box sx={{ flex: 1 }}>
        <strong>{STEP_WORDS[kind]}</strong>
        <Typography variant="body2" color="text.secondary">
          {waitWords(waitMin)}
        </Typography>
        {begunAtMs !== null && (
          <Box role="status" sx={{ fontWeight: 700, fontSize: waiting ? '1.5rem' : undefined }}>
            {waiting
              ? `ready in ${formatClock(waitMin.likely - pastMin)}`
              : pastWords(kind, pastMin, waitMin.high)}
          </Box>
        )}
      </Box>
      {begunAtMs === null ? (
        <Button variant="outlined" onClick={onBegin} sx={{ minHeight: 56 }}>
          Begun now
        </Button>
      ) : (
        <Button onClick={onForget} sx={{ minHeight: 56 }}>
          Not begun
        </Button>
      )}
    </Box>
  );
}

/** A coat left past its time has dried and takes another; what is heated stays hot. */
function pastWords(kind: GlueStep['kind'], pastMin: number, highMin: number): string {
  const dries = kind === 'size-end-grain' || kind === 'prime-thin' || kind === 'dampen-one-face';
  return dries && pastMin > highMin
    ? `begun ${formatClock(pastMin)} ago: feel it; dry is too late, do it again`
    : 'ready';
}

import { benchScript, readinessOf } from '@lean-clasp/core/bench';
import type { RunSummary } from '@lean-clasp/core/runs';
import { cautionWords, says, detailWords } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useRunsQuery } from '../../api/api';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { benchKit } from '../../bench/bench-kit';
import { instantWords, releaseOf } from '../../bench/release';
import { beginRun } from '../../bench/begin-run';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { Choice } from '../../parts/Choice';
import { FieldRow } from '../../parts/FieldRow';
import { Caution } from '../../parts/Caution';
import { useNow } from '../../parts/use-now';
import { usePlan } from '../../planner/plan-context';
import { useFormat } from '../../quantities/use-format';
import { useLikely } from '../../order/use-likelihood';
import { useOpenBuild } from '../open-build';
import { LeadSteps } from './glue-up/LeadSteps';
import Box from '@mui/material/Box';

/** The last run of each session that ended in its clamps. */
function gluedSessions(runs: readonly RunSummary[]): ReadonlyMap<number, RunSummary> {
  const clamped = runs.filter(({ state }) => state === 'clamped');
  return new Map([...clamped].sort((a, b) => a.startedAtMs - b.startedAtMs).map((run) => [run.session, run]));
}

const gluedWords = (run: RunSummary | undefined, nowMs: number): string =>
  run?.clampedAtMs == null ? '' : `; glued ${instantWords(run.clampedAtMs, nowMs)}`;

/** Glue up: the last look before the clock starts, and the steps as they will be read out. */
export function GlueUpStep() {
  const { id, build, shop } = useOpenBuild();
  const likely = useLikely(build, shop);
  const { plan } = usePlan();
  const { data: runs } = useRunsQuery(id);
  const dispatch = useAppDispatch();
  const revision = useAppSelector((state) => state.documents.open[id]?.revision ?? null);
  const navigate = useNavigate();
  const f = useFormat();
  const [session, setSession] = useState<number | null>(null);
  const [holds, setHolds] = useState(shop.crew[0] ?? '');
  const now = useNow(false);
  if (plan === null) return <Loading />;
  const sessions = plan.order?.sessions ?? [];
  const glued = gluedSessions(runs ?? []);
  const next = sessions.findIndex((_, i) => !glued.has(i));
  const chosen = Math.min(session ?? Math.max(0, next), Math.max(0, sessions.length - 1));
  const before = [...glued].filter(([i]) => i < chosen).map(([, run]) => releaseOf(run).clampsOffMs ?? 0);
  const inClampsMs = Math.max(0, ...before);
  const script = benchScript(plan, chosen);
  const { forbids, warns } = readinessOf(plan);
  const running = runs?.find((run) => run.state === 'running');
  const start = () => {
    const people = [
      ...shop.crew.filter((name) => name === holds),
      ...shop.crew.filter((name) => name !== holds),
    ];
    const runId = dispatch(
      beginRun({ id, revision }, plan, benchKit(plan, chosen), chosen, {
        likely: sessions.length === 1 ? (likely?.share ?? null) : null,
        people: people.slice(0, build.crew),
      }),
    );
    void navigate(`/bench/${runId}`);
  };
  return (
    <>
      {running !== undefined && (
        <Alert
          severity="info"
          variant="outlined"
          sx={{ mb: 2 }}
          action={
            <Button component={Link} to={`/bench/${running.id}`} color="inherit">
              Go on
            </Button>
          }
        >
          A glue-up of this build is running.
        </Alert>
      )}
      {sessions.length > 1 && (
        <FieldRow>
          <Choice
            label="Which session"
            value={String(chosen)}
            options={sessions.map(({ joints }, i) => ({
              value: String(i),
              name: `session ${i + 1}, ${joints.length === 1 ? 'one joint' : `${joints.length} joints`}${gluedWords(glued.get(i), now)}`,
            }))}
            onChange={(value) => setSession(Number(value))}
            width={420}
          />
        </FieldRow>
      )}
      {sessions.length > 1 && next === -1 && (
        <Alert severity="success" variant="outlined" sx={{ mb: 2 }}>
          Every session of this build is glued.
        </Alert>
      )}
      {inClampsMs > now && (
        <Alert severity="info" variant="outlined" sx={{ mb: 2 }}>
          What this session joins onto is in clamps until {instantWords(inClampsMs, now)}.
        </Alert>
      )}
      {shop.crew.length > 1 && (
        <FieldRow>
          <Choice
            label="Who holds the device"
            value={holds}
            options={shop.crew.map((name) => ({ value: name, name }))}
            onChange={setHolds}
            width={220}
          />
        </FieldRow>
      )}
      <LeadSteps key={chosen} buildId={id} plan={plan} session={chosen} />
      <Button
        variant="contained"
        color="secondary"
        size="large"
        fullWidth
        disabled={forbids.length > 0 || script.operations.length === 0}
        onClick={start}
        sx={{ minHeight: 72, fontSize: '1.25rem' }}
      >
        Start the clock: first bead
      </Button>
      {/* Below: what pressures say comes a moment later, and must not push the button from under a finger. */}
      {forbids.length > 0 && (
        <Alert severity="error" variant="outlined" sx={{ mt: 2 }}>
          Not to be started like this: {forbids.map((finding) => says(finding, f)).join('; ')}. Open the
          verdict below for what would help.
        </Alert>
      )}
      {forbids.length === 0 && warns.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 2 }}>
          The plan does not hold: {warns.map((finding) => says(finding, f)).join('; ')}. You can start all the
          same; the log will show it.
        </Alert>
      )}
      <Caution>{cautionWords(plan).join(' ')}</Caution>
      <Section title={`${script.operations.length} steps`}>
        <Box component="ol" sx={{ pl: 4, m: 0 }}>
          {script.operations.map(({ id: operation, instruction }) => (
            <Box component="li" key={operation} sx={{ py: 0.5 }}>
              <strong>{says(instruction, f)}</strong>
              <Typography variant="body2" color="text.secondary">
                {detailWords(instruction, f)}
              </Typography>
            </Box>
          ))}
        </Box>
      </Section>
    </>
  );
}

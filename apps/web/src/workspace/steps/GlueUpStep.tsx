import { benchScript, readinessOf } from '@lean-clasp/core/bench';
import { CLAMP_CAUTION, says, detailWords, hazardWords } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useRunsQuery } from '../../api/api';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { benchKit } from '../../bench/bench-kit';
import { beginRun } from '../../bench/run-sync';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { Choice } from '../../parts/Choice';
import { FieldRow } from '../../parts/FieldRow';
import { Caution } from '../../parts/Caution';
import { usePlan } from '../../planner/plan-context';
import { useFormat } from '../../quantities/use-format';
import { useOpenBuild } from '../open-build';
import Box from '@mui/material/Box';

/** Glue up: the last look before the clock starts, and the steps as they will be read out. */
export function GlueUpStep() {
  const { id } = useOpenBuild();
  const { plan } = usePlan();
  const { data: runs } = useRunsQuery(id);
  const dispatch = useAppDispatch();
  const revision = useAppSelector((state) => state.documents.open[id]?.revision ?? null);
  const navigate = useNavigate();
  const f = useFormat();
  const [session, setSession] = useState(0);
  if (plan === null) return <Loading />;
  const sessions = plan.order?.sessions ?? [];
  const chosen = Math.min(session, Math.max(0, sessions.length - 1));
  const script = benchScript(plan, chosen);
  const { forbids, warns } = readinessOf(plan);
  const running = runs?.find((run) => run.state === 'running');
  const start = () => {
    const runId = dispatch(beginRun({ id, revision }, plan, benchKit(plan, chosen), chosen));
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
      {forbids.length > 0 && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          Not to be started like this: {forbids.map((finding) => says(finding, f)).join('; ')}. Open the
          verdict below for what would help.
        </Alert>
      )}
      {forbids.length === 0 && warns.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 2 }}>
          The plan does not hold: {warns.map((finding) => says(finding, f)).join('; ')}. You can start all the
          same; the log will show it.
        </Alert>
      )}
      {sessions.length > 1 && (
        <FieldRow>
          <Choice
            label="Which session"
            value={String(chosen)}
            options={sessions.map(({ joints }, i) => ({
              value: String(i),
              name: `session ${i + 1}, ${joints.length === 1 ? 'one joint' : `${joints.length} joints`}`,
            }))}
            onChange={(value) => setSession(Number(value))}
            width={260}
          />
        </FieldRow>
      )}
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
      <Caution>
        {hazardWords(plan.adhesive.hazards)} {CLAMP_CAUTION}
      </Caution>
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

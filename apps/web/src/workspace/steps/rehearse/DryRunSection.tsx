import {
  type BenchScript,
  benchScript,
  dryRunOf,
  type ScriptOperation,
  stepsOfSession,
} from '@lean-clasp/core/bench';
import type { Plan } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { detailWords, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Section } from '../../../frame/Page';
import { useNow } from '../../../parts/use-now';
import { useFormat } from '../../../quantities/use-format';
import { useOpenBuild } from '../../open-build';
import { DryRunResult } from './DryRunResult';
import { useLaps } from './use-laps';

const MS_PER_MIN = 60_000;

/** The real script walked through without glue, a stopwatch on every move; what it came to, and whether to go by that pace. */
export function DryRunSection({ plan, session }: { readonly plan: Plan; readonly session: number }) {
  const { id } = useOpenBuild();
  const script = useMemo(() => benchScript(plan, session), [plan, session]);
  if (script.operations.length === 0) return null;
  return (
    <Section title="Dry run">
      <Walk key={session} buildId={id} session={session} script={script} />
    </Section>
  );
}

function Walk({
  buildId,
  session,
  script,
}: {
  readonly buildId: string;
  readonly session: number;
  readonly script: BenchScript;
}) {
  const { sinceMs, laps, begin, lap, stop } = useLaps(buildId, session);
  const steps = stepsOfSession(script);
  const step = sinceMs === null ? undefined : steps[laps.length];
  const result = dryRunOf(script, laps);
  if (step !== undefined && sinceMs !== null) {
    return (
      <OnTheWay
        step={step}
        place={laps.length + 1}
        count={steps.length}
        sinceMs={sinceMs}
        onLap={(mishap) => lap(step.id, mishap, laps.length + 1 === steps.length)}
        onStop={stop}
      />
    );
  }
  return (
    <>
      {result === null && (
        <Typography sx={{ mb: 1 }}>
          Walk the whole session through without glue, clamps and all: each move is timed, and what it comes
          to is set against the plan.
        </Typography>
      )}
      {result !== null && <DryRunResult result={result} script={script} laps={laps} />}
      <Button
        variant={result === null ? 'contained' : 'outlined'}
        onClick={begin}
        sx={{ minHeight: 56, mt: 1 }}
      >
        {result === null ? 'Start the dry run' : 'Walk it again'}
      </Button>
    </>
  );
}

function OnTheWay({
  step,
  place,
  count,
  sinceMs,
  onLap,
  onStop,
}: {
  readonly step: ScriptOperation;
  readonly place: number;
  readonly count: number;
  readonly sinceMs: number;
  readonly onLap: (mishap: boolean) => void;
  readonly onStop: () => void;
}) {
  const f = useFormat();
  const now = useNow(true);
  useHotkeys('space', () => onLap(false), { preventDefault: true, eventListenerOptions: { capture: true } });
  useHotkeys('x', () => onLap(true));
  return (
    <Box>
      <Box sx={{ color: 'text.secondary' }}>
        {place} of {count}
      </Box>
      <Box aria-live="assertive" sx={{ fontSize: '2rem', fontWeight: 700, lineHeight: 1.2 }}>
        {says(step.instruction, f)}
      </Box>
      <Box sx={{ fontSize: '1.125rem' }}>{detailWords(step.instruction, f)}</Box>
      <Box role="timer" sx={{ fontSize: '3rem', fontWeight: 800 }}>
        {formatClock(Math.max(0, now - sinceMs) / MS_PER_MIN)}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        <Button
          variant="contained"
          color="secondary"
          onClick={() => onLap(false)}
          sx={{ minHeight: 72, flex: 2, fontSize: '1.25rem' }}
        >
          Done – next
        </Button>
        <Button variant="outlined" color="error" onClick={() => onLap(true)} sx={{ minHeight: 72, flex: 1 }}>
          Went wrong
        </Button>
        <Button onClick={onStop} sx={{ minHeight: 72 }}>
          Stop
        </Button>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Space goes on, x notes that it went wrong.
      </Typography>
    </Box>
  );
}

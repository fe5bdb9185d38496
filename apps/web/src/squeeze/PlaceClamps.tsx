import type { PanelBuild, PanelPlacing, PlacingStep } from '@lean-clasp/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { useFormat } from '../quantities/use-format';
import { changeWords, placingWords } from '../words/causes';
import { useOpenBuild } from '../workspace/open-build';
import { usePlacing } from './use-placing';

const STAGES: Readonly<Record<PlacingStep['stage'], string>> = {
  searching: 'Trying places',
  checking: 'Pressing the best set',
  'looking-further': 'The rack falls short: looking at what would do',
  done: 'Done',
};

/** Places clamps from the rack by search, around those that are pinned, and says what is short. */
export function PlaceClamps() {
  const { build, shop, edit } = useOpenBuild();
  const f = useFormat();
  const take = useCallback(
    ({ build: placed }: PanelPlacing) =>
      edit('Clamps placed', (before) => ({
        ...before,
        clamps: placed.clamps,
        pullPct: placed.pullPct,
        holding: { ...before.holding, caulPairs: placed.holding.caulPairs },
      })),
    [edit],
  );
  const { step, placing, failure, start, stop } = usePlacing(build, shop, take);
  const pinned = build.clamps.filter((clamp) => clamp.pinned === true).length;
  return (
    <Box sx={{ mb: 2 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={start} disabled={step !== null}>
          Place clamps
        </Button>
        {step !== null && <Button onClick={stop}>Stop</Button>}
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1, minWidth: 180 }}>
          {step === null
            ? `Fewest from the rack that press everywhere${pinned > 0 ? `, around ${pinned} pinned` : ''}.`
            : `${STAGES[step.stage]} …${step.clamps > 0 ? ` ${step.clamps} clamps` : ''}`}
        </Typography>
      </Box>
      {step !== null && <LinearProgress aria-label="Placing clamps" sx={{ mt: 1 }} />}
      {failure !== null && (
        <Alert severity="error" variant="outlined" sx={{ mt: 1 }}>
          {failure}
        </Alert>
      )}
      {step === null && placing !== null && sameClamps(placing.build, build) && (
        <Came placing={placing} words={(each) => placingWords(each, f)} />
      )}
    </Box>
  );
}

/** Whether the clamps are still as they were placed. */
function sameClamps(placed: PanelBuild, now: PanelBuild): boolean {
  const keyOf = ({ id, xMm, rackId }: PanelBuild['clamps'][number]) => `${id} ${xMm} ${rackId}`;
  return placed.clamps.map(keyOf).join() === now.clamps.map(keyOf).join();
}

/** What placing came to, and what would do where the rack does not. */
function Came({
  placing,
  words,
}: {
  readonly placing: PanelPlacing;
  readonly words: (finding: PanelPlacing['findings'][number]) => string;
}) {
  const { edit } = useOpenBuild();
  const f = useFormat();
  return (
    <Alert severity={placing.meets ? 'success' : 'warning'} variant="outlined" role="status" sx={{ mt: 1 }}>
      {placing.findings.map((finding) => (
        <Typography key={finding.code + String(finding.values['kind'])}>{words(finding)}</Typography>
      ))}
      {placing.instead.length > 0 && (
        <>
          <Typography sx={{ mt: 1, fontWeight: 700 }}>What would do instead</Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {placing.instead.map(({ change, build }) => (
              <li key={change.code}>
                {changeWords(change, f)}
                {build !== null && (
                  <Button
                    size="small"
                    aria-label={`Do it: ${changeWords(change, f)}`}
                    onClick={() => edit(changeWords(change, f), () => build)}
                  >
                    Do it
                  </Button>
                )}
              </li>
            ))}
          </Box>
        </>
      )}
    </Alert>
  );
}

import type { BuildDocument, PlacedClamp } from '@lean-clasp/core/formats';
import type { RowPlacing, RowPlacingStep } from '@lean-clasp/core/placing';
import { rowOf, type RowPlan, withRow } from '@lean-clasp/core/plan';
import { planSays } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { useSearch } from '../planner/use-search';
import { arranger } from '../planner/workers';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { makeId } from '../workspace/edits';
import { LeaveOut } from './LeaveOut';
import { PlacingBar } from './PlacingBar';
import { useFreeRack } from './use-free-rack';

/** Places clamps from the rack by search, around those that are pinned, and says what is short. */
export function PlaceClamps({ row }: { readonly row: RowPlan }) {
  const { build, shop, edit } = useOpenBuild();
  const rack = useFreeRack(shop);
  const run = useCallback(
    (goOn: (step: RowPlacingStep) => Promise<boolean>) => arranger().place(build, rack.shop, makeId(), goOn),
    [build, rack.shop],
  );
  const take = useCallback(
    ({ placing }: RowPlacingStep) => {
      if (placing === null) return;
      const { clamps, pullPct, holding } = rowOf(placing.build);
      edit('Clamps placed', (before) =>
        withRow(before, {
          clamps,
          pullPct,
          holding: { ...rowOf(before).holding, caulPairs: holding.caulPairs },
        }),
      );
    },
    [edit],
  );
  const search = useSearch(run, take);
  const pinned = row.job.clamps.filter((clamp) => clamp.pinned === true).length;
  const placing = search.working ? null : (search.step?.placing ?? null);
  return (
    <Box sx={{ mb: 2 }}>
      <PlacingBar
        search={search}
        label="Place clamps"
        hint={`Fewest from the rack that press everywhere${pinned > 0 ? `, around ${pinned} pinned` : ''}.`}
      />
      <LeaveOut rack={rack} />
      {placing !== null && sameClamps(placing.build, build) && <Came placing={placing} />}
    </Box>
  );
}

/** Whether the clamps are still as they were placed. */
function sameClamps(placed: BuildDocument, now: BuildDocument): boolean {
  const keyOf = ({ id, xMm, rackId }: PlacedClamp) => `${id} ${xMm} ${rackId}`;
  return rowOf(placed).clamps.map(keyOf).join() === rowOf(now).clamps.map(keyOf).join();
}

/** What placing came to, and what would do where the rack does not. */
function Came({ placing }: { readonly placing: RowPlacing }) {
  const { edit } = useOpenBuild();
  const f = useFormat();
  return (
    <Alert severity={placing.meets ? 'success' : 'warning'} variant="outlined" role="status" sx={{ mt: 1 }}>
      {placing.findings.map((finding) => (
        <Typography key={planSays(finding, f)}>{planSays(finding, f)}</Typography>
      ))}
      {placing.instead.length > 0 && (
        <>
          <Typography sx={{ mt: 1, fontWeight: 700 }}>What would do instead</Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {placing.instead.map(({ change, build }) => (
              <li key={change.code}>
                {planSays(change, f)}
                {build !== null && (
                  <Button
                    size="small"
                    aria-label={`Do it: ${planSays(change, f)}`}
                    onClick={() => edit(planSays(change, f), () => build)}
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

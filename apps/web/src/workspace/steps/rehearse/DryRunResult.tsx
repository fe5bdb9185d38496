import type { BenchScript, DryRun, Lap, Walked } from '@lean-clasp/core/bench';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { atWalkedPace, roundedPace, walkedPaces } from '@lean-clasp/core/learning';
import { formatClock } from '@lean-clasp/core/units';
import { figureAlone, says, WORK_WORDS, workName } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { useLikely } from '../../../order/use-likelihood';
import { useVerdictsOf } from '../../../planner/use-verdicts-of';
import { useFormat } from '../../../quantities/use-format';
import { useEditShop } from '../../../shop/use-edit-shop';
import { StateMark } from '../../../verdicts/state-mark';
import { useOpenBuild } from '../../open-build';

/** Planned against walked, whether the plan holds at that pace, and the choice to go by it. */
export function DryRunResult({
  result,
  script,
  laps,
}: {
  readonly result: DryRun;
  readonly script: BenchScript;
  readonly laps: readonly Lap[];
}) {
  const { build, shop } = useOpenBuild();
  const f = useFormat();
  const edit = useEditShop();
  const [went, setWent] = useState(false);
  const { method } = build.glue;
  const walked = useMemo(() => walkedPaces(script, laps, shop, method), [script, laps, shop, method]);
  const { factor } = result.whole;
  const taken = useMemo(
    () => (before: ShopDocument) => atWalkedPace(before, walked, factor, dayjs().format('YYYY-MM-DD')),
    [walked, factor],
  );
  const atThatPace = useMemo(() => taken(shop), [taken, shop]);
  // Walked at the pace that plans go by, there is nothing to take over.
  const same =
    roundedPace(factor) === 1 &&
    walked.every(({ takenMin, plannedMin }) => roundedPace(takenMin / plannedMin) === 1);
  const verdict = useVerdictsOf(build, atThatPace)?.inTime;
  const slow = script.operations.filter(({ id }) => result.hesitations.includes(id));
  return (
    <>
      <Table size="small" aria-label="Planned and walked">
        <TableHead>
          <TableRow>
            <TableCell>work</TableCell>
            <TableCell align="right">planned</TableCell>
            <TableCell align="right">walked</TableCell>
            <TableCell align="right">×</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {result.byKind.map((walked) => (
            <Row key={walked.kind} name={`${workName(walked.kind)}, ${walked.count}`} walked={walked} />
          ))}
          <Row name="in all" walked={result.whole} />
        </TableBody>
      </Table>
      {slow.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          Thought about: {slow.map(({ instruction }) => says(instruction, f)).join(', ')}. Lay out what was
          looked for, and walk it once more.
        </Typography>
      )}
      {!result.tells && (
        <Typography sx={{ mt: 1 }}>
          Too little was walked, or too fast to be true, to plan by it: walk the whole session with clamps in
          hand.
        </Typography>
      )}
      <Typography role="status" sx={{ mt: 1 }}>
        At that pace, in time:{' '}
        {verdict === undefined ? (
          '…'
        ) : (
          <>
            <StateMark state={verdict.state} /> {figureAlone(verdict, f)}
          </>
        )}
      </Typography>
      <LikelyAt build={build} before={shop} after={atThatPace} />
      <Button
        variant="contained"
        disabled={!result.tells || same || went}
        onClick={() => {
          edit('Pace from a dry run', taken);
          setWent(true);
        }}
        sx={{ minHeight: 56, mt: 1, mr: 1.5 }}
      >
        {same || went ? 'The shop goes by this pace' : 'Plan at this pace'}
      </Button>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {walked.map(({ work, factor: own }) => `${WORK_WORDS[work] ?? work} × ${own}`).join(', ')}
        {walked.length > 0 && ', '}all else × {atThatPace.paceFactor}, over the built-in minutes.
      </Typography>
    </>
  );
}

/** How likely every window holds, by the shop's pace and by the one that was walked. */
function LikelyAt({
  build,
  before,
  after,
}: {
  readonly build: BuildDocument;
  readonly before: ShopDocument;
  readonly after: ShopDocument;
}) {
  const [planned, walked] = [useLikely(build, before), useLikely(build, after)];
  if (planned === null || walked === null) return null;
  return (
    <Typography sx={{ mt: 0.5 }}>
      Likely to keep every window: {percent(planned.share)} % as planned,{' '}
      <strong>{percent(walked.share)} %</strong> at that pace.
    </Typography>
  );
}

const percent = (share: number): string => (100 * share).toFixed(0);

function Row({ name, walked }: { readonly name: string; readonly walked: Walked }) {
  return (
    <TableRow>
      <TableCell>{name}</TableCell>
      <TableCell align="right">{formatClock(walked.plannedMin)}</TableCell>
      <TableCell align="right">{formatClock(walked.takenMin)}</TableCell>
      <TableCell align="right">{walked.factor.toFixed(2)}</TableCell>
    </TableRow>
  );
}

import type { BenchScript, DryRun, Walked } from '@lean-clasp/core/bench';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { formatClock } from '@lean-clasp/core/units';
import { figureAlone, says, workName } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { useLikely } from '../../../order/use-likelihood';
import { useVerdictsOf } from '../../../planner/use-verdicts-of';
import { useFormat } from '../../../quantities/use-format';
import { useEditShop } from '../../../shop/use-edit-shop';
import { StateMark } from '../../../verdicts/state-mark';
import { useOpenBuild } from '../../open-build';

/** What a shop's pace may be. */
const PACE = { least: 0.3, most: 4 };
/** A pace as it is told: to a twentieth. */
const STEP = 0.05;

/** Planned against walked, whether the plan holds at that pace, and the choice to go by it. */
export function DryRunResult({ result, script }: { readonly result: DryRun; readonly script: BenchScript }) {
  const { build, shop } = useOpenBuild();
  const f = useFormat();
  const edit = useEditShop();
  const wanted = Math.round((shop.paceFactor * result.whole.factor) / STEP) * STEP;
  const pace = Number(Math.min(PACE.most, Math.max(PACE.least, wanted)).toFixed(2));
  const atThatPace = useMemo(() => ({ ...shop, paceFactor: pace }), [shop, pace]);
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
        disabled={!result.tells || pace === shop.paceFactor}
        onClick={() => edit('Pace from a dry run', (before) => ({ ...before, paceFactor: pace }))}
        sx={{ minHeight: 56, mt: 1, mr: 1.5 }}
      >
        {pace === shop.paceFactor ? 'The shop goes by this pace' : `Plan at this pace: ${pace}`}
      </Button>
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

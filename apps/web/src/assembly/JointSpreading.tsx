import type { Plan } from '@lean-clasp/core/plan';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import { formatClock } from '@lean-clasp/core/units';
import Typography from '@mui/material/Typography';
import { type FacesChoice, SpreadFields } from '../glue/SpreadFields';
import { useFormat } from '../quantities/use-format';
import { SpreadingTable } from './SpreadingTable';
import { useOpenBuild } from '../workspace/open-build';

const METHODS = listSpreadMethods().map(({ id, name }) => ({ value: id, name }));
const FACES: FacesChoice = [
  { value: '1', name: 'one face of each joint' },
  { value: '2', name: 'both faces' },
];

/** How the glue goes on joints of any shape, and how much of it. */
export function JointSpreading({ plan }: { readonly plan: Plan }) {
  const { build, edit } = useOpenBuild();
  const f = useFormat();
  const set = (label: string, change: Partial<typeof build.glue>) =>
    edit(label, (before) => ({ ...before, glue: { ...before.glue, ...change } }));
  const { totals } = plan;
  return (
    <>
      <SpreadFields value={build.glue} methods={METHODS} faces={FACES} onChange={set} />
      <Typography>
        {f.amount(totals.massG, totals.volumeMl)} in all, {formatClock(totals.spreadMin)} of spreading each
        time; {totals.onShelfMl > 0 ? `${f.volume(totals.onShelfMl)} on the shelf` : 'none on the shelf'}.
      </Typography>
      <SpreadingTable plan={plan} />
    </>
  );
}

import { formatClock, listSpreadMethods } from '@lean-clasp/core';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { GlueChoice } from '../glue/GlueChoice';
import { Loading } from '../frame/Loading';
import { useAssemblyPlan } from '../planner/plan-context';
import { type FacesChoice, SpreadFields } from '../glue/SpreadFields';
import { useFormat } from '../quantities/use-format';
import { SpreadingTable } from './SpreadingTable';
import { useOpenAssembly } from '../workspace/open-build';

const METHODS = listSpreadMethods().map(({ id, name }) => ({ value: id, name }));
const FACES: FacesChoice = [
  { value: '1', name: 'one face of each joint' },
  { value: '2', name: 'both faces' },
];

/** Glue of an assembly: which, how it goes on and how much. */
export function AssemblyGlue() {
  const { build, edit } = useOpenAssembly();
  const { plan } = useAssemblyPlan();
  const f = useFormat();
  if (plan === null) return <Loading />;
  const set = (label: string, change: Partial<typeof build.glue>) =>
    edit(label, (before) => ({ ...before, glue: { ...before.glue, ...change } }));
  const { totals } = plan;
  return (
    <>
      <GlueChoice />
      <Section title="Spreading">
        <SpreadFields value={build.glue} methods={METHODS} faces={FACES} onChange={set} />
        <Typography>
          {f.mass(totals.massG)} ({f.volume(totals.volumeMl)}) in all, {formatClock(totals.spreadMin)} of
          spreading each time;{' '}
          {totals.onShelfMl > 0 ? `${f.volume(totals.onShelfMl)} on the shelf` : 'none on the shelf'}.
        </Typography>
        <SpreadingTable plan={plan} />
      </Section>
    </>
  );
}

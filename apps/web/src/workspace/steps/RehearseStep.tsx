import { gatherList } from '@lean-clasp/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { Tick } from '../../parts/Tick';
import { usePlan } from '../../planner/plan-context';
import { useFormat } from '../../quantities/use-format';
import { gatherWords } from '../../words/gather';
import { useOpenBuild } from '../open-build';
import { useTicks } from '../use-ticks';

/** Before the cap comes off, apart from what is fetched: things that closing makes unreachable or undoable. */
const BEFORE_IT_CLOSES = [
  'Whole thing put together dry, clamps on, order walked through once',
  'Gaps read and typed in at Fit',
  'Every cut, hole and sanding that closing makes unreachable is done',
  'Faces marked so that no board goes in the wrong way round',
  'A clear hour: nobody at the door, telephone away',
] as const;

/** Rehearse: what to lay out in order of use, and what must be done before anything closes. */
export function RehearseStep() {
  const { id } = useOpenBuild();
  const { plan } = usePlan();
  const f = useFormat();
  const { ticked, toggle, clear } = useTicks(id);
  if (plan === null) return <Loading />;
  const items = gatherList(plan).map((finding) => gatherWords(finding, f));
  return (
    <>
      <Typography sx={{ mb: 2 }}>
        {ticked.filter((item) => [...BEFORE_IT_CLOSES, ...items].includes(item)).length} of{' '}
        {BEFORE_IT_CLOSES.length + items.length} done.{' '}
        <Button onClick={clear} disabled={ticked.length === 0}>
          Clear
        </Button>
      </Typography>
      <Section title="Before it closes">
        <Ticks items={BEFORE_IT_CLOSES} ticked={ticked} toggle={toggle} />
      </Section>
      <Section title="Lay out, in order of use">
        <Ticks items={items} ticked={ticked} toggle={toggle} />
      </Section>
    </>
  );
}

function Ticks({
  items,
  ticked,
  toggle,
}: {
  readonly items: readonly string[];
  readonly ticked: readonly string[];
  readonly toggle: (item: string) => void;
}) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {items.map((item) => (
        <Box component="li" key={item} sx={{ borderBottom: 1, borderColor: 'divider' }}>
          <Tick label={item} checked={ticked.includes(item)} onChange={() => toggle(item)} />
        </Box>
      ))}
    </Box>
  );
}

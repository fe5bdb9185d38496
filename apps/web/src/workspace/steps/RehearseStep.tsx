import type { Finding } from '@lean-clasp/core/findings';
import { gatherList } from '@lean-clasp/core/bench';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { Tick } from '../../parts/Tick';
import { DryRunSection } from './rehearse/DryRunSection';
import { usePlan } from '../../planner/plan-context';
import { useFormat } from '../../quantities/use-format';
import { useOpenBuild } from '../open-build';
import { useTicks } from '../use-ticks';

/** Before the cap comes off, apart from what is fetched: things that closing makes unreachable or undoable. */
const BEFORE_IT_CLOSES = [
  { id: 'before:dry-run', words: 'Whole thing put together dry, clamps on, order walked through once' },
  { id: 'before:gaps', words: 'Gaps read and typed in at Fit' },
  { id: 'before:unreachable', words: 'Every cut, hole and sanding that closing makes unreachable is done' },
  { id: 'before:marked', words: 'Faces marked so that nothing goes in the wrong way round' },
  { id: 'before:hour', words: 'A clear hour: nobody at the door, telephone away' },
] as const;

/** Something to tick off. What it is is kept by id, so that neither units nor wording lose a tick. */
interface Item {
  readonly id: string;
  readonly words: string;
}

/** Rehearse: what to lay out in order of use, and what must be done before anything closes. */
export function RehearseStep() {
  const { id } = useOpenBuild();
  const { plan } = usePlan();
  const f = useFormat();
  const { ticked, toggle, clear } = useTicks(id);
  if (plan === null) return <Loading />;
  const found = gatherList(plan);
  const items = found.map((finding, i): Item => ({
    id: gatherId(finding, found.slice(0, i)),
    words: says(finding, f),
  }));
  const all = [...BEFORE_IT_CLOSES, ...items].map((item) => item.id);
  return (
    <>
      <Typography sx={{ mb: 2 }}>
        {ticked.filter((item) => all.includes(item)).length} of {all.length} done.{' '}
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
      <DryRunSection plan={plan} />
    </>
  );
}

/** What an item is, whatever its amounts come to: its code, which kind or spreader it is, and which of several like it. */
function gatherId(finding: Finding, before: readonly Finding[]): string {
  const named = nameOf(finding);
  const like = before.filter((each) => nameOf(each) === named).length;
  return like === 0 ? named : `${named}#${like + 1}`;
}

const nameOf = ({ code, values }: Finding): string =>
  'kind' in values ? `${code}:${values.kind}` : 'method' in values ? `${code}:${values.method}` : code;

function Ticks({
  items,
  ticked,
  toggle,
}: {
  readonly items: readonly Item[];
  readonly ticked: readonly string[];
  readonly toggle: (item: string) => void;
}) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {items.map(({ id, words }) => (
        <Box component="li" key={id} sx={{ borderBottom: 1, borderColor: 'divider' }}>
          <Tick label={words} checked={ticked.includes(id)} onChange={() => toggle(id)} />
        </Box>
      ))}
    </Box>
  );
}

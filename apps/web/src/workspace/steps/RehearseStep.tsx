import { gatherList, preflight } from '@lean-clasp/core/bench';
import type { Plan } from '@lean-clasp/core/plan';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { whenNow } from '../../lessons/when-now';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { Choice } from '../../parts/Choice';
import { useNow } from '../../parts/use-now';
import { usePlan } from '../../planner/plan-context';
import { useFormat } from '../../quantities/use-format';
import { useOpenBuild } from '../open-build';
import { useTicks } from '../use-ticks';
import { BenchLayout } from './rehearse/BenchLayout';
import { DryRunSection } from './rehearse/DryRunSection';
import { PracticeSection } from './rehearse/PracticeSection';
import { itemsOf, Ticks } from './rehearse/Ticks';

/** Rehearse, session by session: what must be so, what to lay out and where, the dry run, and practice with mishaps. */
export function RehearseStep() {
  const { plan } = usePlan();
  const [session, setSession] = useState(0);
  if (plan === null) return <Loading />;
  const sessions = plan.order?.sessions ?? [];
  const chosen = Math.min(session, Math.max(0, sessions.length - 1));
  return (
    <>
      {sessions.length > 1 && (
        <Choice
          label="Session to rehearse"
          value={String(chosen)}
          options={sessions.map(({ joints }, i) => ({
            value: String(i),
            name: `session ${i + 1}, ${joints.length === 1 ? 'one joint' : `${joints.length} joints`}`,
          }))}
          onChange={(value) => setSession(Number(value))}
          width={260}
        />
      )}
      <Lists plan={plan} session={chosen} />
      <Section title="On the bench">
        <BenchLayout plan={plan} session={chosen} />
      </Section>
      <DryRunSection plan={plan} session={chosen} />
      <PracticeSection key={chosen} plan={plan} session={chosen} />
    </>
  );
}

function Lists({ plan, session }: { readonly plan: Plan; readonly session: number }) {
  const { id } = useOpenBuild();
  const f = useFormat();
  const now = useNow(false);
  const { ticked, toggle, clear } = useTicks(session === 0 ? id : `${id}.${session}`);
  const before = itemsOf(preflight(plan, session, whenNow(plan.shop, now)), f);
  const gathered = itemsOf(gatherList(plan, session), f);
  const all = [...before, ...gathered].map((item) => item.id);
  return (
    <>
      <Typography sx={{ my: 2 }}>
        {ticked.filter((item) => all.includes(item)).length} of {all.length} done.{' '}
        <Button onClick={clear} disabled={ticked.length === 0}>
          Clear
        </Button>
      </Typography>
      <Section title="Before it closes">
        <Ticks items={before} ticked={ticked} toggle={toggle} />
      </Section>
      <Section title="Lay out, in order of use">
        <Ticks items={gathered} ticked={ticked} toggle={toggle} />
      </Section>
    </>
  );
}

import type { Plan } from '@lean-clasp/core';
import Typography from '@mui/material/Typography';
import { memo, useDeferredValue } from 'react';
import { Section } from '../../frame/Page';
import { Loading } from '../../frame/Loading';
import { Caution } from '../../parts/Caution';
import { useFixes, usePlan } from '../../planner/plan-context';
import { FixList } from '../../verdicts/FixList';
import { strutWords } from '../../words/strut';
import { CLAMP_CAUTION } from '../../words/catalogue';
import { Cauls } from '../../squeeze/Cauls';
import { PressureAlong } from '../../squeeze/PressureAlong';
import { Openings, Tightening } from '../../squeeze/Tightening';
import { ClampTable } from './squeeze/ClampTable';
import { HowHeld } from './squeeze/HowHeld';

/** Squeeze: clamps on the drawing, what they give along every line, and what holds the panel flat. */
export function SqueezeStep() {
  const { plan } = usePlan();
  const later = useDeferredValue(plan);
  if (plan === null || later === null) return <Loading />;
  return (
    <>
      <ClampTable plan={plan} />
      <BelowClamps plan={later} />
    </>
  );
}

/** What may come a moment after the verdicts: the chart is slow to draw. */
const BelowClamps = memo(function BelowClamps({ plan }: { readonly plan: Plan }) {
  const { fixes } = useFixes();
  const helping = [...(fixes?.tight ?? []), ...(fixes?.flat ?? [])];
  return (
    <>
      <PressureAlong plan={plan} />
      {helping.length > 0 && (
        <Section title="What would help">
          <FixList fixes={helping} />
        </Section>
      )}
      <Cauls plan={plan} />
      <Openings plan={plan} />
      <Tightening plan={plan} />
      <HowHeld />
      <Typography variant="body2">{strutWords(plan)}</Typography>
      <Caution>{CLAMP_CAUTION}</Caution>
    </>
  );
});

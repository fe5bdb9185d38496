import { strutWords } from '../../words/strut';
import Typography from '@mui/material/Typography';
import { lazy, Suspense } from 'react';
import { Section } from '../../frame/Page';
import { Loading } from '../../frame/Loading';
import { Caution } from '../../parts/Caution';
import { useFixes, usePlan } from '../../planner/plan-context';
import { FixList } from '../../verdicts/FixList';
import { CLAMP_CAUTION } from '../../words/catalogue';
import { Cauls } from '../../squeeze/Cauls';
import { Openings, Tightening } from '../../squeeze/Tightening';
import { ClampTable } from './squeeze/ClampTable';
import { HowHeld } from './squeeze/HowHeld';

const PressureAlong = lazy(() =>
  import('../../squeeze/PressureAlong').then((m) => ({ default: m.PressureAlong })),
);

/** Squeeze: clamps on the drawing, what they give along every line, and what holds the panel flat. */
export function SqueezeStep() {
  const { plan } = usePlan();
  const { fixes } = useFixes();
  if (plan === null) return <Loading />;
  const helping = [...(fixes?.tight ?? []), ...(fixes?.flat ?? [])];
  return (
    <>
      <ClampTable plan={plan} />
      <Suspense fallback={<Loading what="Drawing" />}>
        <PressureAlong plan={plan} />
      </Suspense>
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
}

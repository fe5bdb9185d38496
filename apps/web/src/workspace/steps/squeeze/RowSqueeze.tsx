import type { Plan, RowPlan } from '@lean-clasp/core/plan';
import { CLAMP_CAUTION, strutWords } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { memo, useDeferredValue } from 'react';
import { Section } from '../../../frame/Page';
import { Loading } from '../../../frame/Loading';
import { Caution } from '../../../parts/Caution';
import { useFixes, usePlan } from '../../../planner/plan-context';
import { FixList } from '../../../verdicts/FixList';
import { Cauls } from '../../../squeeze/Cauls';
import { PressureAlong } from '../../../squeeze/PressureAlong';
import { Openings, Tightening } from '../../../squeeze/Tightening';
import { ClampTable } from './ClampTable';
import { HowHeld } from './HowHeld';

/** Squeeze of a row: clamps on the drawing, what they give along every line, and what holds the panel flat. */
export function RowSqueeze() {
  const { plan } = usePlan();
  const later = useDeferredValue(plan);
  if (plan?.row == null) return <Loading />;
  return (
    <>
      <ClampTable row={plan.row} />
      {later?.row && <BelowClamps plan={later} row={later.row} />}
    </>
  );
}

/** What may come a moment after the verdicts: the chart is slow to draw. */
const BelowClamps = memo(function BelowClamps({ plan, row }: { readonly plan: Plan; readonly row: RowPlan }) {
  const { fixes } = useFixes();
  const helping = [...(fixes?.tight ?? []), ...(fixes?.flat ?? [])];
  return (
    <>
      <PressureAlong row={row} />
      {helping.length > 0 && (
        <Section title="What would help">
          <FixList fixes={helping} />
        </Section>
      )}
      <Cauls row={row} />
      <Openings row={row} blocks={plan.shop.blocks} />
      <Tightening plan={plan} />
      <HowHeld offMiddleMm={row.job.pullOffsetMm} outlined={row.panel.outlined} />
      <Typography variant="body2">{strutWords(row)}</Typography>
      <Caution>{CLAMP_CAUTION}</Caution>
    </>
  );
});

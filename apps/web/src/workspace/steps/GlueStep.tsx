import { GlueChoice } from '../../glue/GlueChoice';
import { Section } from '../../frame/Page';
import { JointSpreading } from '../../assembly/JointSpreading';
import { Loading } from '../../frame/Loading';
import { usePlan } from '../../planner/plan-context';
import { LineSpreading } from './glue/LineSpreading';

/** Glue: families ranked for this very job in this air, then how to spread the chosen one. */
export function GlueStep() {
  const { plan } = usePlan();
  if (plan === null) return <Loading />;
  return (
    <>
      <GlueChoice />
      <Section title="Spreading">
        {plan.row === null ? <JointSpreading plan={plan} /> : <LineSpreading plan={plan} row={plan.row} />}
      </Section>
    </>
  );
}

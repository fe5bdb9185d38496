import { Loading } from '../../frame/Loading';
import { usePlan } from '../../planner/plan-context';
import { STEP_PARTS } from '../step-parts';

/** Squeeze: what presses, where, and what comes of it; of a row along its lines, of all else pull by pull. */
export function SqueezeStep() {
  const { plan } = usePlan();
  if (plan === null) return <Loading />;
  const Pressed = plan.row === null ? STEP_PARTS.pulls : STEP_PARTS.row;
  return <Pressed />;
}

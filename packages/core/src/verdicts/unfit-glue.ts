import { tooHardFor, tooWarmFor } from '../adhesives';
import { canLightSqueeze, LIGHT_SQUEEZE } from '../clamps';
import { finding, type PlanFinding } from '../findings';
import { wishesOf } from '../formats';
import type { PlanParts } from '../plan/plan';

/** A build and its glue, with the window of every joint. */
type Glued = Pick<PlanParts, 'adhesive'> & {
  readonly build: Pick<PlanParts['build'], 'service' | 'wishes'>;
  readonly joints: readonly Pick<PlanParts['joints'][number], 'window'>[];
  /** Whether it is to be pressed lightly, over both faces. */
  readonly lightly: boolean;
};

/** Why no pull whatever makes a joint that holds: wood too wet for the glue, a place that it does not stand, a school that it does not suit. */
export function unfitGlue({ joints, adhesive, build, lightly }: Glued): PlanFinding | undefined {
  const { gapMm } = adhesive;
  return (
    joints.flatMap(({ window }) => window.findings).find(({ code }) => code === 'wood-too-wet') ??
    tooHardFor(adhesive, build.service) ??
    tooWarmFor(adhesive, wishesOf(build).warmC) ??
    (lightly && !canLightSqueeze(adhesive)
      ? finding('light-squeeze-needs-filler', 'refuses', { gapMm, neededMm: LIGHT_SQUEEZE.gapMm })
      : undefined)
  );
}

import { finding, type PlanFinding } from '../findings';
import type { Adhesive, Service } from './adhesive';
import { standsService } from './find-adhesive';

/** Why a glue does not stand the wet of a place; undefined where it does. */
export const tooHardFor = ({ service: rated }: Adhesive, wanted: Service): PlanFinding | undefined =>
  standsService(rated, wanted) ? undefined : finding('service-too-hard', 'refuses', { rated, wanted });

/**
 * Why a glue does not stand the lasting warmth of a place; undefined where it does.
 * @param warmC °C; null for a room.
 */
export const tooWarmFor = ({ softensC }: Adhesive, warmC: number | null): PlanFinding | undefined =>
  softensC !== null && warmC !== null && warmC >= softensC
    ? finding('softens-there', 'refuses', { warmC, softensC })
    : undefined;

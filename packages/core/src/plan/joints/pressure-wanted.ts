import type { Adhesive } from '../../adhesives';
import type { JointKind, Pull } from '../../assembly';
import { type TargetPressure, targetPressure } from '../../clamps';

/** Fitted mitres want to be closed rather than pressed, MPa [judgement]. */
const MITRE_LOW_MPA = 0.1;
/** Thin bands that are flat already need contact, no more [judgement], MPa. */
const TAPE_WANTED: TargetPressure = { lowMPa: 0.02, highMPa: 0.1, mostMPa: 1 };
/** A press for veneer, MPa. */
const VENEER_WANTED: TargetPressure = { lowMPa: 0.08, highMPa: 0.6, mostMPa: 2.5 };

/** Pressure that joints want by their kinds and the way in which they are pressed, between woods of these specific gravities. */
export function pressureWanted(
  need: Pull['need'],
  kinds: readonly JointKind[],
  adhesive: Adhesive,
  sgs: readonly number[],
): TargetPressure {
  if (need === 'vacuum') return VENEER_WANTED;
  if (need === 'tape') return TAPE_WANTED;
  const target = targetPressure(adhesive, sgs);
  return kinds.every((kind) => kind === 'mitre')
    ? { ...target, lowMPa: Math.min(MITRE_LOW_MPA, target.lowMPa) }
    : target;
}

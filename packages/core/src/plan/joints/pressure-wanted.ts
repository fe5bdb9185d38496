import type { Adhesive } from '../../adhesives';
import type { JointKind, Pull } from '../../assembly';
import { type PressureSchool, type TargetPressure, targetPressure } from '../../clamps';

/** Fitted mitres want to be closed rather than pressed, MPa [judgement]. */
const MITRE_LOW_MPA = 0.1;
/** A clamp over blocks is drawn just snug: harder only tries the blocks, MPa [judgement]. */
const MITRE_SNUG_MPA = 0.5;
/** Thin bands that are flat already need contact, no more [judgement], MPa. */
const TAPE_WANTED: TargetPressure = { lowMPa: 0.02, highMPa: 0.1, mostMPa: 1 };
/** What foams lifts a band that is barely held [judgement], MPa. */
const TAPED_FOAM_MPA = 0.05;
/** A press for veneer, MPa. */
const VENEER_WANTED: TargetPressure = { lowMPa: 0.08, highMPa: 0.6, mostMPa: 2.5 };

/** Joints that the light school is for: long grain on long grain, on rough stock. */
const LIGHTLY: readonly JointKind[] = ['face', 'edge'];

/** Pressure that joints want by their kinds and the way in which they are pressed, between woods of these specific gravities. */
export function pressureWanted(
  need: Pull['need'],
  kinds: readonly JointKind[],
  adhesive: Adhesive,
  sgs: readonly number[],
  school: PressureSchool = 'matched',
): TargetPressure {
  if (need === 'vacuum') return VENEER_WANTED;
  if (need === 'tape') {
    return adhesive.chemistry === 'moisture-cure' ? { ...TAPE_WANTED, lowMPa: TAPED_FOAM_MPA } : TAPE_WANTED;
  }
  const light = kinds.every((kind) => LIGHTLY.includes(kind));
  const target = targetPressure(adhesive, sgs, light ? school : 'matched');
  if (!kinds.every((kind) => kind === 'mitre')) return target;
  const highMPa = need === 'line' ? Math.min(MITRE_SNUG_MPA, target.highMPa) : target.highMPa;
  return { ...target, lowMPa: Math.min(MITRE_LOW_MPA, target.lowMPa), highMPa };
}

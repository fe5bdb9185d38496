import type { PlannedJoint } from './planned-joint';

/** How long joints have to be left alone, min; null where the glue of any of them does not tell. */
export interface Waits {
  /** Until clamps may come off, at the long end. */
  readonly clampMin: number | null;
  /** Until the wood may meet a plane. */
  readonly machineMin: number | null;
  readonly fullCureMin: number | null;
}

/** Waits of several joints: those of the one that takes longest. Joints that are left dry are passed over. */
export function slowestOf(joints: readonly PlannedJoint[]): Waits {
  const windows = joints.filter(({ facts }) => facts.gluedMm2 > 0).map(({ window }) => window);
  const most = (values: readonly (number | null | undefined)[]) =>
    values.length === 0 || values.some((value) => value == null) ? null : Math.max(...(values as number[]));
  return {
    clampMin: most(windows.map(({ clampMin }) => clampMin?.high)),
    machineMin: most(windows.map(({ machineMin }) => machineMin)),
    fullCureMin: most(windows.map(({ fullCureMin }) => fullCureMin)),
  };
}

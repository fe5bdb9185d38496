/** Minutes at which one joint was spread, closed and under full pressure. */
export interface JointTimes {
  readonly spreadStartMin: number;
  readonly closedAtMin: number;
  readonly pressedAtMin: number;
}

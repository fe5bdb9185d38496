/** Clamps snap to this while they are dragged, on a panel as on an assembly, mm. */
export const DRAG_STEP_MM = 5;

import { cross, dot, unit, type Vec2, type Vec3 } from '../solids';

/** From where an assembly is looked at: on the slant, from in front, from above, or from the right. */
export type AssemblyView = 'slant' | 'front' | 'above' | 'side';

/** Directions of a view: towards the eye, and right and up on the sheet. */
interface Eye {
  readonly towards: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
}

/** The eye of each view. */
export const EYES: Readonly<Record<AssemblyView, Eye>> = {
  slant: eyeAt([-0.42, -0.72, 0.55]),
  front: { towards: [0, -1, 0], right: [1, 0, 0], up: [0, 0, 1] },
  above: { towards: [0, 0, 1], right: [1, 0, 0], up: [0, 1, 0] },
  side: { towards: [1, 0, 0], right: [0, 1, 0], up: [0, 0, 1] },
};

function eyeAt(direction: Vec3): Eye {
  const towards = unit(direction);
  const right = unit(cross([0, 0, 1], towards));
  return { towards, right, up: cross(towards, right) };
}

/** Flattens points to the sheet of a view, mm, y down. */
export const flattener = (view: AssemblyView): ((point: Vec3) => Vec2) => {
  const { right, up } = EYES[view];
  return (point) => [dot(point, right), -dot(point, up)];
};

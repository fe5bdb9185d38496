export { DIRECTIONS } from './directions';
export { convexHull } from './hull';
export {
  type Axis,
  box,
  extruded,
  moved,
  type Prism,
  prismCorners,
  prismVolume,
  reach,
  turned,
} from './prism';
export {
  contactsBetween,
  loopsInSpace,
  type Solid,
  solidOf,
  solidPoints,
  solidVolume,
  type Surface,
  surfaceArea,
  surfacesOf,
} from './solid';
export { add, cross, dot, MAIN_AXES, middleOf, scale, subtract, unit, type Vec2, type Vec3 } from './vector';
export { signedArea } from './polygon';

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
export { type Solid, solidOf, solidPoints, solidVolume } from './solid';
export { contactsBetween, loopsInSpace, type Surface, surfaceArea, surfacesOf } from './surfaces';
export { add, cross, dot, MAIN_AXES, middleOf, scale, subtract, unit, type Vec2, type Vec3 } from './vector';
export { signedArea } from './outline';

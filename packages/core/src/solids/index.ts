export { type Shape2, signedArea } from './polygon';
export { type Axis, box, extruded, moved, type Prism, prismVolume, reach, rectangle, turned } from './prism';
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
export { add, cross, dot, lengthOf, scale, subtract, unit, type Vec2, type Vec3 } from './vector';

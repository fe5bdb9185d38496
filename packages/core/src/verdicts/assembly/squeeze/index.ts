export type { ClampInSpace } from './clamps-in-space';
export {
  packingOf,
  squeezeAssembly,
  type AssemblySqueeze,
  type SqueezedJoint,
  type SqueezedPull,
} from './squeeze-assembly';
export { type AssemblyOpening, assemblyOpenings, assemblyTightening } from './tightening';

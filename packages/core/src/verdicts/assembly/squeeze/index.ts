export { packingOf, squeezeAssembly } from './squeeze-assembly';
export type { AssemblySqueeze, ClampInSpace, SqueezedPull } from './squeezed';
export { type AssemblyOpening, assemblyOpenings, assemblyTightening } from './tightening';

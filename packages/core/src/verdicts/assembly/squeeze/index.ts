export { packingOf, squeezeAssembly } from './squeeze-assembly';
export { leastOf } from './least';
export { type Packing, spreadMm, type Stack, stackOf } from './press-stack';
export { acrossInTurn, pullFrame } from './pull-frame';
export type { AssemblySqueeze, ClampInSpace, PressedAlong, SqueezedPull } from './squeezed';
export { type AssemblyOpening, assemblyOpenings, assemblyTightening } from './tightening';

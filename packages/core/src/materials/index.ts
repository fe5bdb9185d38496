export { equilibriumMoisturePct, vapourPressureDeficitKPa } from './moisture';
export { cupSagittaMm, movementMm } from './movement';
export {
  type Cut,
  findSpecies,
  type GluingTraits,
  listSpecies,
  modulusAcross,
  poissonInFace,
  resolveSpecies,
  shearModulusInFace,
  type Species,
  type SpeciesInput,
  type WoodProperties,
} from './species';

export {
  type Adhesive,
  type Chemistry,
  findAdhesive,
  type Hazard,
  listAdhesives,
  type PressureWanted,
  type Service,
  SERVICES,
  standsService,
} from './adhesive';
export { type AdhesiveWindow, adhesiveWindow, CLIMATE_MODEL, type WindowConditions } from './window';

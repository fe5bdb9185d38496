export { type Adhesive, type Hazard, type Service, SERVICES } from './adhesive';
export { findAdhesive, listAdhesives, standsService } from './find-adhesive';
export { type AdhesiveWindow, adhesiveWindow } from './window';

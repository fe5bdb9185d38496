export { assemblyBuild, type AssemblyStart } from './assembly';
export {
  clampsFromRack,
  EDGE_PANEL_DEFAULTS,
  type EdgePanelAnswers,
  edgePanelBuild,
  placeEvenly,
} from './edge-panel';
export { STARTER_SHOP } from './starter-shop';

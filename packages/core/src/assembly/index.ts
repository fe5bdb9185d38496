export { boardLabel, type Panel, type PanelLine, panelOf } from './panel';
export { type ClampOnPanel, type ClampSet, clampsOnPanel } from './placed-clamps';

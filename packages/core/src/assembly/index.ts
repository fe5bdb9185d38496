export { boardLabel, type Panel, type PanelBoard, type PanelLine, panelOf } from './panel';
export { type ClampOnPanel, type ClampSet, clampsOnPanel } from './placed-clamps';

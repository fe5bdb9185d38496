export type { PressedLine } from './along';
export {
  type LineGap,
  type PanelPressure,
  panelPressure,
  type PressedBoard,
  type PressedPanel,
  type PressingClamp,
} from './panel-pressure';

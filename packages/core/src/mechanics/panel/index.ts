export {
  type LineGap,
  type PanelPressure,
  panelPressure,
  type PressedBoard,
  type PressedLine,
  type PressedPanel,
  type PressingClamp,
} from './panel-pressure';

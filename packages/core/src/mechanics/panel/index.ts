export type { PressedLine } from './along';
export { type LineGap, overlapsOf, pressableSpan, type PressedBoard } from './panel-chain';
export {
  type PanelPressure,
  panelPressure,
  type Press,
  type PressedPanel,
  type PressingClamp,
  steadyPressure,
} from './panel-pressure';
export { type PressPlace, type UnitPressures, unitPressures } from './unit-pressures';

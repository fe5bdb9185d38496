export { fullSizeItems } from './full-size';
export {
  type FullSizeItem,
  type FullSizeKind,
  isPrintable,
  type Layer,
  type PrintableItem,
  type Shape,
  type ShapeLabel,
  shapePoints,
} from './item';

export { fullSizeItems } from './full-size';
export {
  type FullSizeItem,
  type FullSizeKind,
  type Layer,
  type Shape,
  type ShapeLabel,
  shapePoints,
} from './item';

export {
  type Board,
  type BuildDocument,
  BuildDocumentSchema,
  type Climate,
  MOST_BOARDS,
  MOST_CLAMPS,
  type PlacedClamp,
} from './build-document';
export {
  type RunDocument,
  RunDocumentSchema,
  type RunEvent,
  type RunPromise,
  type RunRecord,
} from './run-document';
export { type Bottle, type RackLot, type ShopDocument, ShopDocumentSchema } from './shop-document';
export { bounded, oneOf, orNull, strictObject } from './schema';

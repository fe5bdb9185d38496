export {
  type Board,
  BoardSchema,
  type BuildDocument,
  BuildDocumentSchema,
  type Climate,
  ClimateSchema,
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
export { bounded, oneOf, orNull, strictObject, wholeBounded } from './schema';

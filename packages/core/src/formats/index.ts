export {
  type AssemblyBuild,
  type FreeJoint,
  type FreePart,
  MOST_FREE_PARTS,
  MOST_READINGS,
  type PulledClamp,
} from './assembly-build';
export { type BuildDocument, BuildDocumentSchema, isPanel } from './build-document';
export {
  type Board,
  type PanelBuild,
  type Climate,
  MOST_BOARDS,
  MOST_CLAMPS,
  type PlacedClamp,
} from './panel-build';
export {
  type RunDocument,
  RunDocumentSchema,
  type RunEvent,
  type RunPromise,
  type RunRecord,
} from './run-document';
export {
  type BlockLot,
  type Bottle,
  type CaulLot,
  caulPairsIn,
  type RackLot,
  type ShopDocument,
  ShopDocumentSchema,
} from './shop-document';
export { type Finish, FINISHES, NO_WISHES, type Wishes } from './wishes';
export { bounded, oneOf, orNull, strictObject, wholeBounded } from './schema';

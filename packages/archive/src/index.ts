export type { Archive, ArchiveFault } from './archive';
export { openWholeShop } from './open-whole-shop';
export { packArchive } from './pack';
export { logTable } from './tables';
export { takeIn, type TakeIn, type TakeInMode } from './take-in';
export { type ReadArchive, unpackArchive } from './unpack';
export { gatherArchive, type WholeShop } from './whole-shop';

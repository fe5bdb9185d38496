export { type AirLog, airLog } from './air-log';
export { backUp, copyNames, copyWhenDue, restore } from './copies';
export { type Database, openDatabase } from './database';
export {
  databasePath,
  dataFolder,
  type FolderLock,
  gone,
  inWords,
  lockFolder,
  prepareFolder,
  StorageError,
} from './folder';
export { type PassphraseStore, passphraseStore, readPassphrase, type Role, ROLES } from './passphrases';
export { documentStore } from './documents';
export type { DocumentEdit, DocumentStore, LoggedEdit, StoredDocument } from './document';
export { MOST_PICTURES, type PictureStore, pictureStore } from './pictures';
export { type RunPage, type RunStore, runStore } from './runs';
export { upgradeBuilds, upgradeRuns, type UpgradeOutcome } from './upgrade-documents';

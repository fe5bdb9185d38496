export { type AirLog, airLog } from './air-log';
export { type Database, openDatabase } from './database';
export { type DocumentStore, documentStore, type LoggedEdit, type StoredDocument } from './documents';
export { type RunPage, type RunStore, runStore } from './runs';
export { upgradeBuilds, upgradeRuns, type UpgradeOutcome } from './upgrade-documents';

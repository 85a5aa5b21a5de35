/** Contract: what crosses a border: files, requests, answers, faults. */
export { faultLine, readWith, type Fault, type Read } from './faults';
export { parseRigFile, readRigFile, type RigFile } from './rigFile';
export { adoptDocuments, nameOf } from './adoptDocuments';
export { differences } from './differences';
export { adoptRigFile, rigFileOf } from './adoptRigFile';
export { lookAtBackup } from './lookAtBackup';
export { TooMuch, weighJson } from './weighJson';
export { migrateRigFile } from './migrateRigFile';
export {
  backup,
  backupList,
  backupLook,
  BODY_SCHEMAS,
  change,
  changes,
  damaged,
  DOCUMENT_KINDS,
  FOLDER_HEADER,
  pastSaves,
  problem,
  RESTORE_WAYS,
  saved,
  stored,
  storedList,
  type Backup,
  type BackupLook,
  type BodyOf,
  type ChangeRequest,
  type Damaged,
  type DocumentKind,
  type KeptBackup,
  type Named,
  type PastSave,
  type Problem,
  type RestoreWay,
  type Stored,
  type StoredList,
} from './documents';
export { broughtIn, FIELD_LOG, parseFieldLog, type BroughtIn } from './fieldLog';
export {
  lanLook,
  mayKeep,
  offerAsked,
  refusal,
  RIGHTS,
  type Device,
  type LanLook,
  type Offer,
  type Right,
} from './lan';
export { whole, type Whole, type WholePiece } from './whole';

/** Contract: what crosses a border: files, requests, answers, faults. */
export { faultLine, readWith, type Fault, type Read } from './faults';
export { parseRigFile, readRigFile, rigFile, RIG_FILE_VERSION, type RigFile } from './rigFile';
export { adoptRigFile, rigFileOf, type NewDocument } from './adoptRigFile';
export { migrateRigFile } from './migrateRigFile';
export { backup, BODY_SCHEMAS, change, changes, DOCUMENT_KINDS, problem, saved, stored, storedList, type Backup, type BodyOf, type ChangeRequest, type DocumentKind, type Problem, type Stored } from './documents';

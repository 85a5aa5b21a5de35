/** What is kept and how it crosses to the server: a door of its own (`@tide-pebble/core/documents`), for the first load. Names single files, so that nothing else comes along. */
export { readWith } from './contract/faults';
export {
  backupList,
  backupLook,
  BODY_SCHEMAS,
  DOCUMENT_KINDS,
  FOLDER_HEADER,
  pastSaves,
  problem,
  saved,
  stored,
  storedList,
} from './contract/documents';
export { lanLook, mayKeep, refusal } from './contract/lan';

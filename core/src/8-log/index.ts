/** Log: what was measured against what was predicted. */
export { compare, dropOf } from './compare';
export { nextVersion, openWishes, versionNumber, versionsOf } from './versions';

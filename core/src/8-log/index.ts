/** Log: what was measured against what was predicted. */
export { compare } from './compare';

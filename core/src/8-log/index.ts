/** Log: what was measured against what was predicted. */
export { compare, type Comparison } from './compare';

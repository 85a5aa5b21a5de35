/** What is wrong with data from outside, as data: the field, and what would be right, in the product's own words. */
import type * as z from 'zod';

export interface Fault {
  /** Dotted path of the field, such as `rig.wants.massAtMost`; empty for the whole. */
  readonly path: string;
  readonly message: string;
}

export type Read<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly Fault[] };

/** At most this many are told at once: a wholly wrong file would otherwise bury the first one. */
const FAULTS_AT_MOST = 20;

export function readWith<T>(schema: z.ZodType<T>, data: unknown): Read<T> {
  const result = schema.safeParse(data);
  if (result.success) return { ok: true, value: result.data };
  return { ok: false, faults: result.error.issues.slice(0, FAULTS_AT_MOST).map(faultOf) };
}

function faultOf(issue: z.core.$ZodIssue): Fault {
  const path = issue.path.join('.');
  return { path, message: sentence(issue) };
}

function sentence(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'is missing' : `must be ${named(issue.expected)}`;
    // A bound that says its own unit.
    case 'too_small':
    case 'too_big':
      if (!/^Too (small|big)/.test(issue.message)) return issue.message;
      return bound(issue);
    case 'unrecognized_keys':
      return `has keys that are not known: ${issue.keys.join(', ')}`;
    case 'invalid_value':
      return `must be one of: ${issue.values.join(', ')}`;
    case 'invalid_union':
      return 'is of no kind that is known here';
    case 'invalid_format':
      return issue.format === 'regex'
        ? 'may hold only letters, digits and _ . / -, and must not be empty'
        : `is not a ${issue.format}`;
    default:
      return issue.message;
  }
}

function bound(issue: z.core.$ZodIssueTooBig | z.core.$ZodIssueTooSmall): string {
  if (issue.code === 'too_small')
    return issue.origin === 'string'
      ? 'must not be empty'
      : `must be ${issue.inclusive ? 'at least' : 'more than'} ${issue.minimum}${items(issue.origin)}`;
  return `must be ${issue.inclusive ? 'at most' : 'less than'} ${issue.maximum}${issue.origin === 'string' ? ' characters' : items(issue.origin)}`;
}

const items = (origin: string): string => (origin === 'array' ? ' entries' : '');
const named = (expected: string): string =>
  ({
    number: 'a number',
    string: 'text',
    array: 'a list',
    tuple: 'a list',
    object: 'an object',
    boolean: 'true or false',
    int: 'a whole number',
    record: 'an object',
  })[expected] ?? expected;

/** One line: "rig.wants.massAtMost must be more than 0". */
export const faultLine = ({ path, message }: Fault): string =>
  path === '' ? `The file ${message}` : `${path} ${message}`;

/** Why the store refuses. */
import type { ChangeRequest, Stored } from '@tide-pebble/core';

/** A folder of demo data asked for as a real one, or the other way round. */
export class WrongPurpose extends Error {}
export class Conflict extends Error {
  constructor(readonly conflicts: readonly { mine: ChangeRequest; theirs: Stored | null }[]) {
    super('the documents were changed elsewhere');
  }
}

/** A document that is there and cannot be read. */
export class Unreadable extends Error {}

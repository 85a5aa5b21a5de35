/** Phones of the house: what one that is paired may do, and what passes between server and the page that pairs them. */
import * as z from 'zod';
import type { DocumentKind } from './documents';

/** A paired phone reads all; with `field` it also keeps what is done with a rig outside. This machine itself may do everything. */
export const RIGHTS = ['field', 'read'] as const;
export type Right = (typeof RIGHTS)[number];

/** What is done with a rig outside: readings, walks and how it is set. Never the rig itself, the kit or the bin. */
const FIELD_KINDS: ReadonlySet<DocumentKind> = new Set(['log', 'walk', 'setup']);

export const mayKeep = (right: Right | undefined, kind: DocumentKind): boolean =>
  right === undefined || (right === 'field' && FIELD_KINDS.has(kind));

/** Why a phone did not keep something, as its maker is told. */
export const refusal = (right: Right): string =>
  right === 'read'
    ? 'This phone may only read: nothing was changed.'
    : 'This phone keeps readings, walks and set-ups; the rest is changed where Tide Pebble runs.';

export const offerAsked = z.strictObject({ right: z.enum(RIGHTS) });

/** A code works once, until it is used or its time is over. */
const offer = z.strictObject({ code: z.string(), right: z.enum(RIGHTS), until: z.string() });
export type Offer = z.infer<typeof offer>;

const device = z.strictObject({
  id: z.string(),
  name: z.string(),
  right: z.enum(RIGHTS),
  pairedAt: z.string(),
  seenAt: z.string(),
});
export type Device = z.infer<typeof device>;

/** How this server stands to the house's network: `addresses` empty where it is not open to it. */
export const lanLook = z.strictObject({
  open: z.boolean(),
  addresses: z.array(z.string()),
  /** SHA-256 of the certificate, as a phone shows it. */
  fingerprint: z.string(),
  offer: offer.nullable(),
  devices: z.array(device),
});
export type LanLook = z.infer<typeof lanLook>;

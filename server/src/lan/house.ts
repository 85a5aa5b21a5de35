/** The server on the house's network, only when asked for: HTTPS with a certificate of its own, beside the one on loopback. */
import { createServer, type Server } from 'node:https';
import type { Express } from 'express';
import encodeQR from 'qr';
import type { Offer, Right } from '@tide-pebble/core';
import { certificateFor } from './certificate';
import { Pairing } from './pairing';

/** Of one household there are never more; each holds a few connections. */
const CONNECTIONS_AT_MOST = 200;

export interface House {
  readonly server: Server;
  /** https://address:port, one a network. */
  readonly addresses: readonly string[];
  readonly fingerprint: string;
  readonly pairing: Pairing;
}

/** `appFor` gives what is served, behind the door it is handed the means for. Rejects with the reason where it cannot listen. */
export async function openToTheHouse(options: {
  readonly folder: string;
  readonly port: number;
  readonly addresses: readonly string[];
  readonly now: () => number;
  readonly appFor: (door: { readonly pairing: Pairing; readonly hosts: () => ReadonlySet<string> }) => Express;
}): Promise<House> {
  const { folder, addresses, now } = options;
  // This machine itself may try what its phones see.
  const names = ['127.0.0.1', 'localhost', ...addresses];
  const { key, cert, fingerprint } = await certificateFor(folder, ['127.0.0.1', ...addresses], now);
  const pairing = new Pairing(now);
  let hosts: ReadonlySet<string> = new Set();
  const server = createServer({ key, cert, minVersion: 'TLSv1.2' }, options.appFor({ pairing, hosts: () => hosts }));
  server.maxConnections = CONNECTIONS_AT_MOST;
  await new Promise<void>((listening, failed) => {
    server.once('error', failed);
    server.listen(options.port, '0.0.0.0', listening);
  });
  const { port } = server.address() as { port: number };
  hosts = new Set(names.map((name) => `${name}:${port}`));
  const shown = addresses.length > 0 ? addresses : ['127.0.0.1'];
  return { server, addresses: shown.map((address) => `https://${address}:${port}`), fingerprint, pairing };
}

/** Where a phone goes to pair with this code. */
export const pairAddress = (address: string, { code }: Pick<Offer, 'code'>): string => `${address}/pair?code=${code}`;

/** What the window says: addresses, the certificate's mark and a first code, with a QR code of it. */
export function greeting({ addresses, fingerprint, pairing }: House, right: Right): string {
  const offer = pairing.offer(right);
  return [
    `Open to the house's network at ${addresses.join(' and ')}`,
    encodeQR(pairAddress(addresses[0]!, offer), 'ascii', { border: 4 }),
    `A phone that reads this, or types ${offer.code} there, is paired for readings and set-ups. The code works once, for ten minutes; more in Field, On a phone.`,
    `The phone warns of a certificate it does not know: it is this folder's own, and its SHA-256 is ${fingerprint}.`,
  ].join('\n');
}

/** The certificate of this folder's server on the house's network: made on first use, kept beside the data, made anew when the address changes or its time runs out. */
import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generate } from 'selfsigned';

export interface Certificate {
  readonly key: string;
  readonly cert: string;
  /** SHA-256, as a phone shows it. */
  readonly fingerprint: string;
}

const DAY_MS = 24 * 60 * 60_000;
/** The longest that phones take from a certificate of one's own. */
const GOOD_FOR_DAYS = 397;
const RENEWED_BEFORE_DAYS = 14;

/** `addresses`: IPv4, each of which it must hold for. */
export async function certificateFor(
  folder: string,
  addresses: readonly string[],
  now: () => number,
): Promise<Certificate> {
  const kept = keptIn(folder);
  if (kept && holds(kept.cert, addresses, now())) return kept;
  const made = await generate([{ name: 'commonName', value: 'Tide Pebble' }], {
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
    notBeforeDate: new Date(now() - DAY_MS),
    notAfterDate: new Date(now() + (GOOD_FOR_DAYS - 1) * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [{ type: 2, value: 'localhost' }, ...addresses.map((ip) => ({ type: 7, ip }) as const)],
      },
    ],
  });
  write(keyFile(folder), made.private);
  write(certFile(folder), made.cert);
  return read(made.private, made.cert);
}

const keyFile = (folder: string): string => join(folder, 'lan-key.pem');
const certFile = (folder: string): string => join(folder, 'lan-cert.pem');

function keptIn(folder: string): Certificate | null {
  if (!existsSync(keyFile(folder)) || !existsSync(certFile(folder))) return null;
  try {
    return read(readFileSync(keyFile(folder), 'utf8'), readFileSync(certFile(folder), 'utf8'));
  } catch {
    // Cut short or typed over: made anew.
    return null;
  }
}

const read = (key: string, cert: string): Certificate => ({
  key,
  cert,
  fingerprint: new X509Certificate(cert).fingerprint256,
});

function holds(cert: string, addresses: readonly string[], now: number): boolean {
  const found = new X509Certificate(cert);
  return (
    now > Date.parse(found.validFrom) &&
    now < Date.parse(found.validTo) - RENEWED_BEFORE_DAYS * DAY_MS &&
    addresses.every((ip) => found.checkIP(ip) !== undefined)
  );
}

/** For its owner alone, and whole or not at all. */
function write(file: string, text: string): void {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  chmodSync(`${file}.new`, 0o600);
  renameSync(`${file}.new`, file);
}

import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { certificateFor } from './certificate';

describe('the certificate of a folder', () => {
  const DAY = 24 * 60 * 60_000;
  const today = Date.parse('2026-06-14T10:00:00Z');
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'certificate-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it('holds for each address, is kept for its owner alone, and stays the same', async () => {
    const made = await certificateFor(folder, ['127.0.0.1', '192.168.7.20'], () => today);
    const read = new X509Certificate(made.cert);
    expect(read.checkIP('192.168.7.20')).toBe('192.168.7.20');
    expect(read.checkIP('192.168.7.21')).toBeUndefined();
    expect(read.checkHost('localhost')).toBe('localhost');
    expect(read.fingerprint256).toBe(made.fingerprint);
    expect(read.ca).toBeFalse();
    expect((Date.parse(read.validTo) - Date.parse(read.validFrom)) / DAY).toBeLessThanOrEqual(397);
    expect(statSync(join(folder, 'lan-key.pem')).mode & 0o777).toBe(0o600);
    expect(await certificateFor(folder, ['127.0.0.1'], () => today + 300 * DAY)).toEqual(made);
  });

  it('is made anew for another address, near its end, and when it is damaged', async () => {
    const made = await certificateFor(folder, ['127.0.0.1'], () => today);
    const moved = await certificateFor(folder, ['127.0.0.1', '10.0.0.4'], () => today);
    expect(moved.fingerprint).not.toBe(made.fingerprint);
    const later = await certificateFor(folder, ['10.0.0.4'], () => today + 385 * DAY);
    expect(later.fingerprint).not.toBe(moved.fingerprint);
    writeFileSync(join(folder, 'lan-cert.pem'), readFileSync(join(folder, 'lan-cert.pem')).subarray(0, 200));
    const mended = await certificateFor(folder, ['10.0.0.4'], () => today + 385 * DAY);
    expect(mended.fingerprint).not.toBe(later.fingerprint);
  });
});

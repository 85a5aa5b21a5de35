/** The server on the house's network, asked over real TLS as a phone does. */
import { request as ask } from 'node:https';
import decodeQR from 'qr/decode.js';
import encodeQR from 'qr';
import { makeApp } from '../app';
import { onlyThisMachine } from '../guards';
import { openStore } from '../store/openStore';
import { Bench, NOW, save } from '../testing';
import { greeting, openToTheHouse, pairAddress, type House } from './house';
import { houseDoor } from './houseDoor';
import supertest from 'supertest';

interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly text: string;
}
interface Asked {
  readonly method?: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string;
}

describe('the server in the house', () => {
  let bench: Bench;
  let house: House;
  let at: number;
  const open = async (): Promise<House> =>
    openToTheHouse({
      folder: bench.folder,
      port: 0,
      addresses: [],
      now: () => at,
      appFor: (door) => makeApp(bench.served, houseDoor({ ...door, devices: bench.store.devices, now: () => at })),
    });
  beforeEach(async () => {
    at = Date.parse(NOW);
    bench = new Bench();
    house = await open();
  });
  afterEach(async () => {
    await new Promise((done) => {
      house.server.close(done);
      house.server.closeAllConnections();
    });
    expect(bench.sound()).toBeTrue();
    bench.end();
  });

  const at443 = (path: string, { method = 'GET', headers = {}, body = '' }: Asked = {}): Promise<Answer> =>
    new Promise((answered, failed) => {
      const asking = ask(
        `${house.addresses[0]}${path}`,
        {
          method,
          headers: { ...headers, ...(body ? { 'Content-Length': `${Buffer.byteLength(body)}` } : {}) },
          rejectUnauthorized: false,
        },
        (response) => {
          let text = '';
          response.setEncoding('utf8').on('data', (part: string) => (text += part));
          response.on('end', () => answered({ status: response.statusCode!, headers: response.headers, text }));
        },
      );
      asking.on('error', failed);
      asking.end(body);
    });
  const pairWith = (code: string, name = 'Pocket', headers: Asked['headers'] = {}): Promise<Answer> =>
    at443('/pair', {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded', ...headers },
      body: new URLSearchParams({ code, name }).toString(),
    });
  const paired = async (right: 'field' | 'read'): Promise<{ cookie: string }> => {
    const answer = await pairWith(house.pairing.offer(right).code);
    expect(answer.status).toBe(303);
    return { cookie: answer.headers['set-cookie']![0]!.split(';')[0]! };
  };
  const change = (headers: Readonly<Record<string, string>>, changes: readonly object[]): Promise<Answer> =>
    at443('/api/changes', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...headers },
      body: JSON.stringify({ changes }),
    });
  const logged = (id: string) => ({
    kind: 'log',
    id,
    revision: 0,
    body: {
      id,
      rig: 'r',
      loadout: null,
      when: NOW,
      values: {},
      expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
      seen: { dropTimes: [1.9] },
      notes: '',
    },
  });

  it('has nothing but the pairing page for whoever is not paired', async () => {
    for (const path of ['/', '/field', '/main.js', '/ngsw.json', '/favicon.svg', '/lan-key.pem'])
      expect(await at443(path)).toEqual(
        jasmine.objectContaining({ status: 303, text: jasmine.stringContaining('/pair') }),
      );
    for (const path of ['/api/health', '/api/documents', '/api/photos/x', '/api/backup', '/api/lan'])
      expect((await at443(path)).status)
        .withContext(path)
        .toBe(401);
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'])
      expect((await at443('/api/changes', { method })).status)
        .withContext(method)
        .toBe(401);
    expect(
      (await at443('/api/documents', { headers: { cookie: `__Host-tide-pebble=${'a'.repeat(43)}` } })).status,
    ).toBe(401);
    const page = await at443('/pair');
    expect(page.status).toBe(200);
    expect(page.text).not.toContain('<script');
    expect(page.headers['content-security-policy']).toContain("form-action 'self'");
  });

  it('pairs by a code once, with a cookie no script reads and no other site sends', async () => {
    const { code } = house.pairing.offer('field');
    const answer = await pairWith(code);
    expect(answer.headers['location']).toBe('/field');
    const cookie = answer.headers['set-cookie']![0]!;
    for (const part of ['__Host-tide-pebble=', 'HttpOnly', 'Secure', 'SameSite=Strict', 'Path=/'])
      expect(cookie).toContain(part);
    expect((await pairWith(code)).status).toBe(403);
    const [device] = bench.store.devices.list();
    expect(device).toEqual(jasmine.objectContaining({ name: 'Pocket', right: 'field' }));
    // The data file never holds what opens the door.
    expect(JSON.stringify(bench.store.devices.list())).not.toContain(cookie.slice(20, 60));
  });

  it('makes whoever guesses wait, and says how long', async () => {
    const { code } = house.pairing.offer('field');
    for (let n = 0; n < 4; n++) expect((await pairWith('2222-2222')).status).toBe(403);
    const fifth = await pairWith('2222-2222');
    expect([fifth.status, fifth.headers['retry-after']]).toEqual([429, '60']);
    expect((await pairWith(code)).status).toBe(429);
    expect(bench.store.devices.list()).toEqual([]);
  });

  it('writes no word from outside into its pairing page', async () => {
    const bad = '"><script>alert(1)</script>';
    expect((await at443(`/pair?code=${encodeURIComponent(bad)}`)).text).not.toContain('<script');
    expect((await pairWith(bad, bad)).text).not.toContain('<script');
    expect((await pairWith('x'.repeat(2000))).status).toBe(413);
    expect((await pairWith('2222', 'n'.repeat(61))).status).toBe(400);
  });

  it('lets a field phone read, and keep readings and set-ups, and nothing else', async () => {
    bench.store.save([{ ...save('a', 0) }]);
    const phone = await paired('field');
    const all = await at443('/api/documents', { headers: phone });
    expect(JSON.parse(all.text)).toEqual(jasmine.objectContaining({ right: 'field' }));
    expect((await change(phone, [logged('one')])).status).toBe(200);
    expect(bench.store.one('log', 'one')).not.toBeNull();
    // The photo of a reading: looked at as anyone's, and this is none.
    expect((await at443(`/api/photos/${'a'.repeat(64)}`, { method: 'PUT', headers: phone })).status).toBe(400);
    // One that may be kept beside one that may not: neither is.
    const refused = await change(phone, [logged('two'), save('b', 0)]);
    expect(refused.status).toBe(403);
    expect(JSON.parse(refused.text).detail).toContain('readings, walks and set-ups');
    expect(bench.store.one('log', 'two')).toBeNull();
    for (const [method, path] of [
      ['GET', '/api/backup'],
      ['GET', '/api/backups'],
      ['POST', '/api/restore?way=instead'],
      ['PUT', '/api/photos/x'],
      ['DELETE', `/api/photos/${'a'.repeat(64)}`],
      ['GET', '/api/lan'],
      ['POST', '/api/lan/offer'],
      ['DELETE', `/api/lan/devices/${bench.store.devices.list()[0]!.id}`],
      ['GET', '/api/rig-files/r'],
      ['POST', '/field'],
    ] as const)
      expect((await at443(path, { method, headers: phone })).status)
        .withContext(`${method} ${path}`)
        .toBe(403);
    expect(
      (
        await change({ ...phone, 'Content-Type': 'application/json' }, [
          { ...logged('big'), notes: 'x'.repeat(5_000_000) },
        ])
      ).status,
    ).toBe(413);
  });

  it('lets a phone that may read only read', async () => {
    const phone = await paired('read');
    expect((await at443('/api/documents', { headers: phone })).status).toBe(200);
    expect((await change(phone, [logged('one')])).status).toBe(403);
    expect((await at443(`/api/photos/${'a'.repeat(64)}`, { method: 'PUT', headers: phone })).status).toBe(403);
    expect(bench.store.one('log', 'one')).toBeNull();
  });

  it('lets a phone go at once; what it held opens nothing any more', async () => {
    const phone = await paired('field');
    const [device] = bench.store.devices.list();
    const http = supertest(makeApp({ ...bench.served, house: () => house }, onlyThisMachine));
    const gone = await http.delete(`/api/lan/devices/${device!.id}`);
    expect(gone.body.devices).toEqual([]);
    expect((await at443('/api/documents', { headers: phone })).status).toBe(401);
    expect((await http.delete(`/api/lan/devices/${device!.id}`)).status).toBe(404);
  });

  it('is not at another Host, and no other site may use it', async () => {
    const phone = await paired('field');
    const port = house.addresses[0]!.split(':').at(-1)!;
    for (const host of ['tide.example', '127.0.0.1', `127.0.0.1:${Number(port) + 1}`, `10.0.0.9:${port}`])
      expect((await at443('/api/documents', { headers: { ...phone, Host: host } })).status)
        .withContext(host)
        .toBe(403);
    for (const origin of ['null', 'https://evil.example', `http://127.0.0.1:${port}`])
      expect((await at443('/api/documents', { headers: { ...phone, Origin: origin } })).status)
        .withContext(origin)
        .toBe(403);
    const offer = house.pairing.offer('field');
    expect((await pairWith(offer.code, 'x', { Origin: 'null' })).status).toBe(403);
    expect((await pairWith(offer.code, 'x', { Origin: house.addresses[0]! })).status).toBe(303);
  });

  it('lets no phone and no stranger ask without end', async () => {
    const phone = await paired('field');
    const strangers = [];
    for (let n = 0; n < 70; n++) strangers.push((await at443('/pair')).status);
    expect(strangers.slice(-5)).toEqual([429, 429, 429, 429, 429]);
    // A paired one has its own count.
    expect((await at443('/api/health', { headers: phone })).status).toBe(200);
    let last = 0;
    for (let n = 0; n < 910; n++) last = (await at443('/api/health', { headers: phone })).status;
    expect(last).toBe(429);
  });

  it('keeps its phones over a restart, and not in a folder brought back from a backup', async () => {
    await paired('field');
    const backup = await bench.backups.make(bench.store);
    bench.reopen();
    expect(bench.store.devices.list().length).toBe(1);
    bench.store.close();
    bench.backups.recover(backup);
    bench.store = openStore(bench.file, 'own', () => NOW);
    expect(bench.store.devices.list()).toEqual([]);
  });

  it('greets with an address that a camera reads', () => {
    const words = greeting(house, 'field');
    const offer = house.pairing.offered()!;
    expect(words).toContain(offer.code);
    expect(words).toContain(house.fingerprint);
    const address = pairAddress('https://192.168.7.20:4681', offer);
    expect(decodeQR(picture(encodeQR(address, 'raw', { border: 4 })))).toBe(address);
  });
});

/** Each square of a code as eight by eight pixels. */
function picture(code: readonly (readonly boolean[])[]): { width: number; height: number; data: Uint8ClampedArray } {
  const side = code.length * 8;
  const data = new Uint8ClampedArray(side * side * 4).fill(255);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) if (code[y >> 3]![x >> 3]) data.fill(0, 4 * (y * side + x), 4 * (y * side + x) + 3);
  return { width: side, height: side, data };
}

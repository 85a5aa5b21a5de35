import { createHash } from 'node:crypto';
import { unzipSync, zipSync } from 'fflate';
import { photoOf } from '../photo';
import { Bench, item, save } from '../testing';
import { openStore } from '../store/openStore';

/** A picture of one pixel. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const pixel = photoOf(PIXEL);

describe('photos', () => {
  let bench: Bench;
  beforeEach(() => (bench = new Bench()));
  afterEach(() => {
    expect(bench.sound()).toBeTrue();
    bench.end();
  });
  const put = (id: string, bytes: Buffer) =>
    bench.http.put(`/api/photos/${id}`).set('Content-Type', 'image/png').send(bytes);
  const withPhoto = (id: string) => ({
    ...save(id, 0),
    body: { ...item(id), photo: { id: pixel.id, width: 1, height: 1 } },
  });

  it('are kept by their hash, once, and given back as they came', async () => {
    expect((await put(pixel.id, PIXEL)).body).toEqual({ id: pixel.id, width: 1, height: 1 });
    expect((await put(pixel.id, PIXEL)).status).toBe(201);
    const back = await bench.http.get(`/api/photos/${pixel.id}`).responseType('blob');
    expect(back.headers['content-type']).toBe('image/png');
    expect(back.headers['cache-control']).toContain('immutable');
    expect(Buffer.compare(back.body as Buffer, PIXEL)).toBe(0);
  });

  it('that are none are refused with the reason, and nothing is kept', async () => {
    // Its head says it is 0 wide: once a 500.
    const flat = Buffer.from(PIXEL);
    flat.writeUInt32BE(0, 16);
    expect((await put(createHash('sha256').update(flat).digest('hex'), flat)).status).toBe(400);
    const other = 'f'.repeat(64);
    for (const [id, bytes, words] of [
      [pixel.id, Buffer.from('not a picture at all'), 'not a picture'],
      [pixel.id, Buffer.from('GIF89a\u0001\u0000\u0001\u0000'), 'JPEG, PNG or WebP'],
      [other, PIXEL, 'changed on its way'],
      [pixel.id, Buffer.alloc(0), 'no picture'],
    ] as const) {
      const answer = await put(id, bytes);
      expect(answer.status).withContext(words).toBe(400);
      expect(answer.body.detail).toContain(words);
    }
    expect((await put(pixel.id, Buffer.alloc(5_000_000))).status).toBe(413);
    expect((await bench.http.get(`/api/photos/${pixel.id}`)).status).toBe(404);
  });

  it('go with a backup and come back with it; one that was changed refuses all of it', async () => {
    await put(pixel.id, PIXEL);
    bench.store.save([withPhoto('a')]);
    const zip = (await bench.http.get('/api/backup').responseType('blob')).body as Buffer;
    const other = new Bench();
    const restore = (body: Buffer) =>
      other.http.post('/api/restore?way=instead').set('Content-Type', 'application/zip').send(body);
    const files = unzipSync(zip);
    const name = Object.keys(files).find((f) => f.startsWith('photos/'))!;
    expect((await restore(Buffer.from(zipSync({ ...files, [name]: Buffer.from('no picture any more') })))).status).toBe(
      400,
    );
    expect(other.store.isEmpty()).toBeTrue();
    expect((await restore(zip)).status).toBe(200);
    expect(other.store.photo(pixel.id)!.bytes.length).toBe(PIXEL.length);
    other.end();
  });

  it('of the log are kept like those of kit', async () => {
    await put(pixel.id, PIXEL);
    const entry = {
      id: 'a',
      rig: 'r',
      loadout: null,
      when: '2026-06-14T10:00:00Z',
      values: {},
      expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
      seen: { dropTimes: [] },
      notes: '',
      photos: [{ id: pixel.id, width: 1, height: 1 }],
    };
    const logged = { kind: 'log' as const, id: 'a', revision: 0, body: entry };
    expect(bench.store.photos()).toEqual([]);
    bench.store.save([logged]);
    expect(bench.store.photos().map((p) => p.id)).toEqual([pixel.id]);
    const later = (): void => {
      bench.store.close();
      bench.store = openStore(bench.file, 'own', () => '2027-06-14T10:00:00.000Z');
    };
    later();
    expect(bench.store.photos().length).toBe(1);
    // Deleted it stands in an earlier save still, and can come back whole.
    bench.store.save([{ ...logged, revision: 1, body: null }]);
    later();
    expect([bench.store.photos().length, bench.store.photo(pixel.id) !== null]).toEqual([0, true]);
  });

  it('that nothing names are let go a month later; those of an earlier save are not', () => {
    bench.store.putPhoto(pixel);
    const later = (days: number): void => {
      bench.store.close();
      bench.store = openStore(bench.file, 'own', () =>
        new Date(Date.parse('2026-06-14T10:00:00.000Z') + days * 86_400_000).toISOString(),
      );
    };
    later(20);
    expect(bench.store.photo(pixel.id)).not.toBeNull();
    bench.store.save([withPhoto('a')]);
    bench.store.save([save('a', 1)]);
    expect(bench.store.photos()).toEqual([]);
    later(70);
    expect(bench.store.photo(pixel.id)).not.toBeNull();
    bench.store.putPhoto({ ...pixel, id: 'e'.repeat(64) });
    later(140);
    expect(bench.store.photo('e'.repeat(64))).toBeNull();
  });
});

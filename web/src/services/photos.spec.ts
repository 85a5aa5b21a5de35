import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { until } from '../testing/until';
import { PhotoRefused, Photos } from './photos';

async function picture(width: number, height: number): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.fillRect(0, 0, width / 2, height);
  return canvas.convertToBlob({ type: 'image/png' });
}

describe('a photo of kit', () => {
  let photos: Photos;
  let http: HttpTestingController;
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    photos = TestBed.inject(Photos);
    http = TestBed.inject(HttpTestingController);
  });
  const sent = (): Promise<ReturnType<HttpTestingController['expectOne']>> =>
    until(() => http.match(() => true)[0], 'a request');

  it('is made small, named by its hash, and sent', async () => {
    const kept = photos.keep(await picture(3200, 800));
    const request = await sent();
    expect(request.request.method).toBe('PUT');
    expect(request.request.url).toMatch(/^\/api\/photos\/[0-9a-f]{64}$/);
    expect((request.request.body as Blob).type).toBe('image/jpeg');
    request.flush({});
    const photo = await kept;
    expect([photo.width, photo.height]).toEqual([1600, 400]);
    expect(photos.address(photo)).toBe(request.request.url);
  });
  it('that is none is refused in words, and nothing is sent', async () => {
    await expectAsync(photos.keep(new Blob(['no picture'], { type: 'image/png' }))).toBeRejectedWithError(
      PhotoRefused,
      /not a picture/,
    );
    http.expectNone(() => true);
  });
  it('is not kept while the server is away, and that is said', async () => {
    const kept = photos.keep(await picture(20, 20));
    (await sent()).error(new ProgressEvent('error'));
    await expectAsync(kept).toBeRejectedWithError(PhotoRefused, /cannot be reached/);
  });
});

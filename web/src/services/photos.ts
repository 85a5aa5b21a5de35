/** Photos kept with kit and in the log: made small in the browser, named by their hash, put on the server. */
import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { Photo } from '@tide-pebble/core';
import { firstValueFrom } from 'rxjs';

/** Longest side kept, px: enough to read a mark on, small enough for a hundred in a backup. */
const SIDE_AT_MOST = 1600;
const QUALITY = 0.85;
const FILE_AT_MOST = 40 * 1024 * 1024;

/** Why a photo was not kept, in words. */
export class PhotoRefused extends Error {}

@Injectable({ providedIn: 'root' })
export class Photos {
  private readonly http = inject(HttpClient);

  address(photo: Photo): string {
    return `/api/photos/${photo.id}`;
  }

  async bytes(photo: Photo): Promise<Uint8Array> {
    const came = await firstValueFrom(this.http.get(this.address(photo), { responseType: 'arraybuffer' }));
    return new Uint8Array(came);
  }

  async keep(file: Blob): Promise<Photo> {
    if (file.size > FILE_AT_MOST) throw new PhotoRefused('This picture is larger than 40 MB. Make it smaller first.');
    const small = await smaller(file);
    const bytes = await small.blob.arrayBuffer();
    const id = [...new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))]
      .map((b) => b.toString(16).padStart(2, '0'))
      .join('');
    try {
      await firstValueFrom(
        this.http.put(`/api/photos/${id}`, small.blob, { headers: { 'Content-Type': 'image/jpeg' } }),
      );
    } catch {
      throw new PhotoRefused(
        'The server cannot be reached, so the photo is not kept. All else is; choose it again later.',
      );
    }
    return { id, width: small.width, height: small.height };
  }
}

async function smaller(file: Blob): Promise<{ blob: Blob; width: number; height: number }> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    throw new PhotoRefused('This is not a picture the browser can read. Choose a JPEG, PNG or WebP.');
  }
  const scale = Math.min(1, SIDE_AT_MOST / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  );
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return {
    blob: await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY }),
    width: canvas.width,
    height: canvas.height,
  };
}

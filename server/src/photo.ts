/** A photo as it is kept: its bytes named by their hash, and what the bytes themselves say they are. */
import { createHash } from 'node:crypto';
import { imageSize } from 'image-size';
import { BadRequest } from './problem';

export interface Photo {
  readonly id: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: Buffer;
}

const TYPES: Readonly<Record<string, string>> = { jpg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };
/** The page makes them smaller than this; a larger one did not come from it. Pixels along a side. */
const SIDE_AT_MOST = 4096;

/** Read from the bytes, whatever they are called. Throws BadRequest for what is no picture. */
export function photoOf(bytes: Buffer): Photo {
  let found: { readonly width: number; readonly height: number; readonly type?: string };
  try {
    found = imageSize(bytes);
  } catch {
    throw new BadRequest('This is not a picture that can be kept: a JPEG, PNG or WebP, please.');
  }
  const type = TYPES[found.type ?? ''];
  if (!type) throw new BadRequest('A JPEG, PNG or WebP picture, please.');
  if (!(found.width >= 1 && found.height >= 1))
    throw new BadRequest('This picture has no width or no height: its head is damaged.');
  if (found.width > SIDE_AT_MOST || found.height > SIDE_AT_MOST)
    throw new BadRequest(`This picture is ${found.width} by ${found.height}: ${SIDE_AT_MOST} a side at most.`);
  return {
    id: createHash('sha256').update(bytes).digest('hex'),
    type,
    width: found.width,
    height: found.height,
    bytes,
  };
}

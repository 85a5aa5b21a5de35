/** A clip of a known walk, made by the browser itself: a still scene, turned frame by frame as the walk says. */
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { BrowserContext } from '@playwright/test';

const LIBRARY = join(dirname(createRequire(import.meta.url).resolve('mediabunny')), 'mediabunny.min.mjs');
/** Secure, so that the browser encodes there; nothing answers but the test. */
const MADE_AT = 'http://localhost:9/made';
const LIBRARY_AT = 'http://localhost:9/library.mjs';

export interface MadeWalk {
  readonly seconds: number;
  readonly frameRate: number;
  /** Of the lens, across the picture, rad. */
  readonly across: number;
  /** [amplitude rad, frequency Hz, phase] of tilt (up), pan (left) and roll (left side up). */
  readonly tilt: readonly (readonly [number, number, number])[];
  readonly pan: readonly (readonly [number, number, number])[];
  readonly roll: readonly (readonly [number, number, number])[];
}

export const angleAt = (tones: MadeWalk['tilt'], t: number): number =>
  tones.reduce((sum, [a, f, p]) => sum + a * Math.sin(2 * Math.PI * f * t + p), 0);

export async function madeClip(context: BrowserContext, walk: MadeWalk, path: string): Promise<void> {
  const page = await context.newPage();
  await page.route(MADE_AT, (route) => route.fulfill({ contentType: 'text/html', body: '<p>made here</p>' }));
  await page.route(LIBRARY_AT, (route) => route.fulfill({ contentType: 'text/javascript', path: LIBRARY }));
  await page.goto(MADE_AT);
  const frames = Array.from({ length: walk.seconds * walk.frameRate }, (_, i) => {
    const t = i / walk.frameRate;
    return [angleAt(walk.tilt, t), angleAt(walk.pan, t), angleAt(walk.roll, t)] as const;
  });
  const text = await page.evaluate(
    async ({ frames: turns, frameRate, across, library }) => {
      interface Kept {
        readonly buffer: ArrayBuffer;
      }
      // eslint-disable-next-line @typescript-eslint/no-explicit-any -- fetched within the page, where no types reach
      const { Output, BufferTarget, WebMOutputFormat, CanvasSource } = (await import(library)) as any;
      const [width, height] = [640, 360];
      const canvas = new OffscreenCanvas(width, height);
      const draw = canvas.getContext('2d')!;
      // Stones on a beach: soft ones, so that a shift of a part of a pixel shows as it would through a lens.
      let seed = 7;
      const chance = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
      const stones = Array.from({ length: 900 }, () => ({
        x: (chance() - 0.5) * 1.6 * width,
        y: (chance() - 0.5) * 1.8 * height,
        r: 4 + 22 * chance() ** 2,
        turn: 3 * chance(),
        grey: Math.floor(40 + 190 * chance()),
      }));
      const focal = width / 2 / Math.tan(across / 2);
      const target = new BufferTarget();
      const output = new Output({ format: new WebMOutputFormat(), target });
      const source = new CanvasSource(canvas, { codec: 'vp8', bitrate: 4_000_000 });
      output.addVideoTrack(source, { frameRate });
      await output.start();
      for (const [i, [tilt, pan, roll]] of turns.entries()) {
        draw.setTransform(1, 0, 0, 1, 0, 0);
        draw.fillStyle = '#8a8478';
        draw.fillRect(0, 0, width, height);
        // A camera turned to the left sees its content go to the right; tilted up, down; its left side up, clockwise turned back.
        draw.translate(width / 2 + focal * Math.tan(pan!), height / 2 + focal * Math.tan(tilt!));
        draw.rotate(-roll!);
        for (const s of stones) {
          draw.fillStyle = `rgb(${s.grey} ${s.grey} ${s.grey})`;
          draw.beginPath();
          draw.ellipse(s.x, s.y, s.r, 0.7 * s.r, s.turn, 0, 7);
          draw.fill();
        }
        await source.add(i / frameRate, 1 / frameRate);
      }
      await output.finalize();
      const bytes = new Uint8Array((target as Kept).buffer);
      let binary = '';
      for (let i = 0; i < bytes.length; i += 8192) binary += String.fromCharCode(...bytes.subarray(i, i + 8192));
      return btoa(binary);
    },
    { frames, frameRate: walk.frameRate, across: walk.across, library: LIBRARY_AT },
  );
  writeFileSync(path, Buffer.from(text, 'base64'));
  await page.close();
}

/** A clip's frames one by one, each by the stamp the file gives it. The library that opens clips is fetched only then. */
import { figure, say } from '@tide-pebble/core/words';
import type { Phrase } from '@tide-pebble/core';

export interface ClipFrames {
  /** When each frame is shown, s, in order. */
  readonly stamps: readonly number[];
  /** px */
  readonly width: number;
  readonly height: number;
  /** Resolves once it is drawn, with whether there was such a frame. */
  draw(frame: number, context: CanvasRenderingContext2D): Promise<boolean>;
  close(): void;
}
export type OpenedClip =
  { readonly ok: true; readonly frames: ClipFrames } | { readonly ok: false; readonly reason: Phrase };

/** A drop is over in seconds; every frame of an hour would have to be told apart first. */
const SECONDS_AT_MOST = 300;

export async function openClip(file: Blob): Promise<OpenedClip> {
  const [{ clipTrack }, { EncodedPacketSink, VideoSampleSink }] = await Promise.all([
    import('../workers/clip-track'),
    import('mediabunny'),
  ]);
  const opened = await clipTrack(file);
  if (!opened.ok) return opened;
  const { input, track } = opened;
  const refused = (reason: Phrase): OpenedClip => {
    input.dispose();
    return { ok: false, reason };
  };
  const seconds = await track.computeDuration();
  if (seconds > SECONDS_AT_MOST)
    return refused(say`It lasts ${figure('time', seconds, 0)}: cut out the drop, some seconds of it.`);
  const found = new Set<number>();
  for await (const packet of new EncodedPacketSink(track).packets(undefined, undefined, { metadataOnly: true }))
    if (packet.timestamp >= 0) found.add(packet.timestamp);
  const stamps = [...found].sort((a, b) => a - b);
  if (stamps.length < 2) return refused(say`It holds ${figure('count', stamps.length, 0)} frames: no clip.`);
  const sink = new VideoSampleSink(track);
  const [width, height] = [track.displayWidth, track.displayHeight];
  return {
    ok: true,
    frames: {
      stamps,
      width,
      height,
      async draw(frame, context) {
        const sample = await sink.getSample(stamps[frame]!);
        sample?.draw(context, 0, 0, context.canvas.width, context.canvas.height);
        sample?.close();
        return sample !== null;
      },
      close: () => input.dispose(),
    },
  };
}

/** The picture of a clip, or why there is none; whoever opened it disposes of `input`. */
import { say, type Phrase } from '@tide-pebble/core/words';
import { ALL_FORMATS, BlobSource, Input, type InputVideoTrack } from 'mediabunny';

export type ClipTrack =
  | { readonly ok: true; readonly input: Input; readonly track: InputVideoTrack }
  | { readonly ok: false; readonly reason: Phrase };

export async function clipTrack(file: Blob): Promise<ClipTrack> {
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  const refused = (reason: Phrase): ClipTrack => {
    input.dispose();
    return { ok: false, reason };
  };
  const track = await input.getPrimaryVideoTrack().catch(() => null);
  if (!track)
    return refused(say`There is no picture in this file that can be read. Take an MP4, MOV, WebM or MKV clip.`);
  if (!(await track.canDecode()))
    return refused(
      say`This browser cannot decode ${track.codec ?? 'what it was written with'}. Save it as H.264, VP9 or AV1; on a phone, “most compatible” in the camera’s settings does it.`,
    );
  return { ok: true, input, track };
}

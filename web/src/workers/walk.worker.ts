/// <reference lib="webworker" />
/** Reads walks out of gyro logs and clips; what was read of the last of each is kept, so that another choice of columns, or another lens, is quick. */
import { decode } from './read-table';
import { followClip, readClip, type ClipRead, type Followed } from './read-clip';
import { gyroTable, readGyro, type GyroChosen, type GyroRead, type GyroTable } from './read-gyro';
import { say, type Phrase } from '@tide-pebble/core/words';

export type WalkMessage = { readonly id: number } & (
  | { readonly kind: 'gyro'; readonly file: Blob; readonly known: string; readonly chosen: GyroChosen | null }
  | { readonly kind: 'clip'; readonly file: Blob; readonly known: string; readonly across: number }
);
export type WalkAnswer = { readonly id: number } & (
  | { readonly done: number }
  | { readonly gyro: GyroRead }
  | { readonly clip: ClipRead }
  | { readonly refused: Phrase }
  | { readonly fault: string }
);

const LOG_BYTES_AT_MOST = 400 * 1024 * 1024;
let lastClip: { readonly known: string; readonly followed: Followed } | null = null;
let last: { readonly known: string; readonly table: GyroTable } | null = null;

addEventListener('message', ({ data }: MessageEvent<WalkMessage>) => {
  const answer = (of: Omit<WalkAnswer, 'id'>): void => postMessage({ id: data.id, ...of });
  void read(data, answer).catch((error: unknown) =>
    answer({ fault: error instanceof Error ? error.message : String(error) }),
  );
});

async function read(message: WalkMessage, answer: (of: Omit<WalkAnswer, 'id'>) => void): Promise<void> {
  if (message.kind === 'clip') {
    const { known } = message;
    if (lastClip?.known !== known)
      lastClip = { known, followed: await followClip(message.file, (done) => answer({ done })) };
    return answer({ clip: readClip(lastClip.followed, message.across) });
  }
  if (last?.known !== message.known) {
    if (message.file.size > LOG_BYTES_AT_MOST)
      return answer({ refused: say`It is larger than 400 MB. Cut the log into walks.` });
    const text = decode(await message.file.arrayBuffer(), LOG_BYTES_AT_MOST);
    if (text === null) return answer({ refused: say`This is not a text file. Save the log as CSV, and choose that.` });
    const found = gyroTable(text);
    if (!found.ok) return answer({ refused: found.reason });
    last = { known: message.known, table: found.table };
  }
  answer({ gyro: readGyro(last.table, message.chosen) });
}

/// <reference lib="webworker" />
import { answer, type JobMessage, type PackedMessage } from './jobs';
import { Receiver } from './sent-once';

const receiver = new Receiver();

addEventListener('message', ({ data }: MessageEvent<PackedMessage>) =>
  answer({ ...data, input: receiver.unpack(data.input) } as JobMessage, (part) => postMessage(part)),
);

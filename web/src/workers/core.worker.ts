/// <reference lib="webworker" />
import { answer, type JobMessage } from './jobs';

addEventListener('message', ({ data }: MessageEvent<JobMessage>) => postMessage(answer(data)));

/// <reference lib="webworker" />
import { answer, type JobMessage } from './jobs';

addEventListener('message', ({ data }: MessageEvent<JobMessage>) => answer(data, (part) => postMessage(part)));

/// <reference lib="webworker" />
/** Cuts solids with each other, with the kept library fetched once. Of several looks asked for at once only the last is made. */
import load from 'manifold-3d';
import {
  overlapsOf,
  printedSolid,
  solidKit,
  type AdjusterValues,
  type Assembly,
  type Looked,
  type Printed,
  type SolidKit,
} from '@tide-pebble/core';
import { castJig, jigsOf } from '@tide-pebble/core/patterns';

export interface SolidsMessage {
  readonly id: number;
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  /** A printed part whose solid is asked for; neither it nor a jig: whether anything stands inside another. */
  readonly part?: string;
  /** A jig whose solid is asked for. */
  readonly jig?: string;
}
export type SolidsAnswer = { readonly id: number } & (
  | { readonly done: number; readonly all: number }
  | { readonly looked: Looked }
  | { readonly printed: Printed | null }
  | { readonly fault: string }
);

/** Fetched at the first look; where that fails, again at the next. */
let kit: Promise<SolidKit> | null = null;
async function fetched(): Promise<SolidKit> {
  const answer = await fetch('/solids/manifold.wasm');
  if (!answer.ok) throw new Error(`what cuts solids did not come (${answer.status})`);
  const wasmBinary = await answer.arrayBuffer();
  // Its own types know only where it lies.
  return solidKit(await load({ wasmBinary } as unknown as Parameters<typeof load>[0]));
}
const memory = new Map<string, number>();
/** Told about so often, ms. */
const TELL_EVERY = 100;
let last: SolidsMessage | null = null;

addEventListener('message', ({ data }: MessageEvent<SolidsMessage>) => {
  const isLook = data.part === undefined && data.jig === undefined;
  if (isLook) last = data;
  kit ??= fetched();
  void kit.then(
    (made) => {
      if (isLook && last !== data) return;
      let told = performance.now();
      const answer = (of: Omit<SolidsAnswer, 'id'>): void => postMessage({ id: data.id, ...of });
      try {
        const tell = (done: number, all: number): boolean => {
          if (performance.now() - told > TELL_EVERY) {
            told = performance.now();
            answer({ done, all });
          }
          return true;
        };
        if (data.jig !== undefined) {
          const jig = jigsOf(data.assembly).find((j) => j.id === data.jig);
          return answer({ printed: jig ? castJig(made, jig) : null });
        }
        if (data.part !== undefined)
          return answer({ printed: printedSolid(made, data.assembly, data.values, data.part) });
        answer({ looked: overlapsOf(made, data.assembly, data.values, { memory, tell }) });
      } catch (error) {
        answer({ fault: error instanceof Error ? error.message : String(error) });
      }
    },
    (error: unknown) => {
      kit = null;
      postMessage({ id: data.id, fault: error instanceof Error ? error.message : String(error) });
    },
  );
});

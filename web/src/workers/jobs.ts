/** The messages between page and worker. Workers are thin: they parse the message, call the core and answer. */
import { stockPlan, trim, type AdjusterValues, type Assembly, type BinItem, type Rig, type StockPlan, type TrimOutcome, type Wants } from '@tide-pebble/core';

export interface JobInputs {
  readonly trim: { readonly assembly: Assembly; readonly values: AdjusterValues; readonly wants: Wants };
  readonly stock: { readonly rig: Rig; readonly values: AdjusterValues; readonly bin: readonly BinItem[]; readonly kerf: number };
}
export interface JobResults {
  readonly trim: TrimOutcome;
  readonly stock: StockPlan;
}
export type JobName = keyof JobInputs;
export type JobRequest<N extends JobName> = JobInputs[N];
export type JobResult<N extends JobName> = JobResults[N];
export type JobMessage = { readonly [N in JobName]: { readonly id: number; readonly name: N; readonly input: JobInputs[N] } }[JobName];
export type JobAnswer = { readonly id: number; readonly result: JobResults[JobName] } | { readonly id: number; readonly fault: string };

export function answer(message: JobMessage): JobAnswer {
  try {
    const result = message.name === 'trim' ? trim(message.input.assembly, message.input.values, message.input.wants) : stockPlan(message.input.rig, message.input.values, message.input.bin, message.input.kerf);
    return { id: message.id, result };
  } catch (error) {
    return { id: message.id, fault: error instanceof Error ? error.message : String(error) };
  }
}

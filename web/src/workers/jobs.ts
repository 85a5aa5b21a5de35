/** The messages between page and worker. Workers are thin: they parse the message, call the core and answer. */
import { trim, type AdjusterValues, type Assembly, type BinItem, type Rig, type TrimOutcome, type Wants } from '@tide-pebble/core';
import { chooseFamilies, cure, stockPlan, type Candidate, type ChooseInput, type Cure, type CureInput, type StockPlan } from '@tide-pebble/core/making';
import { readTable, type TableInput, type TableOutcome, type TablePart } from './read-table';

export interface JobInputs {
  readonly trim: { readonly assembly: Assembly; readonly values: AdjusterValues; readonly wants: Wants };
  readonly stock: { readonly rig: Rig; readonly values: AdjusterValues; readonly bin: readonly BinItem[]; readonly kerf: number };
  readonly table: TableInput;
  readonly choose: ChooseInput;
  readonly cure: CureInput;
}
export interface JobResults {
  readonly trim: TrimOutcome;
  readonly stock: StockPlan;
  readonly table: TableOutcome;
  readonly choose: readonly Candidate[];
  readonly cure: readonly Cure[];
}
export type JobName = keyof JobInputs;
export type JobRequest<N extends JobName> = JobInputs[N];
export type JobResult<N extends JobName> = JobResults[N];
export type JobMessage = { readonly [N in JobName]: { readonly id: number; readonly name: N; readonly input: JobInputs[N] } }[JobName];
/** A part: how far it has come, from 0 to 1, with what is ready so far. */
export type JobAnswer =
  | { readonly id: number; readonly part: TablePart }
  | { readonly id: number; readonly result: JobResults[JobName] }
  | { readonly id: number; readonly fault: string };

export function answer(message: JobMessage, tell: (answer: JobAnswer) => void): void {
  const { id } = message;
  try {
    tell({ id, result: work(message, (part) => tell({ id, part })) });
  } catch (error) {
    tell({ id, fault: error instanceof Error ? error.message : String(error) });
  }
}

function work(message: JobMessage, tell: (part: TablePart) => void): JobResults[JobName] {
  switch (message.name) {
    case 'trim': return trim(message.input.assembly, message.input.values, message.input.wants);
    case 'stock': return stockPlan(message.input.rig, message.input.values, message.input.bin, message.input.kerf);
    case 'choose': return chooseFamilies(message.input);
    case 'cure': return cure(message.input, (done) => tell({ done, of: 1, rows: [] }));
    case 'table': return readTable(message.input, tell);
  }
}

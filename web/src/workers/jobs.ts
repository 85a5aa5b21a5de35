/** The messages between page and worker. Workers are thin: they parse the message, call the core and answer. */
import {
  bodiesBeyond,
  evaluate,
  familyById,
  type AdjusterValues,
  type Assembly,
  type BinItem,
  type Firmness,
  type Phrase,
  type Rig,
  type Taken,
  type Wants,
} from '@tide-pebble/core';
import {
  panPlans,
  startRig,
  swing,
  tradeCurve,
  trimExplained,
  type Aim,
  type PanPlan,
  type Start,
  type SwingInput,
  type ExplainedTrim,
  type SwingOutcome,
  type TradePoint,
} from '@tide-pebble/core/bench';
import {
  accuracyOf,
  carryFor,
  type CarryInput,
  type GuideTold,
  chooseFamilies,
  cure,
  readyCandidate,
  type ReadyCandidate,
  learnFrom,
  likelyCauses,
  planBuild,
  schedule,
  setUpsFor,
  sizesForAll,
  stockPlan,
  tripFor,
  type TripFor,
  type TripInput,
  sheetsFor,
  type SheetsFor,
  type SheetsInput,
  whatNow,
  type WhatNowInput,
  type WhatNowOutcome,
  type AccuracyInput,
  type AccuracyOutcome,
  type BuildPlan,
  type Candidate,
  type ChooseInput,
  type Cure,
  type CureInput,
  type LearnInput,
  type LikelyCauseInput,
  type LearnOutcome,
  type SetUpRow,
  type SetUpsInput,
  type SizesForAll,
  type StockPlan,
  type Schedule,
  type Task,
  type Window as Time,
} from '@tide-pebble/core/making';
import {
  firmAfter,
  rungSwing,
  type FirmAfter,
  type FirmAfterInput,
  sideBySide,
  versionsTold,
  type VersionsInput,
  type VersionTold,
  type Bending,
  type RungSwingInput,
  firmnessOf,
  flickTold,
  stiffenings,
  stiffestWithin,
  strengthSheet,
  type SideBySide,
  type SideBySideInput,
  type FirmnessInput,
  type FlickInput,
  type FlickTold,
  type Spend,
  type StiffenInput,
  type Stiffenings,
  type Stiffest,
  type StrengthInput,
  type StrengthSheetOutcome,
} from '@tide-pebble/core/strength';
import type { Packed } from './sent-once';
import { readTable, type TableInput, type TableOutcome, type TablePart } from './read-table';

export interface JobInputs {
  readonly trim: {
    readonly assembly: Assembly;
    readonly values: AdjusterValues;
    readonly wants: Wants;
    readonly aim: Aim;
  };
  readonly trade: { readonly assembly: Assembly; readonly values: AdjusterValues; readonly wants: Wants };
  readonly pan: { readonly assembly: Assembly; readonly values: AdjusterValues };
  readonly setUps: SetUpsInput;
  readonly sizes: SetUpsInput;
  readonly accuracy: AccuracyInput;
  readonly learn: LearnInput;
  readonly likelyCauses: LikelyCauseInput;
  readonly carry: CarryInput;
  readonly swing: readonly SwingInput[];
  readonly stock: {
    readonly rig: Rig;
    readonly values: AdjusterValues;
    readonly bin: readonly BinItem[];
    readonly kerf: number;
    readonly taken?: readonly Taken[] | undefined;
  };
  readonly shopping: TripInput;
  readonly sheets: SheetsInput;
  readonly build: { readonly assembly: Assembly; readonly values: AdjusterValues };
  readonly whatNow: WhatNowInput;
  readonly evenings: { readonly tasks: readonly Task[]; readonly windows: readonly Time[] };
  readonly table: TableInput;
  readonly choose: ChooseInput;
  /** As it is sized and set up, before anything that stands against it is looked at. */
  readonly start: { readonly family: string; readonly input: Omit<ChooseInput, 'wishes'> };
  readonly ready: { readonly family: string; readonly input: ChooseInput };
  readonly cure: CureInput;
  readonly strength: StrengthInput;
  readonly firmness: FirmnessInput;
  readonly flick: FlickInput;
  readonly beside: SideBySideInput;
  readonly versions: VersionsInput;
  readonly rung: readonly RungSwingInput[];
  readonly firmAfter: FirmAfterInput;
  readonly stiffen: StiffenInput;
  readonly stiffest: {
    readonly input: StiffenInput;
    readonly among: Pick<Stiffenings, 'better'>;
    readonly most: Spend;
  };
}
export interface JobResults {
  readonly trim: ExplainedTrim;
  readonly trade: readonly TradePoint[];
  readonly pan: readonly PanPlan[];
  readonly setUps: readonly SetUpRow[];
  readonly sizes: SizesForAll;
  readonly accuracy: AccuracyOutcome;
  readonly learn: LearnOutcome;
  readonly likelyCauses: readonly Phrase[];
  readonly carry: readonly GuideTold[];
  readonly swing: readonly SwingOutcome[];
  readonly stock: StockPlan;
  readonly shopping: TripFor;
  readonly sheets: SheetsFor;
  readonly build: BuildPlan;
  readonly whatNow: WhatNowOutcome;
  readonly evenings: Schedule;
  readonly table: TableOutcome;
  readonly choose: readonly Candidate[];
  readonly start: Start | null;
  readonly ready: ReadyCandidate | null;
  readonly cure: readonly Cure[];
  readonly strength: StrengthSheetOutcome;
  readonly firmness: Firmness;
  readonly flick: FlickTold;
  readonly beside: SideBySide;
  readonly versions: readonly VersionTold[];
  readonly rung: readonly (Bending | null)[];
  readonly firmAfter: readonly (FirmAfter | null)[];
  readonly stiffen: Stiffenings | null;
  readonly stiffest: Stiffest | null;
}
export type JobName = keyof JobInputs;
export type JobRequest<N extends JobName> = JobInputs[N];
export type JobResult<N extends JobName> = JobResults[N];
export type JobMessage = {
  readonly [N in JobName]: { readonly id: number; readonly name: N; readonly input: JobInputs[N] };
}[JobName];
/** As it crosses to the worker. */
export interface PackedMessage {
  readonly id: number;
  readonly name: JobName;
  readonly input: Packed;
}
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
  const ofOne = (done: number): void => tell({ done, of: 1, rows: [] });
  switch (message.name) {
    case 'trim':
      return trimExplained(message.input.assembly, message.input.values, message.input.wants, {
        aim: message.input.aim,
        tell: ofOne,
      });
    case 'trade':
      return tradeCurve(message.input.assembly, message.input.values, message.input.wants, ofOne);
    case 'pan':
      return plansFor(message.input);
    case 'setUps':
      return setUpsFor(message.input, ofOne);
    case 'learn':
      return learnFrom(message.input);
    case 'carry':
      return carryFor(message.input);
    case 'likelyCauses':
      return likelyCauses(message.input);
    case 'whatNow':
      return whatNow(message.input, ofOne);
    case 'sizes':
      return sizesForAll(message.input, ofOne);
    case 'accuracy':
      return accuracyOf(message.input, ofOne);
    case 'swing':
      return message.input.map(swing);
    case 'stock':
      return stockPlan(
        message.input.rig,
        message.input.values,
        message.input.bin,
        message.input.kerf,
        message.input.taken,
      );
    case 'shopping':
      return tripFor(message.input);
    case 'sheets':
      return sheetsFor(message.input);
    case 'build':
      return planBuild(message.input.assembly, message.input.values);
    case 'evenings':
      return schedule(message.input.tasks, message.input.windows, ORDERS_AT_MOST);
    case 'choose':
      return chooseFamilies(message.input);
    case 'start': {
      const family = familyById(message.input.family);
      const { loadout, kit, wants, hands } = message.input.input;
      return family && startRig(family, loadout, kit, wants, hands);
    }
    case 'ready': {
      const family = familyById(message.input.family);
      return family && readyCandidate(family, message.input.input);
    }
    case 'cure':
      return cure(message.input, ofOne);
    case 'strength':
      return strengthSheet(message.input);
    case 'firmness':
      return firmnessOf(message.input);
    case 'flick':
      return flickTold(message.input);
    case 'beside':
      return sideBySide(message.input, ofOne);
    case 'versions':
      return versionsTold(message.input, ofOne);
    case 'rung':
      return message.input.map(rungSwing);
    case 'firmAfter':
      return firmAfter(message.input);
    case 'stiffen':
      return stiffenings(message.input, ofOne);
    case 'stiffest':
      return stiffestWithin(message.input.input, message.input.among, message.input.most, ofOne);
    case 'table':
      return readTable(message.input, tell);
  }
}

/** A second or two of looking; then it is told with its gap. */
const ORDERS_AT_MOST = 1500;

function plansFor({ assembly, values }: JobInputs['pan']): readonly PanPlan[] {
  const { hung, pieces } = evaluate(assembly, values);
  return hung
    ? panPlans({ rig: assembly.rig, values, hung, pieces, carries: bodiesBeyond(assembly.rig, hung.pivot) })
    : [];
}

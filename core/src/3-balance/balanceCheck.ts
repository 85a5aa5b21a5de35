/** One check of the balance: what was evaluated against what is wanted. */
import type { Finding, FindingStage } from '../0-base';
import type { AdjusterValues, Assembly } from '../2-frame';
import type { FreeSpace, LensCone, LoadSocket } from '../1-load';
import type { Hands, Wants } from '../model';
import type { Evaluation } from './evaluate';
import type { QuickBalance } from './quickBalance';

export interface BalanceContext {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly evaluation: Evaluation;
  readonly wants: Wants;
  /** The same assembly at other settings; null when it hangs on nothing. */
  readonly quick: QuickBalance | null;
  readonly hands: Hands;
  readonly cones: readonly LensCone[];
  readonly spaces: readonly FreeSpace[];
  readonly socket: LoadSocket | null;
}
export interface BalanceCheck {
  readonly id: string;
  readonly stage: FindingStage;
  look(context: BalanceContext): readonly Finding[];
}
